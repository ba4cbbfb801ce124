<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Making\LatheReach;
use Oldpart\Core\Quantity\Fields;

final class LatheReachSum implements Sum
{
    public function name(): string
    {
        return 'lathe-reach';
    }

    public function says(): string
    {
        return 'Whether a piece of work goes into the lathe: through the spindle, over the bed, between centres, into the jaws.';
    }

    public function example(): array
    {
        return [
            'diameter_mm' => 42.0,
            'long_mm' => 260.0,
            'spindle_mm' => 38.0,
            'swing_mm' => 320.0,
            'centres_mm' => 600.0,
            'chuck_least_mm' => 3.0,
            'chuck_most_mm' => 130.0,
        ];
    }

    public function takes(): array
    {
        return ['diameter_mm', 'long_mm', 'spindle_mm', 'swing_mm', 'centres_mm', 'chuck_least_mm', 'chuck_most_mm'];
    }

    public function run(Fields $in): array
    {
        $reach = new LatheReach(
            diameterMm: $in->number('diameter_mm'),
            longMm: $in->number('long_mm'),
            spindleMm: $in->numberOrNull('spindle_mm'),
            swingMm: $in->numberOrNull('swing_mm'),
            centresMm: $in->numberOrNull('centres_mm'),
            chuckLeastMm: $in->numberOrNull('chuck_least_mm'),
            chuckMostMm: $in->numberOrNull('chuck_most_mm'),
        );

        return [
            'swings' => $reach->swings(),
            'gripped' => $reach->isGripped(),
            'between_centres' => $reach->goesBetweenCentres(),
            'through_spindle' => $reach->passesSpindle(),
            'notes' => $reach->notes(),
            'working' => [
                new WorkingStep('Reach', 'each against what the lathe takes; length against diameter for the tail', Say::plain('as typed'), 'common practice'),
            ],
        ];
    }
}
