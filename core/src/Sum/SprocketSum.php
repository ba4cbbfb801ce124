<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Gear\Sprocket;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class SprocketSum implements Sum
{
    public function name(): string
    {
        return 'sprocket';
    }

    public function says(): string
    {
        return 'Which chain a wheel is for, by its teeth and its outside or its pitch.';
    }

    public function example(): array
    {
        return ['teeth' => 20, 'outside_mm' => 87.8];
    }

    public function takes(): array
    {
        return ['teeth', 'outside_mm', 'pitch_mm'];
    }

    public function run(Fields $in): array
    {
        $teeth = $in->whole('teeth');
        if ($in->has('outside_mm') === $in->has('pitch_mm')) {
            throw $in->bad('outside_mm', 'or pitch_mm: give one of the two.');
        }
        $wheel = $in->has('pitch_mm')
            ? Sprocket::of($teeth, $in->number('pitch_mm'))
            : Sprocket::byOutside($teeth, $in->number('outside_mm'));

        return [
            'pitch_mm' => $wheel->pitchMm,
            'pitch_circle_mm' => $wheel->pitchCircleMm(),
            'candidates' => $wheel->likely(),
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Pitch circle',
                    'p / sin(180°/z); outside about p (0.6 + cot(180°/z))',
                    LengthWriter::size($wheel->pitchCircleMm()),
                    'geometry; the outside by a common rule of chain makers',
                ),
            ],
        ];
    }
}
