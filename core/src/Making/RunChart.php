<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Number\Normal;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;

/**
 * One size over the pieces of a batch: what the work itself spreads, and what is out of its way.
 *
 * Source: ISO 7870-2, charts for individuals and moving ranges.
 */
final readonly class RunChart
{
    /** Three standard deviations in mean moving ranges of two: 3 ÷ 1.128. */
    private const LIMIT = 2.66;

    /** The most a moving range of two is by chance, in mean ones. */
    private const RANGE_LIMIT = 3.267;

    /** The mean moving range of two in standard deviations. */
    private const MEAN_RANGE = 1.128;

    /** On one side of the middle one after the other: no chance any more. */
    private const ONE_SIDE = 9;

    /** Each larger than the one before, or each smaller. */
    private const STEADY = 6;

    /** With fewer pieces the limits may still move a good deal. */
    public const FEW = 20;

    /** With fewer there are none. */
    public const LEAST = 4;

    /** @param  list<float>  $sizesMm  in the order they were made */
    private function __construct(private array $sizesMm, public float $meanMm, public float $meanRangeMm)
    {
    }

    /**
     * @param  list<float>  $sizesMm  in the order they were made
     * @return ?self null for fewer than four
     */
    public static function of(array $sizesMm): ?self
    {
        $n = count($sizesMm);
        if ($n < self::LEAST) {
            return null;
        }
        $sum = 0.0;
        for ($i = 1; $i < $n; $i++) {
            $sum += abs($sizesMm[$i] - $sizesMm[$i - 1]);
        }

        return new self($sizesMm, array_sum($sizesMm) / $n, $sum / ($n - 1));
    }

    /** Within which the sizes stay as long as nothing changes, mm. */
    public function limits(): Range
    {
        $by = self::LIMIT * $this->meanRangeMm;

        return new Range($this->meanMm - $by, $this->meanMm + $by);
    }

    /** The most that one piece differs from the one before as long as nothing changes, mm. */
    public function rangeLimitMm(): float
    {
        return self::RANGE_LIMIT * $this->meanRangeMm;
    }

    /** One standard deviation of the work, mm. */
    public function spreadMm(): float
    {
        return $this->meanRangeMm / self::MEAN_RANGE;
    }

    /** How many of the last sizes lie beyond the limits, or all on one side, or each beyond the one before. */
    public function signal(): ?string
    {
        $limits = $this->limits();
        $last = $this->sizesMm[count($this->sizesMm) - 1];
        $jump = abs($last - $this->sizesMm[count($this->sizesMm) - 2]);

        return match (true) {
            $last > $limits->max, $last < $limits->min => 'beyond',
            $jump > $this->rangeLimitMm() => 'jump',
            $this->steady() => 'steady',
            $this->oneSide() => 'one-side',
            default => null,
        };
    }

    /** The share that would come out outside, set to the middle of the band and with nothing changing, 0 to 1. */
    public function outsideAtBest(Band $band): float
    {
        $sigma = $this->spreadMm();

        return $sigma <= 0 ? 0.0 : 2 * Normal::below(-$band->widthMm() / 2 / $sigma);
    }

    private function steady(): bool
    {
        $recent = array_slice($this->sizesMm, -self::STEADY);
        $steps = [];
        for ($i = 1, $n = count($recent); $i < $n; $i++) {
            $steps[] = $recent[$i] <=> $recent[$i - 1];
        }

        return count($recent) === self::STEADY && in_array(array_unique($steps), [[1], [-1]], true);
    }

    private function oneSide(): bool
    {
        $recent = array_slice($this->sizesMm, -self::ONE_SIDE);
        $sides = array_unique(array_map(fn (float $mm): int => $mm <=> $this->meanMm, $recent));

        return count($recent) === self::ONE_SIDE && in_array($sides, [[1], [-1]], true);
    }
}
