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
     * Source: JCGM 100:2008 table G.2; regularised incomplete beta.
     */
    public static function k95(float $dof): float
    {
        // ln Γ(ν/2 + 1/2) − ln Γ(ν/2) − ln Γ(1/2) is in the distribution and in its density.
        $gammas = IncompleteBeta::logGamma($dof / 2 + 0.5) - IncompleteBeta::logGamma($dof / 2) - 0.5 * log(M_PI);
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
        return IncompleteBeta::of($dof / ($dof + $t * $t), $dof / 2, 0.5, -$gammas);
    }
}
