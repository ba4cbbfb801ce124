<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Thread\ThreadStrength;

final class ThreadStrengthSum implements Sum
{
    public function name(): string
    {
        return 'thread-strength';
    }

    public function says(): string
    {
        return 'Which gives first in a screwed joint, and at what load.';
    }

    public function example(): array
    {
        return [
            'major_mm' => 10.0,
            'pitch_mm' => 1.5,
            'length_mm' => 8.0,
            'screw_tensile_mpa' => 800.0,
            'nut_tensile_mpa' => 200.0,
        ];
    }

    public function takes(): array
    {
        return ['major_mm', 'pitch_mm', 'length_mm', 'screw_tensile_mpa', 'nut_tensile_mpa'];
    }

    public function run(Fields $in): array
    {
        $of = new ThreadStrength(
            $in->number('major_mm'),
            $in->number('pitch_mm'),
            $in->number('length_mm'),
            $in->number('screw_tensile_mpa'),
            $in->number('nut_tensile_mpa'),
        );

        return [
            'tensile_area_mm2' => $of->tensileMm2,
            'screw_shear_mm2' => $of->screwShearMm2,
            'nut_shear_mm2' => $of->nutShearMm2,
            'fails_first' => $of->failsFirst,
            'load_n' => $of->loadN,
            'notes' => $of->failsFirst === 'nut strips'
                ? [
                    Note::caution(
                        'nut-strips',
                        'The nut’s thread goes first, and strips without warning: engage more of it, or take an insert.',
                    ),
                ]
                : [],
            'working' => [
                new WorkingStep(
                    'What gives first',
                    'the least of area × tensile, and shear area × 0.6 tensile of screw and nut',
                    Say::plain(number_format($of->loadN, 0, '.', ' ')." N: {$of->failsFirst}"),
                    'ISO 898-1 for the area; shear by common practice',
                ),
            ],
        ];
    }
}
