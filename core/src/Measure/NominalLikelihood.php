<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

/**
 * How likely a found size is if a certain one was meant, per mm: made anywhere in its zone, perhaps worn, read with
 * doubt.
 */
final readonly class NominalLikelihood
{
    private const WEAR_SHARE = 0.01;

    private const WEAR_LEAST_MM = 0.1;

    private const STEPS = 8;

    private const TAIL = 4.0;

    /** A reading without any doubt would make every other size impossible, mm. */
    private const SIGMA_LEAST_MM = 1e-4;

    private float $sigma;

    private float $wear;

    private int $sign;

    /** The smallest and the largest size that may have been meant at all, mm. */
    public float $fromMm;

    public float $toMm;

    public function __construct(NominalKind $kind, private float $sizeMm, float $u95Mm, bool $wearPossible)
    {
        $this->sigma = max(self::SIGMA_LEAST_MM, $u95Mm / 2);
        $this->sign = $wearPossible ? $kind->wearSign() : 0;
        $this->wear = max(self::WEAR_LEAST_MM, self::WEAR_SHARE * $sizeMm);
        $widest = 0.16 * $sizeMm ** (1 / 3) * 0.45 + 0.00016 * $sizeMm;
        $reach = $widest + self::TAIL * $this->sigma;
        $worn = 3.5 * $this->wear;
        $this->fromMm = max(0.01, $sizeMm - $reach - ($this->sign > 0 ? $worn : 0.0));
        $this->toMm = $sizeMm + $reach + ($this->sign < 0 ? $worn : 0.0);
    }

    public function of(NominalSize $size): float
    {
        // Turned so that wear is always upward.
        $sign = $this->sign === 0 ? 1 : $this->sign;
        $off = $sign * ($this->sizeMm - $size->mm);
        [$low, $high] = $sign > 0 ? [$size->zoneLowMm, $size->zoneHighMm] : [-$size->zoneHighMm, -$size->zoneLowMm];

        return ($this->below($off - $low) - $this->below($off - $high)) / ($high - $low);
    }

    /** The chance that doubt and wear together come to less than y. */
    private function below(float $y): float
    {
        if ($this->sign === 0) {
            return self::normal($y / $this->sigma);
        }
        // Wear smaller than y − 4σ counts whole, more than y + 4σ not at all; between, Simpson's rule over wear ×
        // doubt.
        $from = max(0.0, $y - self::TAIL * $this->sigma);
        $to = max(0.0, $y + self::TAIL * $this->sigma);
        $sum = 0.0;
        $step = ($to - $from) / self::STEPS;
        for ($i = 0; $i <= self::STEPS; $i++) {
            $w = $from + $i * $step;
            $density = (sqrt(2 / M_PI) / $this->wear) * exp(-0.5 * ($w / $this->wear) ** 2);
            $sum +=
                ($i === 0 || $i === self::STEPS ? 1 : ($i % 2 === 1 ? 4 : 2)) *
                $density *
                self::normal(($y - $w) / $this->sigma);
        }

        return 2 * self::normal($from / $this->wear) - 1 + ($sum * $step) / 3;
    }

    /** The standard normal distribution, by Abramowitz and Stegun 7.1.26 (error below 1.5e-7). */
    private static function normal(float $z): float
    {
        $x = abs($z) / M_SQRT2;
        $t = 1 / (1 + 0.3275911 * $x);
        $tail =
            $t *
            (0.254829592 + $t * (-0.284496736 + $t * (1.421413741 + $t * (-1.453152027 + $t * 1.061405429)))) *
            exp(-$x * $x);

        return $z < 0 ? $tail / 2 : 1 - $tail / 2;
    }
}
