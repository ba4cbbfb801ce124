<?php

declare(strict_types=1);

namespace Oldpart\Core\Pattern;

use Oldpart\Core\Advice\BadInput;

/** The hole a fastener goes through where both patterns are off by so much. Source: ASME Y14.5, appendix B. */
final class Fastener
{
    /**
     * @param  float  $boltMm  F, the largest it may be, above 0
     * @param  float  $positionMm  T, of either pattern, on the diameter, 0 or more
     * @param  bool  $fixed  one side is tapped or carries dowels: H = F + 2 T; else the bolt floats: H = F + T
     *
     * @throws BadInput for a bolt of nothing
     */
    public static function holeMm(float $boltMm, float $positionMm, bool $fixed): float
    {
        if (! ($boltMm > 0)) {
            throw new BadInput('bolt', 'bolt_mm', 'The bolt must be above zero.');
        }
        if (! ($positionMm >= 0)) {
            throw new BadInput('position', 'position_mm', 'How far each side may be off is zero or more, on the diameter.');
        }

        return $boltMm + ($fixed ? 2 : 1) * $positionMm;
    }

    /**
     * How far each hole may lie off its place, on the diameter, with a hole and a bolt that are given; below zero the
     * bolt does not enter. Source: ASME Y14.5, appendix B.
     *
     * @param  float  $holeMm  the smallest it may be
     * @param  float  $boltMm  the largest it may be
     */
    public static function positionMm(float $holeMm, float $boltMm, bool $fixed): float
    {
        return ($holeMm - $boltMm) / ($fixed ? 2 : 1);
    }
}
