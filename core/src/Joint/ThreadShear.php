<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;

/**
 * Stripping of a 60° thread on its basic profile, mm and mm². Source: FED-STD-H28 (shear area of threads), basic sizes.
 */
final readonly class ThreadShear
{
    private const TAN_30 = 0.57735026918963;

    public float $pitchDiameterMm;

    public float $minorMm;

    /**
     * @param  float  $majorMm  above 0
     * @param  float  $pitchMm  above 0, less than the major diameter
     */
    public function __construct(public float $majorMm, public float $pitchMm)
    {
        if (
            ! is_finite($majorMm)
            || $majorMm <= 0
            || ! is_finite($pitchMm)
            || $pitchMm <= 0
            || $pitchMm >= $majorMm / 1.2
        ) {
            throw new BadInput('thread', 'pitch_mm', 'A thread has a diameter above zero and a pitch well below it.');
        }
        $this->pitchDiameterMm = $majorMm - 0.649519 * $pitchMm;
        $this->minorMm = $majorMm - 1.082532 * $pitchMm;
    }

    /** Area at which the screw's threads strip, over an engaged length: π L K [1/2 + tan 30° (E − K)/P]. */
    public function externalMm2(float $engagedMm): float
    {
        return M_PI *
            $engagedMm *
            $this->minorMm *
            (0.5 + (self::TAN_30 * ($this->pitchDiameterMm - $this->minorMm)) / $this->pitchMm);
    }

    /** Area at which the nut's or the casting's threads strip: π L D [1/2 + tan 30° (D − E)/P]. */
    public function internalMm2(float $engagedMm): float
    {
        return M_PI *
            $engagedMm *
            $this->majorMm *
            (0.5 + (self::TAN_30 * ($this->majorMm - $this->pitchDiameterMm)) / $this->pitchMm);
    }

    /** Area that pulls apart: π/4 (D − 0.9382 P)². Source: ISO 898-1. */
    public function stressMm2(): float
    {
        return (M_PI / 4) * ($this->majorMm - 0.938194 * $this->pitchMm) ** 2;
    }

    /**
     * Engagement needed so that the bolt breaks before either thread strips, mm; shear strength taken as 0.577 of
     * tensile (von Mises).
     *
     * @param  float  $boltMpa  tensile strength of the bolt, above 0
     * @param  float  $holeMpa  tensile strength of what it is screwed into, above 0
     */
    public function engagementMm(float $boltMpa, float $holeMpa): float
    {
        if (! ($boltMpa > 0) || ! ($holeMpa > 0)) {
            throw new BadInput('strength', 'tensile_mpa', 'Both strengths must be above zero.');
        }
        $breaks = $boltMpa * $this->stressMm2();

        return max(
            $breaks / (0.577 * $boltMpa * $this->externalMm2(1.0)),
            $breaks / (0.577 * $holeMpa * $this->internalMm2(1.0)),
        );
    }
}
