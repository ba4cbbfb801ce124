<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Offset\Eccentric;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class OffsetSum implements Sum
{
    public function name(): string
    {
        return 'offset';
    }

    public function says(): string
    {
        return 'An offset from two differences at right angles, and how it is set in four jaws or three.';
    }

    public function example(): array
    {
        return ['a_mm' => 3.0, 'b_mm' => 4.0, 'bar_diameter_mm' => 40.0];
    }

    public function takes(): array
    {
        return ['a_mm', 'b_mm', 'bar_diameter_mm'];
    }

    public function run(Fields $in): array
    {
        $of = new Eccentric($in->number('a_mm'), $in->number('b_mm'));
        $bar = $in->numberOrNull('bar_diameter_mm');

        return [
            'offset_mm' => $of->offsetMm,
            'direction_deg' => $of->directionDeg,
            'four_jaw_swing_mm' => $of->swingMm(),
            'packing_mm' => $bar === null ? null : $of->packingMm($bar),
            'notes' => [
                Note::info('movements', 'Both are movements of the centre. Read on opposite sides of a bore they come out double: halve them.'),
                ...$bar === null ? [] : [Note::info('narrow-jaws', 'The packing is for narrow jaws that grip outside; under wide flat ones it is one and a half times the offset.')],
            ],
            'working' => [
                new WorkingStep('Offset', '√(a² + b²), toward atan2(b, a); the indicator swings by twice that', LengthWriter::size($of->offsetMm), 'geometry'),
            ],
        ];
    }
}
