<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

/**
 * What makes one reading unsure, as standard uncertainties in mm. What scatters from one reading to the next averages
 * out; what a gauge shifts all its readings by does not, nor does the warmth of the part.
 *
 * Source: JCGM 100:2008 (GUM), 4.3 and 5.1.
 */
final readonly class ReadingDoubt
{
    /** U95 of a master nothing is known of: a shop's gauge block or setting ring. Common practice. */
    private const MASTER_U_MM = 0.002;

    private function __construct(
        public float $lastDigitMm,
        public float $gaugeMm,
        public float $masterMm,
        public float $feelMm,
        public float $jawsMm,
        public float $temperatureMm,
        /** Of one reading by the instrument's own figure. */
        public float $repeatsMm,
        /** What shifts together: an instrument, set as it was. */
        public string $gauge,
    ) {
    }

    /** @param  float  $sizeMm  about what was read, above 0 */
    public static function of(
        Reading $reading,
        Instrument $tool,
        Warmth $warmth,
        SurfaceKind $kind,
        float $sizeMm,
    ): self {
        $part = $reading->partC ?? 20.0;
        $partOff = abs($part - 20);
        $gaugeOff = abs(($reading->gaugeC ?? $part) - 20);
        $third = 1 / sqrt(3);
        $compared = $reading->masterMm !== null;
        $scatter = $reading->scatterFactor();

        return new self(
            // Anywhere between two pins is as likely as anywhere between two marks; a pair says its own step.
            lastDigitMm: ($scatter * ($reading->betweenMm ?? $tool->resolutionMm)) / sqrt(12),
            // Set on a master near the size, its long-range error drops out.
            gaugeMm: $compared ? 0.0 : $reading->sameGaugeFactor() * $tool->mpeAt($sizeMm) * $third,
            masterMm: ($compared && $tool->masterUMm <= 0 ? self::MASTER_U_MM : $tool->masterUMm) / 2,
            feelMm: $scatter * $tool->feelMm,
            jawsMm: ($tool->jawShiftMm($kind, $sizeMm)->width() / 2) * $third,
            temperatureMm: $sizeMm
                * $third
                * sqrt(
                    ($warmth->alphaPart * $warmth->halfWidthK) ** 2
                        + ($warmth->alphaGauge * $warmth->halfWidthK) ** 2
                        + (Warmth::ALPHA_UNSURE * $partOff) ** 2
                        + (Warmth::ALPHA_UNSURE * $gaugeOff) ** 2,
                ),
            repeatsMm: $scatter * $tool->repeatabilityMm,
            gauge: $tool->code.($compared ? "\0{$reading->masterMm}" : ''),
        );
    }

    /** From one reading to the next, mm; what is felt and repeated by one's own figure, where that is known. */
    public function scatterMm(?float $ownMm = null): float
    {
        return $ownMm === null
            ? sqrt($this->repeatsMm ** 2 + $this->feelMm ** 2 + $this->lastDigitMm ** 2)
            : hypot($ownMm, $this->lastDigitMm);
    }

    /** All readings of the gauge alike, mm. */
    public function shiftMm(): float
    {
        return sqrt($this->gaugeMm ** 2 + $this->masterMm ** 2 + $this->jawsMm ** 2);
    }

    /** Of one reading by itself, mm². */
    public function variance(): float
    {
        return $this->scatterMm() ** 2 + $this->shiftMm() ** 2 + $this->temperatureMm ** 2;
    }

    /** @return array<string, float> by name, other than repeatability; one's own repeats say how one feels it */
    public function others(bool $fromRepeats): array
    {
        return [
            'last digit' => $this->lastDigitMm,
            'gauge' => $this->gaugeMm,
            'master' => $this->masterMm,
            'feel' => $fromRepeats ? 0.0 : $this->feelMm,
            'jaws' => $this->jawsMm,
            'temperature' => $this->temperatureMm,
        ];
    }
}
