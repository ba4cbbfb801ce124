<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Number\FlatNormal;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;

/**
 * The sizes of a part with which its joint works, by what was found of its mate: from and to here, and the two move
 * together by what the mate was misread by. Source: JCGM 106:2012, conformity by probability.
 */
final readonly class SizesThatWork
{
    /**
     * Of twenty gauges in use one is off by more than it may be, up to twice that: as if of ten one were off by
     * anything up to twice. Common practice, no source; it counts only where the gauge's own error is known to be part
     * of the doubt.
     */
    private const STRAY = 0.1;

    private const STRAYS_TO = 2.0;

    private function __construct(public float $fromMm, public float $toMm, private FlatNormal $off)
    {
    }

    /**
     * @param  bool  $makeShaft  true: the inner part is made to a measured bore
     * @param  float  $matingMm  the mate where it is tightest, mm; for a press its mean
     * @param  float  $looseMm  the mate where it is loosest; for a press its mean
     * @param  float  $sigmaMm  standard uncertainty of the mate, 0 or more
     * @param  Range  $worksMm  clearance within which the joint works
     * @param  float  $flatMm  of that uncertainty, by how much the gauge itself may be off either way: anywhere within, each as likely; 0 where that is not known
     */
    public static function of(
        bool $makeShaft,
        float $matingMm,
        float $looseMm,
        float $sigmaMm,
        Range $worksMm,
        float $flatMm = 0.0,
    ): self {
        // No more of it is flat than there is.
        $flat = min($flatMm, sqrt(3) * $sigmaMm);

        return new self(
            $makeShaft ? $looseMm - $worksMm->max : $matingMm + $worksMm->min,
            $makeShaft ? $matingMm - $worksMm->min : $looseMm + $worksMm->max,
            new FlatNormal(sqrt(max(0.0, $sigmaMm ** 2 - $flat ** 2 / 3)), $flat),
        );
    }

    /** With the doubt of a gauge that will check the part, one standard deviation, mm. */
    public function checkedTo(float $sigmaMm): self
    {
        return new self($this->fromMm, $this->toMm, $this->off->with($sigmaMm));
    }

    /** Standard uncertainty of the mate's tightest and loosest, and of the gauge that checks, mm. */
    public function sigmaMm(): float
    {
        return $this->off->deviation();
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
            : $this->overGauges(
                fn (FlatNormal $off): float => $off->below($this->toMm - $sizeMm)
                    - $off->below($this->fromMm - $sizeMm),
            );
    }

    /** The chance that a part anywhere in a band works, each size as likely. */
    public function chanceOver(Band $band): float
    {
        if ($this->widthMm() <= 0) {
            return 0.0;
        }
        if ($band->widthMm() < 1e-9) {
            return $this->chanceAt($band->middleMm());
        }
        $over = static fn (FlatNormal $off, float $end): float => $off->sumBelow($end - $band->lowerMm)
            - $off->sumBelow($end - $band->upperMm);
        $all = $this->overGauges(
            fn (FlatNormal $off): float => $over($off, $this->toMm) - $over($off, $this->fromMm),
        );

        return max(0.0, min(1.0, $all / $band->widthMm()));
    }

    /** @param  callable(FlatNormal): float  $of */
    private function overGauges(callable $of): float
    {
        return $this->off->flat === 0.0
            ? $of($this->off)
            : (1 - self::STRAY) * $of($this->off) + self::STRAY * $of($this->off->wider(self::STRAYS_TO));
    }

    /** The chance that the mate is misread by less than so many of its standard uncertainties. */
    public function misreadBelow(float $deviations): float
    {
        return $this->overGauges(fn (FlatNormal $off): float => $off->below($deviations * $this->sigmaMm()));
    }

    /**
     * Those there are where the mate is larger than found by so many of its standard uncertainties; what is left unsure
     * is the gauge that checks the part, one standard deviation, mm.
     */
    public function misreadBy(float $deviations, float $checkedToMm): self
    {
        $shift = $deviations * $this->sigmaMm();

        return new self($this->fromMm + $shift, $this->toMm + $shift, new FlatNormal($checkedToMm, 0.0));
    }
}
