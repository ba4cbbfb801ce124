<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Gear\GearLikely;
use Oldpart\Core\Quantity\Fields;

final class GearSum implements Sum
{
    public function name(): string
    {
        return 'gear';
    }

    public function says(): string
    {
        return 'Which spur gear it is likely to be, by its teeth, its outside and a span.';
    }

    public function example(): array
    {
        return ['teeth' => 24, 'outside_mm' => 51.95];
    }

    public function takes(): array
    {
        return ['teeth', 'outside_mm', 'u95_mm', 'span_mm', 'span_teeth'];
    }

    public function run(Fields $in): array
    {
        $teeth = $in->whole('teeth');
        $outside = $in->number('outside_mm');
        $candidates = GearLikely::of(
            teeth: $teeth,
            outsideMm: $outside,
            u95Mm: $in->numberOrNull('u95_mm') ?? 0.0,
            spanMm: $in->numberOrNull('span_mm'),
            spanTeeth: $in->has('span_teeth') ? $in->whole('span_teeth') : null,
        );

        return [
            'candidates' => $candidates,
            'notes' => $in->has('span_mm')
                ? []
                : [
                    Note::info(
                        'pressure-unknown',
                        'The outside does not tell the pressure angle: read it over several teeth as well.',
                    ),
                ],
            'working' => [
                new WorkingStep(
                    'Module',
                    'outside / (teeth + 2), weighed against what is common',
                    Say::plain(number_format($outside / ($teeth + 2), 4)),
                    'full-depth spur teeth; weights by common practice, no source',
                ),
            ],
        ];
    }
}
