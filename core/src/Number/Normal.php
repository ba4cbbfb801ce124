<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

/** The standard normal distribution. */
final class Normal
{
    /**
     * The share that lies below so many standard deviations from the middle, 0 to 1.
     *
     * Source: the series of erf, and the continued fraction of erfc in the tails (Abramowitz and Stegun 7.1.5, 7.1.14).
     */
    public static function below(float $z): float
    {
        if (abs($z) > 8.3) {
            // Less than one in 10¹⁶ lies beyond.
            return $z > 0 ? 1.0 : 0.0;
        }
        $x = abs($z) / M_SQRT2;
        if ($x < 2.5) {
            // Series of erf: Σ (−1)^n x^(2n+1)/(n! (2n+1)).
            $sum = $term = $x;
            for ($n = 1; $n < 80; $n++) {
                $term *= (-$x * $x) / $n;
                $add = $term / (2 * $n + 1);
                $sum += $add;
                if (abs($add) < 1e-17) {
                    break;
                }
            }
            $tail = (1 - (2 / sqrt(M_PI)) * $sum) / 2;
        } else {
            // Continued fraction of erfc, from the inside out.
            $f = 0.0;
            for ($n = 60; $n >= 1; $n--) {
                $f = $n / 2 / ($x + $f);
            }
            $tail = exp(-$x * $x) / sqrt(M_PI) / ($x + $f) / 2;
        }

        return $z < 0 ? $tail : 1 - $tail;
    }
}
