<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Number;

use Oldpart\Core\Number\Bisection;
use Oldpart\Core\Number\FlatNormal;
use Oldpart\Core\Number\FoldedNormal;
use Oldpart\Core\Number\IncompleteBeta;
use Oldpart\Core\Number\LinearFit;
use Oldpart\Core\Number\Lowest;
use Oldpart\Core\Number\Normal;
use Oldpart\Core\Number\Rice;
use PHPUnit\Framework\TestCase;

/** Mathematics that knows no trade. */
final class NumberTest extends TestCase
{
    /** √2, from below and above; of a falling one the place where it stops to hold. */
    public function test_a_place_is_found_to_what_a_float_can_tell(): void
    {
        self::assertEqualsWithDelta(
            M_SQRT2,
            Bisection::place(static fn (float $x): bool => $x * $x < 2, 0.0, 2.0),
            1e-15,
        );
        [$below, $above] = Bisection::between(static fn (float $x): bool => exp(-$x) > 0.5, 0.0, 10.0);
        self::assertLessThanOrEqual($above, $below);
        self::assertEqualsWithDelta(M_LN2, $above, 1e-15);
    }

    /**
     * A line with a half wave through points that lie on it: 3 + 2 x − x²; and one more point that does not, worked by
     * hand.
     */
    public function test_least_squares_of_three(): void
    {
        $rows = array_map(static fn (float $x): array => [1.0, $x, $x * $x], [0.0, 1.0, 2.0, 3.0]);
        self::assertEqualsWithDelta([3.0, 2.0, -1.0], LinearFit::of($rows, [3.0, 4.0, 3.0, 0.0], [1.0, 1.0, 1.0, 1.0])->found ?? [], 1e-12);
        // The orthogonal cubic over four places is (−1, 3, −3, 1)/√20: 0, 0, 0, 20 leaves 20/20 of it, so the fit is 1,
        // −3, 3, 19.
        self::assertEqualsWithDelta([1.0, -9.0, 5.0], LinearFit::of($rows, [0.0, 0.0, 0.0, 20.0], [1.0, 1.0, 1.0, 1.0])->found ?? [], 1e-12);
    }

    /**
     * The 68, 95 and 99.7 of every table of the normal distribution (one, two, three deviations), and its five per cent
     * point 1.6449.
     */
    public function test_normal(): void
    {
        foreach ([[1.0, 0.682689], [2.0, 0.9545], [3.0, 0.9973]] as [$z, $within]) {
            self::assertEqualsWithDelta($within, Normal::below($z) - Normal::below(-$z), 5e-7);
        }
        self::assertEqualsWithDelta(0.95, Normal::below(1.644854), 1e-7);
        self::assertSame([0.0, 1.0], [Normal::below(-9.0), Normal::below(9.0)]);
    }

    /**
     * Variance ratios of every table of F: one in twenty for 1 and 10, 2 and 10, 5 and 20 degrees of freedom, one in a
     * hundred for 4 and 12.
     */
    public function test_variance_ratios_of_the_tables(): void
    {
        foreach ([[4.965, 1, 10, 0.05], [4.103, 2, 10, 0.05], [2.711, 5, 20, 0.05], [5.412, 4, 12, 0.01]] as [$f, $over, $under, $chance]) {
            self::assertEqualsWithDelta($chance, IncompleteBeta::ratioAbove($f, $over, $under), 1e-4 * 0.5);
        }
        self::assertSame(1.0, IncompleteBeta::ratioAbove(0.0, 2, 9));
        // I_x(1, 1) = x and I_x(2, 1) = x², by their definition.
        self::assertEqualsWithDelta([0.3, 0.09], [IncompleteBeta::of(0.3, 1, 1), IncompleteBeta::of(0.3, 2, 1)], 1e-12);
        self::assertSame([0.0, 1.0], [IncompleteBeta::of(-0.1, 2, 3), IncompleteBeta::of(1.1, 2, 3)]);
    }

