<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Gear\BeltPulley;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class BeltPulleySum implements Sum
{
    public function name(): string
    {
        return 'belt-pulley';
    }

    public function says(): string
    {
        return 'Which toothed belt a pulley is for, by its teeth and its outside.';
    }

    public function example(): array
    {
        return ['teeth' => 22, 'outside_mm' => 54.6];
    }

    public function takes(): array
    {
        return ['teeth', 'outside_mm', 'u95_mm', 'tooth'];
    }

    public function run(Fields $in): array
    {
        $tooth = $in->textOrNull('tooth');
        if ($tooth !== null && ! in_array($tooth, ['round', 'flat'], true)) {
            throw $in->bad('tooth', 'is one of: round, flat; or empty where nobody looked.');
        }
        $found = BeltPulley::likely($in->whole('teeth'), $in->number('outside_mm'), $in->numberOrNull('u95_mm') ?? 0.0, $tooth);
        $best = $found[0]['pulley'];
        $notes = [];
        if ($tooth === null) {
            $notes[] = Note::info('look-at-the-tooth', 'Look at a tooth from the side: round ones and flat ones of nearly one pitch do not run on each other. Saying which it is rules half of the belts out.');
        }
        if ($best === null || $found[0]['probability'] < 0.8) {
            $notes[] = Note::caution('belts-alike', 'The outside does not tell it surely. Measure the old belt over ten teeth and divide by ten, before you buy.');
        }

        return [
            'pitch_mm' => $best?->pitchMm,
            'pitch_circle_mm' => $best?->pitchCircleMm,
            'candidates' => array_map(
                static fn (array $one): array => [
                    'label' => $one['label'],
                    'pitch_mm' => $one['pulley']?->pitchMm,
                    'probability' => $one['probability'],
                ],
                $found,
            ),
            'notes' => $notes,
            'working' => [
                new WorkingStep(
                    'Belt',
                    'pitch circle z p / π; the outside lies inside it by what the belt stands off',
                    $best === null ? 'none in the table' : LengthWriter::size($best->outsideMm),
                    'ISO 5296, DIN 7721 and makers’ tables, from memory',
                ),
            ],
        ];
    }
}
