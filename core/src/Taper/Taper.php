<?php

declare(strict_types=1);

namespace Oldpart\Core\Taper;

use Oldpart\Core\Advice\BadInput;

/**
 * How steep a taper is, however it is said: the angle it includes, the half of it the slide is set to, inches on
 * diameter per foot, or one in so many; and its two diameters and length, as far as they are known. Degrees and mm.
 */
final readonly class Taper
{
    private function __construct(
        public float $halfDeg,
        public ?float $largeMm = null,
        public ?float $smallMm = null,
        public ?float $lengthMm = null,
    ) {
    }

    /**
     * @param  float  $deg  between the two sides, above 0 and below 180
     *
     * @throws BadInput for an angle that is none
     */
    public static function included(float $deg): self
    {
        if (! ($deg > 0 && $deg < 180)) {
            throw new BadInput(
                'angle',
                'included_deg',
                'A taper includes an angle above 0° and below 180°. Type the whole angle between its two sides.',
            );
        }

        return new self($deg / 2);
    }

    /**
     * @param  float  $inches  on diameter over a foot of length, above 0
     *
     * @throws BadInput for no taper
     */
    public static function perFoot(float $inches): self
    {
        if (! ($inches > 0 && is_finite($inches))) {
            throw new BadInput('per-foot', 'per_foot_in', 'The taper per foot must be above zero.');
        }

        return new self(rad2deg(atan($inches / 24)));
    }

    /**
     * @param  float  $n  of one in n, on diameter, above 0
     *
     * @throws BadInput for no taper
     */
    public static function oneIn(float $n): self
    {
        if (! ($n > 0 && is_finite($n))) {
            throw new BadInput('ratio', 'ratio', 'A taper is one in so many, and that is above zero.');
        }

        return new self(rad2deg(atan(1 / (2 * $n))));
    }

    /**
     * @param  float  $largeMm  above the small one
     * @param  float  $smallMm  0 or more
     * @param  float  $lengthMm  between the two, along the axis, above 0
     *
     * @throws BadInput for sizes no taper has
     */
    public static function between(float $largeMm, float $smallMm, float $lengthMm): self
    {
        if (! ($lengthMm > 0)) {
            throw new BadInput('length', 'length_mm', 'The length between the two diameters must be above zero.');
        }
        if (! ($smallMm >= 0) || ! ($largeMm > $smallMm)) {
            throw new BadInput(
                'diameters',
                'large_mm',
                'The large diameter must be above the small one. Where they are the same there is no taper.',
            );
        }

        return new self(rad2deg(atan(($largeMm - $smallMm) / (2 * $lengthMm))), $largeMm, $smallMm, $lengthMm);
    }

    /**
     * With two of its sizes known, the third follows.
     *
     * @throws BadInput where it would come to nothing
     */
    public function sized(?float $largeMm, ?float $smallMm, ?float $lengthMm): self
    {
        $per = $this->onDiameter();
        if ($largeMm !== null && $smallMm !== null && $lengthMm === null) {
            $lengthMm = ($largeMm - $smallMm) / $per;
        } elseif ($largeMm !== null && $lengthMm !== null && $smallMm === null) {
            $smallMm = $largeMm - $per * $lengthMm;
        } elseif ($smallMm !== null && $lengthMm !== null && $largeMm === null) {
            $largeMm = $smallMm + $per * $lengthMm;
        }
        if (($lengthMm ?? 1.0) <= 0) {
            throw new BadInput('diameters', 'large_mm', 'The large diameter must be above the small one.');
        }
        if (($smallMm ?? 0.0) < 0) {
            throw new BadInput(
                'length',
                'length_mm',
                'So long a taper would come to a point before its end. Shorten it, or check its angle.',
            );
        }

        return new self($this->halfDeg, $largeMm, $smallMm, $lengthMm);
    }

    public function includedDeg(): float
    {
        return 2 * $this->halfDeg;
    }

    /** What the diameter changes by over a millimetre of length: 2 tan of the half angle. */
    public function onDiameter(): float
    {
        return 2 * tan(deg2rad($this->halfDeg));
    }

    public function perFootIn(): float
    {
        return 12 * $this->onDiameter();
    }

    /** The n of one in n. */
    public function ratio(): float
    {
        return 1 / $this->onDiameter();
    }

    /**
     * What an indicator square to the axis moves by as the compound slide, set to the half angle, goes so far along
     * itself: the sine. Common practice.
     */
    public function alongSlideMm(float $travelMm): float
    {
        return $travelMm * sin(deg2rad($this->halfDeg));
    }

    /** The same as the carriage goes so far along the axis, over a taper between centres: the tangent. */
    public function alongAxisMm(float $travelMm): float
    {
        return $travelMm * tan(deg2rad($this->halfDeg));
    }

    /**
     * What to take off, on the diameter, so that it goes in by so much more. Half of it per side.
     *
     * @param  float  $gapMm  how far it still has to go in, along the axis; below 0: it is in too far already
     */
    public function toGoInMm(float $gapMm): float
    {
        return $gapMm * $this->onDiameter();
    }
}
