<?php

declare(strict_types=1);

namespace Oldpart\Core\Shaft;

use Oldpart\Core\Advice\BadInput;

/**
 * How work runs in the chuck, by an indicator at two places along it, four ways round: off, aslant, oval, tapered; mm
 * and degrees. A reading grows outward. Source: first and second harmonic of four readings.
 */
final readonly class RunOut
{
    /** How far off the axis, and which way, nearest the jaws and at the far place. */
    public float $nearMm;

    public float $nearDeg;

    public float $farMm;

    public float $farDeg;

    /** Its own axis against that of the spindle. */
    public float $leanDeg;

    /** Across it, at 0° less at 90°, at the rounder of the two places. */
    public float $ovalMm;

    /**
     * Its diameter at the far place less that near the jaws; only where both were read from one setting of the dial.
     */
    public float $taperMm;

    /**
     * @param  array{float, float, float, float}  $near  read at 0°, 90°, 180° and 270°
     * @param  array{float, float, float, float}  $far
     * @param  float  $apartMm  the two places, along the axis, above 0
     *
     * @throws BadInput for places that are one
     */
    public function __construct(array $near, array $far, float $apartMm)
    {
        if (! ($apartMm > 0)) {
            throw new BadInput('apart', 'apart_mm', 'The two places have to be apart along the axis: as far as the work is long.');
        }
        [$nx, $ny] = [($near[0] - $near[2]) / 2, ($near[1] - $near[3]) / 2];
        [$fx, $fy] = [($far[0] - $far[2]) / 2, ($far[1] - $far[3]) / 2];
        [$this->nearMm, $this->farMm] = [hypot($nx, $ny), hypot($fx, $fy)];
        $this->nearDeg = self::toward($nx, $ny);
        $this->farDeg = self::toward($fx, $fy);
        $this->leanDeg = rad2deg(atan(hypot($fx - $nx, $fy - $ny) / $apartMm));
        $ovals = [self::oval($near), self::oval($far)];
        $this->ovalMm = abs($ovals[0]) < abs($ovals[1]) ? $ovals[0] : $ovals[1];
        $this->taperMm = (array_sum($far) - array_sum($near)) / 2;
    }

    private static function toward(float $x, float $y): float
    {
        $deg = hypot($x, $y) > 0 ? rad2deg(atan2($y, $x)) : 0.0;

        return $deg < 0 ? $deg + 360 : $deg;
    }

    /** @param  array{float, float, float, float}  $read */
    private static function oval(array $read): float
    {
        return $read[0] + $read[2] - $read[1] - $read[3];
    }
}
