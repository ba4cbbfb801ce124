<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Fit\BestSize;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Quantity\Fields;

final class AimSum implements Sum
{
    public function name(): string
    {
        return 'aim';
    }

    public function says(): string
    {
        return 'The size most likely to work for a purpose in a mate that was found, and how likely that is.';
    }

    public function example(): array
    {
        return [
            'purpose' => 'light-press',
            'make' => 'shaft',
            'mate' => ['mean_mm' => 28.56, 'mating_mm' => 28.547, 'loose_mm' => 28.578, 'u95_mm' => 0.023],
            'holds_mm' => 0.01,
        ];
    }

    public function takes(): array
    {
        return ['purpose', 'make', 'mate', 'nominal_mm', 'holds_mm', 'make_u95_mm'];
    }

    public function run(Fields $in): array
    {
        $make = $in->text('make');
        if ($make !== 'shaft' && $make !== 'bore') {
            throw $in->bad('make', 'must be one of: shaft, bore.');
        }
        $purpose = Purpose::named($in->text('purpose'));
        $mate = $in->object('mate') ?? throw $in->bad('mate', 'is missing.');
        $mate->only(['mean_mm', 'mating_mm', 'loose_mm', 'u95_mm']);
        $mean = $mate->number('mean_mm');
        $works =
            $purpose->worksWithin($in->numberOrNull('nominal_mm') ?? $mean) ??
            throw $in->bad('purpose', "says “{$purpose->name}”: within which clearance that works is not known here.");
        // A press goes by the mean of its mate.
        $tight = $works->max <= 0;
        $best = BestSize::of(
            makeShaft: $make === 'shaft',
            matingMm: $tight ? $mean : $mate->number('mating_mm'),
            looseMm: $tight ? $mean : $mate->number('loose_mm'),
            sigmaMm: $mate->number('u95_mm') / 2,
            worksMm: $works,
            holdsMm: $in->number('holds_mm'),
            makeSigmaMm: ($in->numberOrNull('make_u95_mm') ?? 0.0) / 2,
        );
        $says = $best === null
            ? 'The mate is further out of round and tapered than such a joint allows, so no size works: true it up, or take a wider fit.'
            : Likely::inWords($best->chance);

        return [
            'aim_mm' => $best?->aimMm,
            'lower_mm' => $best?->band->lowerMm,
            'upper_mm' => $best?->band->upperMm,
            'chance' => $best?->chance,
            'works_mm' => ['min' => $works->min, 'max' => $works->max],
            'says' => $says,
            'notes' => $best === null ? [Note::stop('no-size', $says)] : [],
            'working' => $best->working->steps ?? [],
        ];
    }
}
