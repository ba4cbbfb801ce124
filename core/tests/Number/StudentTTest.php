<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Number;

use Oldpart\Core\Number\StudentT;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StudentTTest extends TestCase
{
    /**
     * JCGM 100:2008, table G.2, column 95 %; three decimals as in common t-tables.
     *
     * @return iterable<array{int, float}>
     */
    public static function table(): iterable
    {
        yield [1, 12.706];
        yield [2, 4.303];
        yield [3, 3.182];
        yield [4, 2.776];
        yield [5, 2.571];
        yield [6, 2.447];
        yield [7, 2.365];
        yield [8, 2.306];
        yield [9, 2.262];
        yield [10, 2.228];
        yield [12, 2.179];
        yield [15, 2.131];
        yield [18, 2.101];
        yield [20, 2.086];
        yield [25, 2.06];
        yield [30, 2.042];
    }

    #[DataProvider('table')]
    public function test_agrees_with_the_published_table(int $dof, float $t): void
    {
        self::assertEqualsWithDelta($t, StudentT::k95($dof), 0.0006);
    }

    public function test_falls_toward_the_normal_value(): void
    {
        self::assertEqualsWithDelta(1.96, StudentT::k95(1e6), 0.001);
        self::assertGreaterThan(StudentT::k95(4.0), StudentT::k95(3.5));
    }

    /** One degree of freedom is the Cauchy distribution, two have a closed form too (any text on probability). */
    public function test_closed_forms(): void
    {
        self::assertEqualsWithDelta(tan(M_PI * 0.475), StudentT::k95(1.0), 1e-4);
        // ν = 2: P(|T| < t) = t / √(2 + t²), so t = √(2 p² / (1 − p²)).
        self::assertEqualsWithDelta(sqrt((2 * 0.9025) / (1 - 0.9025)), StudentT::k95(2.0), 1e-4);
    }

    /** Never less for fewer, whole or not. */
    public function test_it_only_falls(): void
    {
        for ($dof = 1.0; $dof < 60; $dof += 0.25) {
            self::assertGreaterThan(StudentT::k95($dof + 0.25), StudentT::k95($dof), (string) $dof);
        }
    }

    /**
     * For whole degrees of freedom the share between −t and t is a finite sum (Abramowitz and Stegun 26.7.3 and 26.7.4):
     * with θ = arctan(t/√ν), for even ν sin θ (1 + ½ cos² θ + 1·3/(2·4) cos⁴ θ + …), for odd ν above one
     * 2/π (θ + sin θ (cos θ + 2/3 cos³ θ + …)).
     */
    public function test_the_finite_sums(): void
    {
        for ($dof = 1; $dof <= 60; $dof++) {
            $angle = atan(StudentT::k95($dof) / sqrt($dof));
            $term = $dof % 2 === 0 ? 1.0 : cos($angle);
            $sum = $dof === 1 ? 0.0 : $term;
            for ($i = $dof % 2 === 0 ? 2 : 3; $i <= $dof - 2; $i += 2) {
                $term *= cos($angle) ** 2 * ($i - 1) / $i;
                $sum += $term;
            }
            $within = $dof % 2 === 0 ? sin($angle) * $sum : (2 / M_PI) * ($angle + sin($angle) * $sum);
            self::assertEqualsWithDelta(0.95, $within, 1e-10, (string) $dof);
        }
    }

    /** Below one degree of freedom too: at a half it is far above the 12.706 of one, and the chance beyond it is right. */
    public function test_less_than_one_degree(): void
    {
        // The density integrated from t to far out, in ln t, by Simpson's rule; Γ(3/4) and Γ(1/4) as in any table.
        [$t, $nu] = [StudentT::k95(0.5), 0.5];
        self::assertGreaterThan(100.0, $t);
        $scale = 1.2254167024651776 / (sqrt($nu * M_PI) * 3.6256099082219083);
        $of = static fn (float $u): float => exp($u) * $scale * (1 + exp(2 * $u) / $nu) ** (-($nu + 1) / 2);
        [$from, $to, $n, $sum] = [log($t), 60.0, 6000, 0.0];
        for ($i = 0; $i <= $n; $i++) {
            $sum += $of($from + ($to - $from) * $i / $n) * ($i === 0 || $i === $n ? 1 : ($i % 2 === 1 ? 4 : 2));
        }
        self::assertEqualsWithDelta(0.05, 2 * $sum * ($to - $from) / (3 * $n), 1e-8);
    }
}
