<?php

declare(strict_types=1);

namespace Oldpart\Core\Offset;

use Oldpart\Core\Advice\BadInput;

/** A centre off another, by two differences at right angles, and how it is set; mm and degrees. */
final readonly class Eccentric
{
    public float $offsetMm;

    public float $directionDeg;

    /** @param  float  $aMm  how far the centre moved, and $bMm square to it */
    public function __construct(float $aMm, float $bMm)
    {
        $this->offsetMm = hypot($aMm, $bMm);
        $this->directionDeg = $this->offsetMm > 0 ? rad2deg(atan2($bMm, $aMm)) : 0.0;
    }

    /** What an indicator swings by in all, in four jaws. */
    public function swingMm(): float
    {
        return 2 * $this->offsetMm;
    }

    /**
     * Under one of three narrow jaws that grip outside: 1.5 e − r + √(r² − 0.75 e²). Source: geometry of three jaws.
     *
     * @param  float  $barMm  diameter gripped, above 0
     *
     * @throws BadInput for an offset three jaws cannot hold
     */
    public function packingMm(float $barMm): float
    {
        $r = $barMm / 2;
        if (! ($barMm > 0) || 0.75 * $this->offsetMm ** 2 > $r ** 2) {
            throw new BadInput('bar', 'bar_diameter_mm', 'Three jaws cannot hold a bar so far off: take four jaws, or a thicker bar.');
        }

        return 1.5 * $this->offsetMm - $r + sqrt($r ** 2 - 0.75 * $this->offsetMm ** 2);
    }

    /**
     * The thinnest wall round a bore that lies off by it; below zero it breaks out.
     *
     * @param  float  $outsideMm  above 0
     * @param  float  $boreMm  above 0
     */
    public function wallMm(float $outsideMm, float $boreMm): float
    {
        return ($outsideMm - $boreMm) / 2 - $this->offsetMm;
    }

    /** How far sideways the centre comes where it is turned about its axis by so much too far: e sin Δθ. */
    public function sidewaysMm(float $turnedDeg): float
    {
        return $this->offsetMm * sin(deg2rad(abs($turnedDeg)));
    }

    /**
     * Stock for a bar that both come out of, one boss in its middle: the larger, or the smaller and twice the offset.
     */
    public function stockMm(float $centralMm, float $offMm): float
    {
        return max($centralMm, $offMm + 2 * $this->offsetMm);
    }

    /** What is still to move after a try: along and across, from where it came to lie to where it belongs. */
    public function leftAfter(float $triedAMm, float $triedBMm): self
    {
        $rad = deg2rad($this->directionDeg);

        return new self($this->offsetMm * cos($rad) - $triedAMm, $this->offsetMm * sin($rad) - $triedBMm);
    }
}
