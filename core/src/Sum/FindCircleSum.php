<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Pattern\FoundCircle;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class FindCircleSum implements Sum
{
    public function name(): string
    {
        return 'find-circle';
    }

    public function says(): string
    {
        return 'The circle that hole centres or edge points lie on, and how far each is off it.';
    }

    public function example(): array
    {
        return [
            'points' => [['x_mm' => 10.0, 'y_mm' => 0.0], ['x_mm' => 0.0, 'y_mm' => 10.0], ['x_mm' => -10.0, 'y_mm' => 0.1]],
        ];
    }

    public function takes(): array
    {
        return ['points'];
    }

    public function run(Fields $in): array
    {
        $circle = FoundCircle::through(PointsInput::read($in, 'points'));
        $worst = 0;
        foreach ($circle->residualsMm as $i => $off) {
            $worst = abs($off) > abs($circle->residualsMm[$worst]) ? $i : $worst;
        }

        return [
            'x_mm' => $circle->centre->x,
            'y_mm' => $circle->centre->y,
            'diameter_mm' => $circle->diameterMm,
            'residuals_mm' => $circle->residualsMm,
            'notes' => count($circle->residualsMm) === 3
                ? [Note::info('three-points', 'Three points lie on a circle exactly: a fourth shows whether one was misread.')]
                : [Note::info('farthest', 'Farthest off it is point '.($worst + 1).'. Measure that one again first.')],
            'working' => [
                new WorkingStep('Circle', 'least squares of the distances from it', LengthWriter::size($circle->diameterMm), 'least squares'),
            ],
        ];
    }
}