    /**
     * Γ of whole numbers is a factorial, of halves √π times one (by definition); Γ(1/4) as in any table. I_x(a, b) of
     * whole numbers is the chance of at least a of a + b − 1 tries, I_x(½, ½) = 2/π arcsin √x (Abramowitz and Stegun
     * 26.5.24, 26.5.23 with ν = 1).
     */
    public function test_gamma_and_beta_by_their_closed_forms(): void
    {
        [$whole, $half] = [0.0, log(M_PI) / 2];
        for ($n = 1; $n <= 60; $n++) {
            self::assertEqualsWithDelta($whole, IncompleteBeta::logGamma($n), 1e-13 * (1 + 10 * $whole), (string) $n);
            self::assertEqualsWithDelta($half, IncompleteBeta::logGamma($n - 0.5), 1e-13 * (1 + 10 * abs($half)), "{$n} − ½");
            $whole += log($n);
            $half += log($n - 0.5);
        }
        // Γ(1/4) and Γ(1/3) as in any table.
        self::assertEqualsWithDelta(log(3.6256099082219083), IncompleteBeta::logGamma(0.25), 1e-13);
        self::assertEqualsWithDelta(log(2.678938534707747633), IncompleteBeta::logGamma(1 / 3), 1e-13);
        foreach ([0.001, 0.03, 0.2, 0.41, 0.5, 0.62, 0.9, 0.999] as $x) {
            self::assertEqualsWithDelta((2 / M_PI) * asin(sqrt($x)), IncompleteBeta::of($x, 0.5, 0.5), 1e-12, "{$x}");
            foreach ([[1, 7], [2, 2], [3, 9], [12, 5], [40, 38], [1, 1], [30, 1]] as [$a, $b]) {
                [$n, $sum, $ways] = [$a + $b - 1, 0.0, 1.0];
                for ($i = 0; $i <= $n; $i++) {
                    $sum += $i >= $a ? $ways * $x ** $i * (1 - $x) ** ($n - $i) : 0.0;
                    $ways *= ($n - $i) / ($i + 1);
                }
                self::assertEqualsWithDelta($sum, IncompleteBeta::of($x, $a, $b), 1e-12, "{$x} of {$a}, {$b}");
                $lnBeta = IncompleteBeta::logGamma($a) + IncompleteBeta::logGamma($b) - IncompleteBeta::logGamma($a + $b);
                self::assertEqualsWithDelta($sum, IncompleteBeta::of($x, $a, $b, $lnBeta), 1e-12);
            }
        }
    }

    /** erf by its other series, e^(−x²) Σ 2ⁿ x^(2n+1)/(1·3·…·(2n+1)) (Abramowitz and Stegun 7.1.6), all of one sign. */
    public function test_the_normal_by_another_series(): void
    {
        for ($z = 0.0; $z <= 8.0; $z += 0.05) {
            $x = $z / M_SQRT2;
            $sum = $term = $x;
            for ($n = 1; $n < 400; $n++) {
                $term *= 2 * $x * $x / (2 * $n + 1);
                $sum += $term;
            }
            $within = (2 / sqrt(M_PI)) * exp(-$x * $x) * $sum;
            self::assertEqualsWithDelta((1 + $within) / 2, Normal::below($z), 1e-13, "{$z}");
            self::assertEqualsWithDelta((1 - $within) / 2, Normal::below(-$z), 1e-13, "−{$z}");
        }
        // Far out, where that series tells nothing more: 1/(x√(2π)) e^(−x²/2) (1 − 1/x² + 3/x⁴ − 15/x⁶ …), 26.2.12.
        $tail = exp(-32.0) / (8 * sqrt(2 * M_PI)) * (1 - 1 / 64 + 3 / 4096 - 15 / 262144 + 105 / 8 ** 8);
        self::assertEqualsWithDelta(1.0, Normal::below(-8.0) / $tail, 1e-6);
    }

