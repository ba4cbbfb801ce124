<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

/** How far from nothing a normal quantity is, whichever way. Source: elementary probability. */
final readonly class FoldedNormal
{
    /** @param  float  $sigma  0 or more */
    public function __construct(private float $middle, private float $sigma)
    {
    }

    public function mean(): float
    {
        return $this->sigma <= 0.0
            ? abs($this->middle)
            : $this->sigma * sqrt(2 / M_PI) * exp(-(($this->middle / $this->sigma) ** 2) / 2)
                + $this->middle * $this->sureness();
    }

    public function variance(): float
    {
        return max(0.0, $this->middle ** 2 + $this->sigma ** 2 - $this->mean() ** 2);
    }

    /** How sure its sign is: 1 plus for certain, 0 either, −1 minus for certain. */
    public function sureness(): float
    {
        return $this->sigma <= 0.0
            ? (float) ($this->middle <=> 0.0)
            : 2 * Normal::below($this->middle / $this->sigma) - 1;
    }
}
