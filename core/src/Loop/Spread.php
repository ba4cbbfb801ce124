<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

/** How a contributor's size falls between its ends, about their middle. */
enum Spread: string
{
    /** Anywhere alike. */
    case Uniform = 'uniform';

    /** Most often midway. */
    case Triangular = 'triangular';

    /** Normal, its ends three standard deviations away, not cut off there. */
    case Normal = 'normal';

    /** As measured: normal, its ends two standard uncertainties away (k = 2), not cut off there. */
    case Measured = 'measured';

    /** The variance for a half-width of 1: 1/3, 1/6, 1/9, 1/4 (JCGM 100:2008, 4.3). */
    public function variance(): float
    {
        return match ($this) {
            self::Uniform => 1 / 3,
            self::Triangular => 1 / 6,
            self::Normal => 1 / 9,
            self::Measured => 1 / 4,
        };
    }

    public function isNormal(): bool
    {
        return $this === self::Normal || $this === self::Measured;
    }
}
