<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Measure\Nominal;
use Oldpart\Core\Measure\NominalKind;
use Oldpart\Core\Measure\UnitVote;
use Oldpart\Core\Quantity\Fields;

final class UnitVoteSum implements Sum
{
    public function name(): string
    {
        return 'unit-vote';
    }

    public function says(): string
    {
        return 'Was a part made in inches or millimetres? The odds, and the dimensions that speak against.';
    }

    public function example(): array
    {
        return [
            'dimensions' => [
                ['label' => 'shaft', 'kind' => 'shaft', 'size_mm' => 22.21, 'u95_mm' => 0.005],
                ['label' => 'length', 'kind' => 'length', 'size_mm' => 38.12, 'u95_mm' => 0.03],
                ['label' => 'bore', 'kind' => 'bore', 'size_mm' => 12.71, 'u95_mm' => 0.01],
            ],
        ];
    }

    public function takes(): array
    {
        return ['dimensions'];
    }

    public function run(Fields $in): array
    {
        $dimensions = [];
        foreach ($in->objects('dimensions') as $f) {
            $f->only(['label', 'kind', 'size_mm', 'u95_mm']);
            $dimensions[] = [
                'label' => $f->text('label'),
                'nominal' => Nominal::of(
                    $f->choice('kind', NominalKind::class),
                    $f->number('size_mm'),
                    $f->number('u95_mm'),
                    false,
                ),
            ];
        }
        if ($dimensions === []) {
            throw $in->bad('dimensions', 'needs one dimension at least.');
        }
        $vote = UnitVote::of($dimensions);

        return [
            'inch_probability' => $vote->inchProbability,
            'against' => $vote->against,
            'notes' => $vote->notes,
            'working' => $vote->working,
        ];
    }
}
