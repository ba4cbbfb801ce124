<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\BadInput;

/** One length of a loop: its size with its limits, mm, and whether it opens (1) or closes (−1) the gap. */
final readonly class Contributor
{
    /**
     * @param  float  $plusMm  magnitude, 0 or more
     * @param  float  $minusMm  magnitude, 0 or more
     * @param  int  $direction  1 or −1
     */
    public function __construct(
        public string $name,
        public float $sizeMm,
        public float $plusMm,
        public float $minusMm,
        public int $direction,
        public Spread $spread = Spread::Uniform,
        string $field = 'contributor',
    ) {
        if (! is_finite($sizeMm) || abs($sizeMm) > 20000) {
            throw new BadInput('size', "{$field}.size_mm", "The size of “{$name}” must be a length up to 20 m.");
        }
        if (! is_finite($plusMm) || ! is_finite($minusMm) || $plusMm < 0 || $minusMm < 0) {
            throw new BadInput('limits', "{$field}.plus_mm", "The limits of “{$name}” are typed as magnitudes, zero or more.");
        }
        if (abs($direction) !== 1) {
            throw new BadInput('direction', "{$field}.direction", "“{$name}” opens the gap (1) or closes it (−1).");
        }
    }

    /** Midway between its ends, with its sign, mm. */
    public function middleMm(): float
    {
        return $this->direction * ($this->sizeMm + ($this->plusMm - $this->minusMm) / 2);
    }

    public function halfMm(): float
    {
        return ($this->plusMm + $this->minusMm) / 2;
    }

    public function varianceMm2(): float
    {
        return $this->spread->variance() * $this->halfMm() ** 2;
    }
}
