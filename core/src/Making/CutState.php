<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;

/** Where a surface that is being cut stands. */
enum CutState: string
{
    case Cut = 'cut';
    case Inside = 'inside';
    case Past = 'past';

    /**
     * Where a size stands to its limits: a bore grows as it is cut, anything else shrinks. Source: geometry.
     *
     * @param  float  $sizeMm  any size
     */
    public static function of(float $sizeMm, Band $band, SurfaceKind $kind): self
    {
        $past = $kind === SurfaceKind::Bore ? $sizeMm > $band->upperMm : $sizeMm < $band->lowerMm;

        return $band->holds($sizeMm) ? self::Inside : ($past ? self::Past : self::Cut);
    }
}
