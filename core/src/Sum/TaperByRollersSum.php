<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Taper\TaperMeasured;

final class TaperByRollersSum implements Sum
{
    public function name(): string
    {
        return 'taper-by-rollers';
    }

    public function says(): string
    {
        return 'An outside taper standing on a plate, from two rollers and two blocks.';
    }

    public function example(): array
    {
        return ['roller_mm' => 10.0, 'block_mm' => 50.0, 'over_low_mm' => 60.0, 'over_high_mm' => 65.0];
    }

    public function takes(): array
    {
        return ['roller_mm', 'block_mm', 'over_low_mm', 'over_high_mm'];
    }

    public function run(Fields $in): array
    {
        $found = TaperMeasured::byRollers(
            $in->number('roller_mm'),
            $in->number('block_mm'),
            $in->number('over_low_mm'),
            $in->number('over_high_mm'),
        );

        return [
            'half_angle_deg' => $found->halfDeg,
            'included_deg' => 2 * $found->halfDeg,
            'at_plate_mm' => $found->diameterMm,
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Half angle',
                    'tan α = (over high − over low) / 2 block; D = M − d (1 + cot((90° − α)/2))',
                    Say::plain(number_format($found->halfDeg, 4).'°'),
                    'the roller formula, common in metrology handbooks',
                ),
            ],
        ];
    }
}
