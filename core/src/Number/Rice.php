<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

/**
 * How far from nothing a point in the plane is that is known to so much each way. Source: the Rice distribution; Bessel
 * functions by the polynomials of Abramowitz and Stegun 9.8.1 to 9.8.4, good to 2e-7.
 */
final readonly class Rice
{
    /**
     * @param  float  $found  how far it was found to be, 0 or more
     * @param  float  $sigma  along each axis, 0 or more
     */
    public function __construct(private float $found, private float $sigma)
    {
    }

    public function mean(): float
    {
        if ($this->sigma <= 0.0) {
            return $this->found;
        }
        $x = ($this->found / $this->sigma) ** 2 / 4;

        return $this->sigma
            * sqrt(M_PI / 2)
            * ((1 + 2 * $x) * self::zeroth($x) + 2 * $x * self::first($x));
    }

    public function variance(): float
    {
        return max(0.0, 2 * $this->sigma ** 2 + $this->found ** 2 - $this->mean() ** 2);
    }

    /** e⁻ˣ I₀(x), x 0 or more. */
    private static function zeroth(float $x): float
    {
        if ($x < 3.75) {
            return exp(-$x) * self::polynomial(
                ($x / 3.75) ** 2,
                [1.0, 3.5156229, 3.0899424, 1.2067492, 0.2659732, 0.0360768, 0.0045813],
            );
        }

        return self::polynomial(3.75 / $x, [
            0.39894228, 0.01328592, 0.00225319, -0.00157565, 0.00916281,
            -0.02057706, 0.02635537, -0.01647633, 0.00392377,
        ]) / sqrt($x);
    }

    /** e⁻ˣ I₁(x), x 0 or more. */
    private static function first(float $x): float
    {
        if ($x < 3.75) {
            return $x * exp(-$x) * self::polynomial(
                ($x / 3.75) ** 2,
                [0.5, 0.87890594, 0.51498869, 0.15084934, 0.02658733, 0.00301532, 0.00032411],
            );
        }

        return self::polynomial(3.75 / $x, [
            0.39894228, -0.03988024, -0.00362018, 0.00163801, -0.01031555,
            0.02282967, -0.02895312, 0.01787654, -0.00420059,
        ]) / sqrt($x);
    }

    /** @param  list<float>  $factors  of the powers from 0 */
    private static function polynomial(float $x, array $factors): float
    {
        $sum = 0.0;
        foreach (array_reverse($factors) as $factor) {
            $sum = $sum * $x + $factor;
        }

        return $sum;
    }
}
