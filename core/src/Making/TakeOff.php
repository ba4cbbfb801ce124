<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Number\StudentT;
use Oldpart\Core\Quantity\Range;

/**
 * What a lathe took off for what was dialled on earlier cuts of a kind: their mean, and where the next one lies.
 *
 * Source: mean and prediction interval of a sample, Student's t.
 */
final readonly class TakeOff
{
    /** Fewer say nothing. */
    public const LEAST = 4;

    private function __construct(public float $mean, private float $sigma, public int $count)
    {
    }

    /**
     * @param  list<float>  $ratios  removed ÷ dialled, both on diameter; those that are a slip, or a dial that reads the radius, count for nothing
     * @return ?self null for fewer than four that count
     */
    public static function of(array $ratios): ?self
    {
        $counted = array_values(array_filter($ratios, NextCut::isLikely(...)));
        $n = count($counted);
        if ($n < self::LEAST) {
            return null;
        }
        $mean = array_sum($counted) / $n;
        $squares = array_sum(array_map(static fn (float $r): float => ($r - $mean) ** 2, $counted));

        return new self($mean, sqrt($squares / ($n - 1)), $n);
    }

    /** In which the next cut lies, in 95 of 100. */
    public function next(): Range
    {
        $by = StudentT::k95($this->count - 1) * $this->sigma * sqrt(1 + 1 / $this->count);

        return new Range($this->mean - $by, $this->mean + $by);
    }

    public function says(): string
    {
        return "{$this->count} earlier cuts in like metal took off ".number_format($this->mean, 2)
            .' of what was dialled, '.number_format($this->next()->min, 2).' to '.number_format($this->next()->max, 2)
            .' in 95 of 100';
    }
}
