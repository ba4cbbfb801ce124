<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Understood;
use Oldpart\Core\Quantity\Unit;

final class LengthSum implements Sum
{
    public function name(): string
    {
        return 'length';
    }

    public function says(): string
    {
        return 'Reads a length as people type it: fractions, thou, tenths, µm, drills, sums.';
    }

    public function example(): array
    {
        return ['text' => '(3.1875-1.062)/2', 'unit' => 'in'];
    }

    public function takes(): array
    {
        return ['text', 'unit', 'signed', 'reading'];
    }

    public function run(Fields $in): array
    {
        [$text, $unit] = [$in->text('text'), $in->choice('unit', Unit::class)];
        $read = Understood::of($text, $unit, $in->flag('signed'), $in->flag('reading'));
        $mm = $read->length->length->mm;

        return [
            'mm' => $mm,
            'in' => $read->length->length->in(),
            'typed' => $read->length->typed,
            'shown' => $read->shown(),
            'fine' => $read->fine(),
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Understood as',
                    '1 in = 25.4 mm',
                    LengthWriter::sizeInWords($mm),
                    'exact by definition',
                ),
            ],
        ];
    }
}
