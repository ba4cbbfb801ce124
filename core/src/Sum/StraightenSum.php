<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shaft\Straightening;

final class StraightenSum implements Sum
{
    public function name(): string
    {
        return 'straighten';
    }

    public function says(): string
    {
        return 'How far a bent shaft has to be pressed so that it springs back straight, and how hard.';
    }

    public function example(): array
    {
        return ['diameter_mm' => 25.0, 'span_mm' => 400.0, 'bow_mm' => 0.5, 'e_gpa' => 205.0, 'yield_mpa' => 350.0];
    }

    public function takes(): array
    {
        return ['diameter_mm', 'span_mm', 'bow_mm', 'e_gpa', 'yield_mpa'];
    }

    public function run(Fields $in): array
    {
        $press = new Straightening(
            $in->number('diameter_mm'),
            $in->number('span_mm'),
            $in->number('bow_mm'),
            $in->number('e_gpa'),
            $in->number('yield_mpa'),
        );

        return [
            'yields_at_mm' => $press->yieldsAtMm,
            'springback_mm' => $press->springbackMm,
            'travel_mm' => $press->travelMm,
            'force_n' => $press->forceN,
            'notes' => [
                Note::caution('sneak-up', 'Begin at the least travel, read it, and go up in small steps: past straight it has to come back, and metal tires.'),
                Note::caution('bend', 'Stand clear of the line of the press: blocks and shaft jump. Never cold-bend a hardened or cast shaft.'),
            ],
            'working' => [
                new WorkingStep('Travel', 'bow + spring-back; spring-back from σL²/(6ED) to 16/(3π) of it', LengthWriter::size($press->travelMm->min), 'beam of three points; plastic section modulus'),
            ],
        ];
    }
}
