<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Range;

final class LoopSum implements Sum
{
    public function name(): string
    {
        return 'loop';
    }

    public function says(): string
    {
        return 'Lengths that add up to a gap: how it closes, at worst and by chance, and what spreads it most.';
    }

    public function example(): array
    {
        return [
            'contributors' => [
                [
                    'name' => 'housing',
                    'size_mm' => 40,
                    'plus_mm' => 0.05,
                    'minus_mm' => 0.05,
                    'direction' => 1,
                    'spread' => 'uniform',
                ],
                [
                    'name' => 'bush',
                    'size_mm' => 39.9,
                    'plus_mm' => 0,
                    'minus_mm' => 0.05,
                    'direction' => -1,
                    'spread' => 'uniform',
                ],
            ],
            'wanted' => ['min_mm' => 0.05, 'max_mm' => 0.2],
        ];
    }

    public function takes(): array
    {
        return ['contributors', 'wanted'];
    }

    public function run(Fields $in): array
    {
        $contributors = [];
        foreach ($in->objects('contributors') as $i => $f) {
            $f->only(['name', 'size_mm', 'plus_mm', 'minus_mm', 'direction', 'spread']);
            $direction = $f->number('direction');
            $contributors[] = new Contributor(
                name: $f->text('name'),
                sizeMm: $f->number('size_mm'),
                plusMm: $f->number('plus_mm'),
                minusMm: $f->number('minus_mm'),
                direction: $direction === floor($direction) ? (int) $direction : 0,
                spread: $f->choice('spread', Spread::class),
                field: "contributors.{$i}",
            );
        }
        $wanted = ($in->object('wanted') ?? throw $in->bad('wanted', 'is missing.'))->only(['min_mm', 'max_mm']);
        [$min, $max] = [$wanted->number('min_mm'), $wanted->number('max_mm')];
        if ($min > $max) {
            throw new BadInput('range', 'wanted', 'The least wanted is above the most. Swap the two.');
        }
        $loop = Loop::of($contributors, new Range($min, $max));
        $range = static fn (Range $r): array => ['min' => $r->min, 'max' => $r->max];

        return [
            'nominal_mm' => $loop->nominalMm(),
            'middle_mm' => $loop->middleMm(),
            'worst_mm' => $range($loop->worst()),
            'rss_mm' => $range($loop->rootSumSquare()),
            'chance' => $loop->chance(),
            'likely_mm' => $range($loop->likely()),
            'shares' => $loop->shares(),
            'notes' => $loop->notes(),
            'working' => $loop->working(),
        ];
    }
}
