<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Thread\ThreadLikely;

final class ThreadIdentifySum implements Sum
{
    public function name(): string
    {
        return 'thread-identify';
    }

    public function says(): string
    {
        return 'Which thread it is likely to be, by its size, its pitch and its angle.';
    }

    public function example(): array
    {
        return ['outside_mm' => 9.9, 'pitch_mm' => 1.5];
    }

    public function takes(): array
    {
        return ['outside_mm', 'u95_mm', 'pitch_mm', 'per_inch', 'angle_deg', 'inside'];
    }

    public function run(Fields $in): array
    {
        $pitch = $in->numberOrNull('pitch_mm');
        $perInch = $in->numberOrNull('per_inch');
        if (($pitch === null) === ($perInch === null)) {
            throw $in->bad('pitch_mm', 'or per_inch: give one of the two.');
        }
        if ($perInch !== null && $perInch <= 0) {
            throw $in->bad('per_inch', 'must be above zero.');
        }
        $pitch ??= 25.4 / ($perInch ?? 1.0);
        $inside = $in->flagOrNull('inside') ?? false;

        return [
            'candidates' => ThreadLikely::of(
                sizeMm: $in->number('outside_mm'),
                pitchMm: $pitch,
                u95Mm: $in->numberOrNull('u95_mm') ?? 0.0,
                angleDeg: $in->numberOrNull('angle_deg'),
                inside: $inside,
            ),
            'notes' => [
                Note::info('which-hand', 'Look which way it turns before anything is cut: a left-hand thread is not in the odds.'),
                ...$in->has('angle_deg')
                    ? []
                    : [Note::info('angle-unknown', 'The angle was not looked at: 55° and 60° of one pitch stay side by side.')],
            ],
            'working' => [
                new WorkingStep(
                    'Odds',
                    'how often a family is met × how well size, pitch and angle fall in',
                    Say::plain('pitch '.number_format($pitch, 4).' mm, '.number_format(25.4 / $pitch, 2).' to the inch'),
                    'tables of the families; weights by common practice, no source',
                ),
            ],
        ];
    }
}
