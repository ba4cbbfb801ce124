<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Gear\GearSpan;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class GearSpanSum implements Sum
{
    public function name(): string
    {
        return 'gear-span';
    }

    public function says(): string
    {
        return 'What a gear reads over several of its teeth.';
    }

    public function example(): array
    {
        return ['module_mm' => 2.0, 'teeth' => 20, 'pressure_deg' => 20.0];
    }

    public function takes(): array
    {
        return ['module_mm', 'teeth', 'pressure_deg'];
    }

    public function run(Fields $in): array
    {
        $span = GearSpan::of($in->number('module_mm'), $in->whole('teeth'), $in->number('pressure_deg'));

        return [
            'span_teeth' => $span->teethSpanned,
            'span_mm' => $span->spanMm,
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Span',
                    'm cos α [π (k − ½) + z (tan α − α)]',
                    Say::with("{s} over {$span->teethSpanned} teeth", ['s' => LengthWriter::size($span->spanMm)]),
                    'involute geometry, no profile shift; DIN 3960',
                ),
            ],
        ];
    }
}
