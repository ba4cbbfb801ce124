<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Fit\SizesThatWork;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Range;

/** How likely two parts that are both there work together as they are, by what was found of each. */
final readonly class PairChance
{
    /** @param  Range  $works  clearance within which the joint works, mm */
    public function __construct(private FoundSize $inner, private FoundSize $outer, private Range $works)
    {
    }

    /**
     * A press goes by the mean of both; otherwise the least gap over the form of both must reach the least that works,
     * and the greatest gap must not pass the most.
     *
     * @param  ?Range  $closing  by how much the outer one will have closed, mm
     *
     * Source: JCGM 106:2012.
     */
    public function of(?Range $closing = null): float
    {
        $inner = $this->inner->likeliest();
        $outer = $this->outer->likeliest();
        $press = $this->works->max <= 0;
        $form = $press ? 0.0 : abs($inner->looseMm - $inner->matingMm) / 2;
        $size = $press ? $inner->meanMm : ($inner->looseMm + $inner->matingMm) / 2;
        $closes = $closing?->middle() ?? 0.0;

        return SizesThatWork::of(
            makeShaft: true,
            matingMm: ($press ? $outer->meanMm : min($outer->matingMm, $outer->looseMm)) - $form - $closes,
            looseMm: ($press ? $outer->meanMm : max($outer->matingMm, $outer->looseMm)) + $form - $closes,
            sigmaMm: $press ? $outer->u95MeanMm / $outer->kMean : $outer->u95Mm / $outer->k,
            worksMm: $this->works,
            flatMm: $outer->flatMm,
        )
            ->checkedTo(
                hypot(
                    $press ? $inner->u95MeanMm / $inner->kMean : $inner->u95Mm / $inner->k,
                    ($closing?->width() ?? 0.0) / sqrt(12),
                ),
            )
            ->chanceAt($size);
    }
}
