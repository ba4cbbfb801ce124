<?php

declare(strict_types=1);

namespace Oldpart\Core\Offset;

use Oldpart\Core\Advice\BadInput;

/** The shim under one end of a base that takes out what is off at the end of a lever. Source: similar triangles. */
final class TiltShim
{
    /** @throws BadInput for a lever or a base of nothing */
    public static function mm(float $offMm, float $leverMm, float $baseMm): float
    {
        if (! ($baseMm > 0)) {
            throw new BadInput('base', 'base_mm', 'The feet have to be apart.');
        }

        return $baseMm * tan(deg2rad(self::deg($offMm, $leverMm)));
    }

    public static function deg(float $offMm, float $leverMm): float
    {
        if (! ($leverMm > abs($offMm))) {
            throw new BadInput('lever', 'lever_mm', 'The lever has to be longer than it is off at its end.');
        }

        return rad2deg(asin($offMm / $leverMm));
    }
}
