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
}
