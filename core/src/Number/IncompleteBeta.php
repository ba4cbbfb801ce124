<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

/** The regularised incomplete beta function, by continued fraction (Lentz's method). */
final class IncompleteBeta
{
    /**
     * I_x(a, b).
     *
     * @param  float  $x  0 to 1
     * @param  float  $a  above 0
     * @param  float  $b  above 0
     * @param  ?float  $lnBeta  ln B(a, b), where it is known already
     */
    public static function of(float $x, float $a, float $b, ?float $lnBeta = null): float
    {
        if ($x <= 0.0 || $x >= 1.0) {
            return $x <= 0.0 ? 0.0 : 1.0;
        }
        $lnBeta ??= self::logGamma($a) + self::logGamma($b) - self::logGamma($a + $b);
        $front = exp($a * log($x) + $b * log1p(-$x) - $lnBeta);

        return $x < ($a + 1) / ($a + $b + 2)
            ? ($front * self::fraction($x, $a, $b)) / $a
            : 1 - ($front * self::fraction(1 - $x, $b, $a)) / $b;
    }

    /**
     * The chance of a variance ratio above F with these degrees of freedom; both above 0, need not be whole.
     *
     * @param  float  $f  0 or more
     */
    public static function ratioAbove(float $f, float $over, float $under): float
    {
        return self::of($under / ($under + $over * $f), $under / 2, $over / 2);
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

    /** ln Γ(x), x above 0: Lanczos' approximation, g = 7. */
    public static function logGamma(float $x): float
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
