<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\BadInput;

/**
 * One length of a loop: its size with its limits, mm, whether it opens (1) or closes (−1) the gap, and how much of it
 * counts (½ of a diameter, in a radial loop).
 */
final readonly class Contributor
{
    /**
     * @param  float  $plusMm  magnitude, 0 or more
     * @param  float  $minusMm  magnitude, 0 or more
     * @param  int  $direction  1 or −1
     * @param  float  $weight  above 0, 1 at most
     */
    public function __construct(
        public string $name,
        public float $sizeMm,
        public float $plusMm,
        public float $minusMm,
        public int $direction,
        public Spread $spread = Spread::Uniform,
        string $field = 'contributor',
        public float $weight = 1.0,
    ) {
        if (! is_finite($sizeMm) || abs($sizeMm) > 20000) {
            throw new BadInput('size', "{$field}.size_mm", "The size of “{$name}” must be a length up to 20 m.");
        }
        if (! is_finite($plusMm) || ! is_finite($minusMm) || $plusMm < 0 || $minusMm < 0) {
            throw new BadInput(
                'limits',
                "{$field}.plus_mm",
                "The limits of “{$name}” are typed as magnitudes, zero or more.",
            );
        }
        if (abs($direction) !== 1) {
            throw new BadInput('direction', "{$field}.direction", "“{$name}” opens the gap (1) or closes it (−1).");
        }
        if (! ($weight > 0 && $weight <= 1)) {
            throw new BadInput('weight', "{$field}.weight", "“{$name}” counts whole (1) or in part, such as ½.");
        }
    }

    /** The same length with another size and limits, mm. */
    public function resized(float $sizeMm, float $plusMm, float $minusMm): self
    {
        return new self(
            name: $this->name,
            sizeMm: $sizeMm,
            plusMm: $plusMm,
            minusMm: $minusMm,
            direction: $this->direction,
            spread: $this->spread,
            weight: $this->weight,
        );
    }

    /** What it adds to the gap at its size, mm. */
    public function addsMm(): float
    {
        return $this->direction * $this->weight * $this->sizeMm;
    }

    /** What it adds midway between its ends, mm. */
    public function middleMm(): float
    {
        return $this->addsMm() + ($this->direction * $this->weight * ($this->plusMm - $this->minusMm)) / 2;
    }

    /** Half of what the gap moves by between its ends, mm. */
    public function halfMm(): float
    {
        return $this->weight * $this->ownHalfMm();
    }

    /** Half of its own width of limits, mm. */
    public function ownHalfMm(): float
    {
        return ($this->plusMm + $this->minusMm) / 2;
    }

    public function varianceMm2(): float
    {
        return $this->spread->variance() * $this->halfMm() ** 2;
    }
}
