<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Pattern\Cage;
use Oldpart\Core\Quantity\Fields;

final class CageSum implements Sum
{
    public function name(): string
    {
        return 'cage';
    }

    public function says(): string
    {
        return 'How many balls go round a pitch circle with a web between them.';
    }

    public function example(): array
    {
        return ['pitch_circle_mm' => 60.0, 'ball_mm' => 10.0, 'web_mm' => 2.0];
    }

    public function takes(): array
    {
        return ['pitch_circle_mm', 'ball_mm', 'web_mm'];
    }

    public function run(Fields $in): array
    {
        $cage = new Cage($in->number('pitch_circle_mm'), $in->number('ball_mm'), $in->number('web_mm'));

        return [
            'balls' => $cage->balls,
            'gap_mm' => $cage->gapMm,
            'notes' => [],
            'working' => [
                new WorkingStep('Balls', 'Dp sin(180°/n) ≥ ball + web', (string) $cage->balls, 'geometry'),
            ],
        ];
    }
}
