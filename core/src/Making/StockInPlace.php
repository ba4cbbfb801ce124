<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

/** What is left on a size that changes as its part is pressed, to be finished where it sits. */
final class StockInPlace
{
    /**
     * On the diameter: three tenths of a millimetre, of large sizes a hundredth.
     *
     * @param  float  $sizeMm  the size it is finished to, mm, above 0
     * @return float mm
     *
     * Source: common practice of the trade.
     */
    public static function mm(float $sizeMm): float
    {
        return max(0.3, 0.01 * $sizeMm);
    }
}
