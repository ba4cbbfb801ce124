<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

/** Sizes are stated at 20 °C (ISO 1). */
final readonly class Warmth
{
    /**
     * @param  float  $alphaPart  expansion of the part, 1/K
     * @param  float  $alphaGauge  expansion of the gauge, 1/K
     * @param  float  $halfWidthK  how far the temperatures may be off, K
     */
    public function __construct(
        public float $alphaPart = self::STEEL,
        public float $alphaGauge = self::STEEL,
        public float $halfWidthK = 0.0,
    ) {
    }

    /** Steel, used where the expansion is not given, 1/K. Typical handbook value. */
    public const STEEL = 11.7e-6;

    /** How far an expansion from a table may be off, 1/K (half-width). Common practice. */
    public const ALPHA_UNSURE = 1e-6;

    /**
     * The size at 20 °C of a part read at another temperature: L20 = L (1 + αg (Tg − 20)) / (1 + αp (Tp − 20)).
     * A gauge without its own temperature is as warm as the part. Source: ISO 1; common metrology practice.
     */
    public function atTwenty(Reading $reading): float
    {
        $part = $reading->partC ?? 20.0;
        $gauge = $reading->gaugeC ?? $part;

        return ($reading->valueMm * (1 + $this->alphaGauge * ($gauge - 20))) / (1 + $this->alphaPart * ($part - 20));
    }
}
