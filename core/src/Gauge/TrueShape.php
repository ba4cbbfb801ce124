<?php

declare(strict_types=1);

namespace Oldpart\Core\Gauge;

/** A part as it really is, hidden behind a simulated gauge: size at 20 °C with its form, and its temperature. */
final readonly class TrueShape
{
    /**
     * @param  float  $sizeMm  mean diameter
     * @param  float  $ovalityMm  largest less smallest diameter round it
     * @param  float  $taperMm  end less beginning
     * @param  float  $lobesMm  height of three lobes on the radius, which two-point gauges can't see
     */
    public function __construct(
        public float $sizeMm,
        public float $ovalityMm = 0.0,
        public float $taperMm = 0.0,
        public float $lobesMm = 0.0,
        public float $temperatureC = 20.0,
        public float $alphaPerK = 11.7e-6,
    ) {
    }

    /**
     * The diameter two opposite points give, at 20 °C.
     *
     * @param  float  $along  0 at the beginning, 1 at the end
     */
    public function twoPoint(float $along, float $angleDeg): float
    {
        return $this->sizeMm + ($this->ovalityMm / 2) * cos(2 * deg2rad($angleDeg)) + $this->taperMm * ($along - 0.5);
    }

    /**
     * The diameter three points 120° apart give: they ride on three lobes or between them, so they see them doubled.
     */
    public function threePoint(float $along, float $angleDeg): float
    {
        return $this->sizeMm + $this->taperMm * ($along - 0.5) + 2 * $this->lobesMm * cos(3 * deg2rad($angleDeg));
    }

    /** Grown or shrunk to its own temperature. */
    public function warm(float $mmAtTwenty): float
    {
        return $mmAtTwenty * (1 + $this->alphaPerK * ($this->temperatureC - 20));
    }
}
