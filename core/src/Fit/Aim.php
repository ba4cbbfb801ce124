<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;

/** Where in the band to aim. */
enum Aim: string
{
    /** The end from which metal can still be removed: the largest shaft, the smallest bore. */
    case MetalLeft = 'metal-left';

    /** The middle, for a running fit that nobody can try. */
    case Middle = 'middle';

    /** In mm. Source: common practice. */
    public function in(Band $band, SurfaceKind $kind): float
    {
        return match (true) {
            $this === self::Middle => $band->middleMm(),
            $kind === SurfaceKind::Bore => $band->lowerMm,
            default => $band->upperMm,
        };
    }
}
