<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

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
        // ln Γ(ν/2 + 1/2) − ln Γ(ν/2) − ln Γ(1/2) is in the distribution and in its density.
        $gammas = self::logGamma($dof / 2 + 0.5) - self::logGamma($dof / 2) - 0.5 * log(M_PI);
        [$low, $high] = [1.9, 4.0];
        // Above four degrees of freedom it is below 2.8.
        while ($dof < 4 && self::outside($high, $dof, $gammas) > 0.05) {
            [$low, $high] = [$high, 2 * $high];
        }
        // Newton's steps, kept between the bounds: the slope is minus twice the density.
        $density = exp($gammas) / sqrt($dof);
        // A first guess by Cornish and Fisher's expansion about the normal 1.96.
        $z = 1.959963984540054;
        $t = $z + ($z ** 3 + $z) / (4 * $dof) + (5 * $z ** 5 + 16 * $z ** 3 + 3 * $z) / (96 * $dof ** 2);
        $t = $t > $low && $t < $high ? $t : ($low + $high) / 2;
        for ($i = 0; $i < 60; $i++) {
            $off = self::outside($t, $dof, $gammas) - 0.05;
            $off > 0 ? ($low = $t) : ($high = $t);
            $next = $t + $off / (2 * $density * (1 + ($t * $t) / $dof) ** (-($dof + 1) / 2));
            $next = $next > $low && $next < $high ? $next : ($low + $high) / 2;
            // Each step squares the error: this one's is far below what is asked.
            if (abs($next - $t) < 1e-5 * $t) {
                return $next;
            }
            $t = $next;
        }

        return $t;
    }

    /** The chance of |t| above the given value: I_x(ν/2, 1/2) at x = ν/(ν + t²). */
    private static function outside(float $t, float $dof, float $gammas): float
    {
        $x = $dof / ($dof + $t * $t);
        [$a, $b] = [$dof / 2, 0.5];
        $front = exp($gammas + $a * log($x) + $b * log1p(-$x + 1e-300));
        if ($x >= 1.0) {
            return 1.0;
        }

        return $x < ($a + 1) / ($a + $b + 2)
            ? ($front * self::fraction($x, $a, $b)) / $a
            : 1 - ($front * self::fraction(1 - $x, $b, $a)) / $b;
    }

    private static function fraction(float $x, float $a, float $b): float
    {
        $tiny = 1e-300;
        $c = 1.0;
        $d = 1 - (($a + $b) * $x) / ($a + 1);
        $d = 1 / (abs($d) < $tiny ? $tiny : $d);
        $h = $d;
        for ($m = 1; $m <= 300; $m++) {
            $even = ($m * ($b - $m) * $x) / (($a + 2 * $m - 1) * ($a + 2 * $m));
            $d = 1 + $even * $d;
            $d = 1 / (abs($d) < $tiny ? $tiny : $d);
            $c = 1 + $even / $c;
            $c = abs($c) < $tiny ? $tiny : $c;
            $h *= $c * $d;
            $odd = (-($a + $m) * ($a + $b + $m) * $x) / (($a + 2 * $m) * ($a + 2 * $m + 1));
            $d = 1 + $odd * $d;
            $d = 1 / (abs($d) < $tiny ? $tiny : $d);
            $c = 1 + $odd / $c;
            $c = abs($c) < $tiny ? $tiny : $c;
            $h *= $c * $d;
            if (abs($c * $d - 1) < 1e-13) {
                break;
            }
        }

        return $h;
    }

    /** Lanczos' approximation, g = 7. */
    private static function logGamma(float $x): float
    {
        $g = [
            0.99999999999980993,
            676.5203681218851,
            -1259.1392167224028,
            771.32342877765313,
            -176.61502916214059,
            12.507343278686905,
            -0.13857109526572012,
            9.9843695780195716e-6,
            1.5056327351493116e-7,
        ];
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
