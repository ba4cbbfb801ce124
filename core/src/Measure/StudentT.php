<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

/** Student's t, two-sided, for any degrees of freedom above zero. */
final class StudentT
{
    /**
     * The factor t that holds 95 % between −t and +t.
     *
     * @param  float  $dof  degrees of freedom, above 0; need not be whole
     *
     * Source: JCGM 100:2008 table G.2; regularised incomplete beta by continued fraction (Lentz's method).
     */
    public static function k95(float $dof): float
    {
        [$low, $high] = [0.0, 1.0];
        while (self::outside($high, $dof) > 0.05) {
            $high *= 2;
        }
        for ($i = 0; $i < 80; $i++) {
            $middle = ($low + $high) / 2;
            self::outside($middle, $dof) > 0.05 ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    /** The chance of |t| above the given value: I_x(ν/2, 1/2) at x = ν/(ν + t²). */
    private static function outside(float $t, float $dof): float
    {
        $x = $dof / ($dof + $t * $t);
        [$a, $b] = [$dof / 2, 0.5];
        $front = exp(self::logGamma($a + $b) - self::logGamma($a) - self::logGamma($b) + $a * log($x) + $b * log1p(-$x + 1e-300));
        if ($x >= 1.0) {
            return 1.0;
        }

        return $x < ($a + 1) / ($a + $b + 2)
            ? $front * self::fraction($x, $a, $b) / $a
            : 1 - $front * self::fraction(1 - $x, $b, $a) / $b;
    }

    private static function fraction(float $x, float $a, float $b): float
    {
        $tiny = 1e-300;
        $c = 1.0;
        $d = 1 - ($a + $b) * $x / ($a + 1);
        $d = 1 / (abs($d) < $tiny ? $tiny : $d);
        $h = $d;
        for ($m = 1; $m <= 300; $m++) {
            foreach ([
                $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m)),
                -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1)),
            ] as $term) {
                $d = 1 + $term * $d;
                $d = 1 / (abs($d) < $tiny ? $tiny : $d);
                $c = 1 + $term / $c;
                $c = abs($c) < $tiny ? $tiny : $c;
                $h *= $c * $d;
            }
            if (abs($c * $d - 1) < 1e-14) {
                break;
            }
        }

        return $h;
    }

    /** Lanczos' approximation, g = 7. */
    private static function logGamma(float $x): float
    {
        $g = [0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313,
            -176.61502916214059, 12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7];
        if ($x < 0.5) {
            return log(M_PI / sin(M_PI * $x)) - self::logGamma(1 - $x);
        }
        $x -= 1;
        $sum = $g[0];
        for ($i = 1; $i < 9; $i++) {
            $sum += $g[$i] / ($x + $i);
        }
        $t = $x + 7.5;

        return 0.5 * log(2 * M_PI) + ($x + 0.5) * log($t) - $t + log($sum);
    }
}
