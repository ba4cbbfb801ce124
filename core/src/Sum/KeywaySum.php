<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Key\Keyway;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class KeywaySum implements Sum
{
    public function name(): string
    {
        return 'keyway';
    }

    public function says(): string
    {
        return 'How deep a keyway is, at each place one can measure it.';
    }

    public function example(): array
    {
        return ['system' => 'inch', 'shaft_mm' => 25.4, 'width_mm' => 6.35, 'height_mm' => 6.35, 'cutter_mm' => 6.0];
    }

    public function takes(): array
    {
        return ['system', 'shaft_mm', 'width_mm', 'height_mm', 'cutter_mm'];
    }

    public function run(Fields $in): array
    {
        $system = $in->text('system');
        if ($system !== 'inch' && $system !== 'metric') {
            throw $in->bad('system', 'must be one of: inch, metric.');
        }
        $width = $in->number('width_mm');
        $sizes = [$in->number('shaft_mm'), $width, $in->number('height_mm')];
        $way = $system === 'inch' ? Keyway::inch(...$sizes) : Keyway::metric(...$sizes);
        $cutter = $in->numberOrNull('cutter_mm');

        return [
            'across_mm' => $way->acrossMm,
            'from_top_mm' => $way->fromTopMm,
            'at_corner_mm' => $way->atCornerMm,
            'hub_mm' => $way->hubMm,
            'side_step_mm' => $cutter === null ? null : Keyway::sideStepMm($width, $cutter),
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Across to the other side',
                    $system === 'inch' ? 'S = D − y − H/2, y = (D − √(D² − W²))/2' : 'S = D − t₁',
                    LengthWriter::size($way->acrossMm),
                    $system === 'inch' ? 'ANSI B17.1' : 'DIN 6885-1',
                ),
            ],
        ];
    }
}