    /**
     * The Rice mean is σ √(π/2) M(−½, 1, −v) with v = ν²/2σ², and M(−½, 1, −v) = e^(−v) Σ (3/2)_k v^k/(k!)² (Kummer's
     * transformation, Abramowitz and Stegun 13.1.27): every term of one sign.
     */
    public function test_the_rice_mean_by_its_series(): void
    {
        for ($found = 0.0; $found <= 9.0; $found += 0.15) {
            $v = $found ** 2 / 2;
            $sum = $term = exp(-$v);
            for ($k = 1; $k < 300; $k++) {
                $term *= (0.5 + $k) * $v / $k ** 2;
                $sum += $term;
            }
            $mean = sqrt(M_PI / 2) * $sum;
            self::assertEqualsWithDelta(1.0, (new Rice($found, 1.0))->mean() / $mean, 6e-7, "{$found}");
            self::assertEqualsWithDelta(0.3 * $mean, (new Rice(0.3 * $found, 0.3))->mean(), 1e-6);
        }
    }

    /** A weighted mean and the variance of a sum, by hand; rows that leave an unknown open have no fit. */
    public function test_weighted_least_squares(): void
    {
        $fit = LinearFit::of([[1.0], [1.0]], [10.0, 13.0], [2.0, 1.0]);
        self::assertEqualsWithDelta([11.0], $fit->found ?? [], 1e-12);
        self::assertEqualsWithDelta(1 / 3, $fit?->varianceOf([1.0]), 1e-12);
        self::assertEqualsWithDelta(2 * 1.0 + 1 * 4.0, $fit?->squares, 1e-12);
        // A line through x = −1, 0, 1: variances 1/3 and 1/2, so 1/3 + 1/2 at its end.
        $line = LinearFit::of([[1.0, -1.0], [1.0, 0.0], [1.0, 1.0]], [1.0, 2.0, 3.0], [1.0, 1.0, 1.0]);
        self::assertEqualsWithDelta(1 / 3 + 1 / 2, $line?->varianceOf([1.0, 1.0]), 1e-12);
        self::assertNull(LinearFit::of([[1.0, 2.0], [2.0, 4.0]], [1.0, 2.0], [1.0, 1.0]));
    }

    /**
     * A normal part and an even one: as good as normal where the even one is small, as good as even where the other is;
     * three quarters at half the even part (geometry); and the middle is the middle. The sum up to x is its integral,
     * by Simpson's rule.
     */
    public function test_normal_and_even_together(): void
    {
        self::assertEqualsWithDelta(0.97725, (new FlatNormal(1.0, 0.0))->below(2.0), 1e-5);
        self::assertEqualsWithDelta(0.75, (new FlatNormal(0.0, 1.0))->below(0.5), 1e-6);
        self::assertEqualsWithDelta([0.0, 1.0], [(new FlatNormal(0.001, 1.0))->below(-1.01), (new FlatNormal(0.001, 1.0))->below(1.01)], 1e-9);
        $both = new FlatNormal(0.7, 1.3);
        self::assertEqualsWithDelta(0.5, $both->below(0.0), 1e-12);
        self::assertEqualsWithDelta(sqrt(0.49 + 1.69 / 3), $both->deviation(), 1e-12);
        foreach ([-1.0, 0.4, 1.9] as $x) {
            // The even part cut into slices, each shifting the normal one.
            $sum = 0.0;
            for ($i = 0; $i < 4000; $i++) {
                $sum += Normal::below(($x - 1.3 * (($i + 0.5) / 2000 - 1)) / 0.7);
            }
            self::assertEqualsWithDelta($sum / 4000, $both->below($x), 1e-7);
            $area = 0.0;
            for ($i = 0; $i <= 400; $i++) {
                $area += $both->below($x + $i / 400) * ($i === 0 || $i === 400 ? 1 : ($i % 2 === 1 ? 4 : 2));
            }
            self::assertEqualsWithDelta($area / 1200, $both->sumBelow($x + 1) - $both->sumBelow($x), 1e-9);
        }
        self::assertEqualsWithDelta(hypot(0.7, 0.2), $both->with(0.2)->wider(0.0)->deviation(), 1e-12);
        // Where the even part hardly counts it goes over into the normal one without a step.
        self::assertEqualsWithDelta((new FlatNormal(1.0, 0.0499))->below(1.0), (new FlatNormal(1.0, 0.0501))->below(1.0), 1e-4);
        self::assertEqualsWithDelta((new FlatNormal(1.0, 0.0499))->sumBelow(1.0), (new FlatNormal(1.0, 0.0501))->sumBelow(1.0), 1e-4);
    }

