<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

/** Limits of one member about its nominal size, in mm. */
final readonly class Limits
{
    public function __construct(public float $upperMm, public float $lowerMm)
    {
    }
}
