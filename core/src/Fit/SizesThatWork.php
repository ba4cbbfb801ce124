<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Number\Normal;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;

/**
 * The sizes of a part with which its joint works, by what was found of its mate: from and to here, and the two move
 * together by what the mate was misread by. Source: JCGM 106:2012, conformity by probability.
 */
final readonly class SizesThatWork
{
    /**
     * @param  float  $sigmaMm  standard uncertainty of the mate's tightest and loosest, above 0
     */
    private function __construct(public float $fromMm, public float $toMm, public float $sigmaMm)
    {
    }

    /**
     * @param  bool  $makeShaft  true: the inner part is made to a measured bore
     * @param  float  $matingMm  the mate where it is tightest, mm; for a press its mean
     * @param  float  $looseMm  the mate where it is loosest; for a press its mean
     * @param  float  $sigmaMm  standard uncertainty of the mate, 0 or more
     * @param  Range  $worksMm  clearance within which the joint works
     */
    public static function of(
        bool $makeShaft,
        float $matingMm,
        float $looseMm,
        float $sigmaMm,
        Range $worksMm,
    ): self {
        return new self(
            $makeShaft ? $looseMm - $worksMm->max : $matingMm + $worksMm->min,
            $makeShaft ? $matingMm - $worksMm->min : $looseMm + $worksMm->max,
            max(1e-6, $sigmaMm),
        );
    }

    /** With the doubt of a gauge that will check the part, one standard deviation, mm. */
    public function checkedTo(float $sigmaMm): self
    {
        return new self($this->fromMm, $this->toMm, hypot($this->sigmaMm, $sigmaMm));
    }

    public function middleMm(): float
    {
        return ($this->fromMm + $this->toMm) / 2;
    }

    /** Below zero where the mate's form is more than what works. */
    public function widthMm(): float
    {
        return $this->toMm - $this->fromMm;
    }

    /** The chance that a part of just this size works; 0 to 1. */
    public function chanceAt(float $sizeMm): float
    {
        return $this->widthMm() <= 0
            ? 0.0
            : Normal::below(($this->toMm - $sizeMm) / $this->sigmaMm)
                - Normal::below(($this->fromMm - $sizeMm) / $this->sigmaMm);
    }

    /** The chance that a part anywhere in a band works, each size as likely: ∫ Φ(u) du = u Φ(u) + φ(u). */
    public function chanceOver(Band $band): float
    {
        if ($this->widthMm() <= 0) {
            return 0.0;
        }
        if ($band->widthMm() < 1e-9) {
            return $this->chanceAt($band->middleMm());
        }
        $whole = static fn (float $u): float => $u * Normal::below($u) + exp((-$u * $u) / 2) / sqrt(2 * M_PI);
        $over = fn (float $end): float => $this->sigmaMm
            * ($whole(($end - $band->lowerMm) / $this->sigmaMm) - $whole(($end - $band->upperMm) / $this->sigmaMm));

        return max(0.0, min(1.0, ($over($this->toMm) - $over($this->fromMm)) / $band->widthMm()));
    }

    /**
     * Those there are where the mate is larger than found by so many of its standard uncertainties; what is left unsure
     * is the gauge that checks the part, one standard deviation, mm.
     */
    public function misreadBy(float $deviations, float $checkedToMm): self
    {
        $shift = $deviations * $this->sigmaMm;

        return new self($this->fromMm + $shift, $this->toMm + $shift, max(1e-6, $checkedToMm));
    }
}
