<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Pattern\HoleCircle;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class CircleFromChordSum implements Sum
{
    public function name(): string
    {
        return 'circle-from-chord';
    }

    public function says(): string
    {
        return 'A hole circle from the distance of two of its holes, over pins or between them.';
    }

    public function example(): array
    {
        return ['holes' => 5, 'over_pins_mm' => 64.0, 'pin_mm' => 8.0, 'u95_mm' => 0.05];
    }

    public function takes(): array
    {
        return ['holes', 'skip', 'chord_mm', 'over_pins_mm', 'between_pins_mm', 'pin_mm', 'u95_mm'];
    }

    public function run(Fields $in): array
    {
        $ways = array_values(array_filter(['chord_mm', 'over_pins_mm', 'between_pins_mm'], $in->has(...)));
        if (count($ways) !== 1) {
            throw $in->bad('chord_mm', 'or over_pins_mm, or between_pins_mm: give one of them.');
        }
        $read = $in->number($ways[0]);
        $pin = $ways[0] === 'chord_mm' ? 0.0 : $in->number('pin_mm');
        if ($pin < 0) {
            throw $in->bad('pin_mm', 'must be zero or more.');
        }
        $u95 = $in->numberOrNull('u95_mm') ?? 0.0;
        if ($u95 < 0) {
            throw $in->bad('u95_mm', 'must be zero or more.');
        }
        $skip = $in->has('skip') ? $in->whole('skip') : 1;
        $chord = $read + ['chord_mm' => 0.0, 'over_pins_mm' => -$pin, 'between_pins_mm' => $pin][$ways[0]];
        $circle = HoleCircle::fromChord($in->whole('holes'), $chord, $skip);

        return [
            'chord_mm' => $chord,
            'diameter_mm' => $circle->diameterMm,
            'u95_mm' => $u95 / HoleCircle::ofCircle($circle->holes, $skip),
            'notes' => [],
            'working' => [
                new WorkingStep('Hole circle', 'D = chord / sin(180° · skip / n)', LengthWriter::size($circle->diameterMm), 'geometry'),
            ],
        ];
    }
}
