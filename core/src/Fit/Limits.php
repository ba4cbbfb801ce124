<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Quantity\Range;

/** Limits of one member about its nominal size, in mm. */
final readonly class Limits
{
    public function __construct(public float $upperMm, public float $lowerMm)
    {
    }

    public function widthMm(): float
    {
        return $this->upperMm - $this->lowerMm;
    }

    /** Of this hole with a shaft, in mm: positive for a gap, negative for interference. */
    public function clearance(self $shaft): Range
    {
        return new Range($this->lowerMm - $shaft->upperMm, $this->upperMm - $shaft->lowerMm);
    }
}
