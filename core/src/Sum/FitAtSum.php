<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Fit\FitAt;
use Oldpart\Core\Fit\SizesThatWork;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class FitAtSum implements Sum
{
    public function name(): string
    {
        return 'fit-at';
    }

    public function says(): string
    {
        return 'What the fit is if the part comes out at a size, for the mate as it was found.';
    }

    public function example(): array
    {
        return [
            'make' => 'shaft',
            'size_mm' => 28.59,
            'mate' => ['size_mm' => 28.567, 'u95_mm' => 0.005],
            'clearance_mm' => ['min' => -0.033, 'max' => 0.0],
        ];
    }

    public function takes(): array
    {
        return ['make', 'size_mm', 'mate', 'clearance_mm', 'works_mm', 'make_u95_mm'];
    }

    public function run(Fields $in): array
    {
        $make = $in->text('make');
        if ($make !== 'shaft' && $make !== 'bore') {
            throw $in->bad('make', 'must be one of: shaft, bore.');
        }
        $mate = $in->object('mate') ?? throw $in->bad('mate', 'is missing.');
        $mate->only(['size_mm', 'u95_mm', 'loose_mm']);
        $size = $in->number('size_mm');
        $fit = FitAt::of(
            makeShaft: $make === 'shaft',
            sizeMm: $size,
            matingMm: $mate->number('size_mm'),
            u95Mm: $mate->number('u95_mm'),
            looseMm: $mate->numberOrNull('loose_mm'),
            wantedMm: $in->has('clearance_mm') ? $in->range('clearance_mm') : null,
        );
        $words = Words::range($fit->clearanceMm);

        return [
            'clearance_mm' => ['min' => $fit->clearanceMm->min, 'max' => $fit->clearanceMm->max],
            'verdict' => $fit->verdict,
            'size' => LengthWriter::size($size),
            'says' => $words,
            ...$in->has('works_mm') ? self::chance($in, $mate, $make === 'shaft', $size) : [],
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Fit',
                    $make === 'shaft' ? 'mate − size ± U' : 'size − mate ± U',
                    $words,
                    'bore less shaft; ISO 14253-1 for the guard',
                ),
            ],
        ];
    }

    /** @return array{chance: float, word: string, kind: string} */
    private static function chance(Fields $in, Fields $mate, bool $makeShaft, float $size): array
    {
        $mating = $mate->number('size_mm');
        $chance = SizesThatWork::of(
            $makeShaft,
            $mating,
            $mate->numberOrNull('loose_mm') ?? $mating,
            $mate->number('u95_mm') / 2,
            $in->range('works_mm'),
        )
            ->checkedTo(($in->numberOrNull('make_u95_mm') ?? 0.0) / 2)
            ->chanceAt($size);

        return ['chance' => $chance, 'word' => Likely::inWords($chance), 'kind' => Likely::kind($chance)];
    }
}
