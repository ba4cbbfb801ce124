<?php

declare(strict_types=1);

namespace Oldpart\Core\Casting;

use Oldpart\Core\Advice\BadInput;

/** From a finished size to its pattern, and from a raw one to what is left to cut; mm. */
final class Casting
{
    /**
     * @param  float  $allowanceMm  to cut, per side, 0 or more
     * @param  float  $shrinkPercent  of the metal, 0 to 10
     *
     * @throws BadInput for a casting of nothing
     */
    public static function patternMm(float $finishedMm, bool $outside, float $allowanceMm, float $shrinkPercent): float
    {
        if (! ($finishedMm > 0) || ! ($allowanceMm >= 0)) {
            throw new BadInput('size', 'finished_mm', 'The finished size is above zero, the allowance zero or more.');
        }
        if (! ($shrinkPercent >= 0 && $shrinkPercent <= 10)) {
            throw new BadInput('shrink', 'shrink_percent', 'Metal shrinks by 0 to 10 of 100: grey iron 1, steel 2.');
        }
        $raw = $finishedMm + ($outside ? 2 : -2) * $allowanceMm;
        if ($raw <= 0) {
            throw new BadInput('allowance', 'allowance_mm', 'So much to cut leaves no hole to cast: cast it solid.');
        }

        return $raw * (1 + $shrinkPercent / 100);
    }

    /**
     * The least that is left per side where it runs out: (raw − finished)/2 − run-out/2 outside, mirrored inside.
     *
     * @param  float  $runoutMm  full reading, 0 or more
     *
     * @throws BadInput for sizes of nothing
     */
    public static function stockMm(float $rawMm, float $finishedMm, float $runoutMm, bool $outside): float
    {
        if (! ($rawMm > 0) || ! ($finishedMm > 0) || ! ($runoutMm >= 0)) {
            throw new BadInput('size', 'raw_mm', 'Both sizes are above zero, the run-out zero or more.');
        }

        return (($outside ? 1 : -1) * ($rawMm - $finishedMm) - $runoutMm) / 2;
    }
}
