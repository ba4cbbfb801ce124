<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Making\Speed;
use Oldpart\Core\Quantity\Fields;

final class SpeedSum implements Sum
{
    public function name(): string
    {
        return 'speed';
    }

    public function says(): string
    {
        return 'Turns of the spindle for a surface speed, and the feed of a cutter.';
    }

    public function example(): array
    {
        return ['diameter_mm' => 20.0, 'surface_m_min' => 25.0, 'teeth' => 4, 'feed_per_tooth_mm' => 0.05];
    }

    public function takes(): array
    {
        return ['diameter_mm', 'surface_m_min', 'teeth', 'feed_per_tooth_mm'];
    }

    public function run(Fields $in): array
    {
        $speed = new Speed(
            $in->number('diameter_mm'),
            $in->number('surface_m_min'),
            $in->has('teeth') ? $in->whole('teeth') : null,
            $in->numberOrNull('feed_per_tooth_mm'),
        );

        return [
            'rpm' => $speed->rpm,
            'feed_mm_min' => $speed->feedMmMin,
            'notes' => [],
            'working' => [
                new WorkingStep('Turns', '1000 v/(π d); feed = turns × teeth × feed per tooth', number_format($speed->rpm, 0).' a minute', 'definition'),
            ],
        ];
    }
}
