<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Pattern\HoleCircle;
use Oldpart\Core\Pattern\Point;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class HoleCircleSum implements Sum
{
    public function name(): string
    {
        return 'hole-circle';
    }

    public function says(): string
    {
        return 'Holes evenly round a circle: where each is, and how far from the next.';
    }

    public function example(): array
    {
        return ['holes' => 6, 'diameter_mm' => 94.0, 'start_deg' => 30.0];
    }

    public function takes(): array
    {
        return ['holes', 'diameter_mm', 'start_deg', 'x0_mm', 'y0_mm'];
    }

    public function run(Fields $in): array
    {
        $circle = new HoleCircle(
            $in->whole('holes'),
            $in->number('diameter_mm'),
            $in->numberOrNull('start_deg') ?? 0.0,
            new Point($in->numberOrNull('x0_mm') ?? 0.0, $in->numberOrNull('y0_mm') ?? 0.0),
        );
        $points = [];
        foreach ($circle->points() as $i => $p) {
            $points[] = ['x_mm' => $p->x, 'y_mm' => $p->y, 'angle_deg' => $circle->angleDeg($i)];
        }

        return [
            'points' => $points,
            'chord_mm' => $circle->chordMm(),
            'notes' => $in->has('start_deg')
                ? []
                : [Note::info('start', 'The first hole is taken to lie to the right, at 0°: nobody said.')],
            'working' => [
                new WorkingStep('Holes', 'x = x₀ + R cos(θ₀ + 360° i/n), y likewise; chord 2R sin(180°/n)', LengthWriter::size($circle->chordMm()), 'geometry'),
            ],
        ];
    }
}