    /** (x − 2)² + 1 is lowest at 2; of a wave the deeper of two valleys; on a slope an end. */
    public function test_where_it_is_lowest(): void
    {
        self::assertEqualsWithDelta([2.0, 1.0], Lowest::between(static fn (float $x): float => ($x - 2) ** 2 + 1, -3.0, 9.0), 1e-7);
        self::assertEqualsWithDelta(3 * M_PI, Lowest::between(static fn (float $x): float => cos($x) - 0.001 * $x, 0.0, 11.0)[0], 2e-3);
        self::assertEqualsWithDelta([5.0, -5.0], Lowest::between(static fn (float $x): float => -$x, 1.0, 5.0), 1e-9);
    }

    /** How far from nothing, whichever way: by Simpson's rule over the normal density, and Rayleigh's mean σ√(π/2). */
    public function test_how_far_from_nothing(): void
    {
        self::assertEqualsWithDelta(2 * sqrt(M_PI / 2), (new Rice(0.0, 2.0))->mean(), 1e-6);
        self::assertEqualsWithDelta(4 * (2 - M_PI / 2), (new Rice(0.0, 2.0))->variance(), 1e-5);
        self::assertSame([3.0, 0.0], [(new Rice(3.0, 0.0))->mean(), (new Rice(3.0, 0.0))->variance()]);
        self::assertSame([3.0, 0.0], [(new FoldedNormal(-3.0, 0.0))->mean(), (new FoldedNormal(-3.0, 0.0))->variance()]);
        foreach ([0.0, 0.5, 1.0, 2.0, 3.8, 4.2, 9.0] as $at) {
            $plane = self::average(
                static fn (float $x): float => self::average(static fn (float $y): float => hypot($at + $x, $y)),
            );
            self::assertEqualsWithDelta($plane, (new Rice($at, 1.0))->mean(), 1e-5, "{$at}");
            self::assertEqualsWithDelta($at ** 2 + 2 - $plane ** 2, (new Rice($at, 1.0))->variance(), 2e-4, "{$at}");
            $line = self::average(static fn (float $x): float => abs(-$at + $x));
            self::assertEqualsWithDelta($line, (new FoldedNormal(-$at, 1.0))->mean(), 2e-5, "{$at}");
            self::assertEqualsWithDelta($at ** 2 + 1 - $line ** 2, (new FoldedNormal($at, 1.0))->variance(), 4e-4, "{$at}");
        }
        self::assertEqualsWithDelta(0.6826895, (new FoldedNormal(2.0, 2.0))->sureness(), 1e-6);
        self::assertSame(0.0, (new FoldedNormal(0.0, 0.0))->sureness());
    }

    /** @param  callable(float): float  $of  over a normal of one */
    private static function average(callable $of): float
    {
        [$n, $sum, $all] = [280, 0.0, 0.0];
        for ($i = 0; $i <= $n; $i++) {
            $x = -7 + (14 * $i) / $n;
            $weight = ($i === 0 || $i === $n ? 1 : ($i % 2 === 1 ? 4 : 2)) * exp(-$x * $x / 2);
            $sum += $weight * $of($x);
            $all += $weight;
        }

        return $sum / $all;
    }
}
