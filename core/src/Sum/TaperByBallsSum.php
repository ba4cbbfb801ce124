<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Taper\TaperMeasured;

final class TaperByBallsSum implements Sum
{
    public function name(): string
    {
        return 'taper-by-balls';
    }

    public function says(): string
    {
        return 'An inside taper from two balls dropped into it.';
    }

    public function example(): array
    {
        return ['large_mm' => 20.0, 'small_mm' => 12.0, 'depth_large_mm' => 5.0, 'depth_small_mm' => 40.0];
    }

    public function takes(): array
    {
        return ['large_mm', 'small_mm', 'depth_large_mm', 'depth_small_mm'];
    }

    public function run(Fields $in): array
    {
        $found = TaperMeasured::byBalls(
            $in->number('large_mm'),
            $in->number('small_mm'),
            $in->number('depth_large_mm'),
            $in->number('depth_small_mm'),
        );

        return [
            'half_angle_deg' => $found->halfDeg,
            'included_deg' => 2 * $found->halfDeg,
            'mouth_mm' => $found->diameterMm,
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Half angle',
                    'sin α = (R − r) / distance of the centres; mouth = 2 (R / cos α + depth of the large centre × tan α)',
                    Say::plain(number_format($found->halfDeg, 4).'°'),
                    'geometry of tangents',
                ),
            ],
        ];
    }
}
