<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Chance that comes out the same for the same seed and the same use. */
final readonly class Dice
{
    public Randomizer $random;

    /** @param  string  $for  what is drawn: another use of the same seed draws other numbers */
    public function __construct(int $seed, string $for)
    {
        $this->random = new Randomizer(new Mt19937(crc32("{$seed}/{$for}")));
    }

    /** Evenly from one to the other. */
    public function even(float $from, float $to): float
    {
        return $from + (($to - $from) * $this->random->getInt(0, 1_000_000)) / 1_000_000;
    }

    /** Standard normal (Box and Muller). */
    public function normal(): float
    {
        return sqrt(-2 * log($this->even(1e-6, 1))) * cos(2 * M_PI * $this->even(0, 1));
    }

    /** Mostly little, now and then much: exponential, cut off at six times its mean. */
    public function worn(float $mean): float
    {
        return min(6 * $mean, -$mean * log($this->even(1e-6, 1)));
    }

    /** True so many times of one. */
    public function happens(float $chance): bool
    {
        return $this->even(0, 1) < $chance;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    public function pick(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }
}
