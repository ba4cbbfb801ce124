<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Fit\BestSize;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** The size most likely to work, by JCGM 106:2012: against the table of the normal distribution, and as properties. */
final class BestSizeTest extends TestCase
{
    private static function best(bool $shaft, float $mating, float $loose, float $sigma, Range $works, float $holds = 0.0): BestSize
    {
        return BestSize::of($shaft, $mating, $loose, $sigma, $works, $holds) ?? self::fail('no size');
    }

    /**
     * A bore of 25.000 that is round, works 0 to 0.040, σ 0.020: the shaft is 24.980, its window one σ either way: 68.27 of
     * 100 (normal table). A bore to a shaft is mirrored.
     */
    public function test_one_sigma_either_way(): void
    {
        $shaft = self::best(true, 25.0, 25.0, 0.02, new Range(0.0, 0.04));
        self::assertEqualsWithDelta(24.98, $shaft->aimMm, 1e-9);
        self::assertLessThan(0.68269, $shaft->chance);
        self::assertGreaterThan(0.66269, $shaft->chance);
        self::assertEqualsWithDelta(25.02, self::best(false, 25.0, 25.0, 0.02, new Range(0.0, 0.04))->aimMm, 1e-9);
        // At two σ 95.45, and at the ends of the band 0.02 less.
        $two = self::best(true, 25.0, 25.0, 0.01, new Range(0.0, 0.04));
        self::assertGreaterThan(0.9345, $two->chance);
        self::assertLessThan(0.9545, $two->chance);
    }

    /** The mean over what the lathe holds, by the trapezium rule on the same integrand in 20,000 steps. */
    public function test_the_chance_is_its_mean_over_what_the_lathe_holds(): void
    {
        $phi = static fn (float $z): float => (1 + self::erf($z / M_SQRT2)) / 2;
        foreach ([[0.02, 0.04], [0.008, 0.03], [0.04, 0.03]] as [$sigma, $holds]) {
            $best = self::best(true, 30.0, 30.0, $sigma, new Range(0.0, 0.06), $holds);
            $reach = max($holds / 2, $best->band->widthMm() / 2);
            $sum = 0.0;
            for ($i = 0; $i < 20000; $i++) {
                $t = $reach * (2 * ($i + 0.5) / 20000 - 1);
                $sum += $phi((0.03 - $t) / $sigma) - $phi((-0.03 - $t) / $sigma);
            }
            self::assertEqualsWithDelta($sum / 20000, $best->chance, 1e-5);
        }
    }

    /** Abramowitz and Stegun 7.1.26, to 1.5 in 10⁷. */
    private static function erf(float $x): float
    {
        $t = 1 / (1 + 0.3275911 * abs($x));
        $y = 1 - ((((1.061405429 * $t - 1.453152027) * $t + 1.421413741) * $t - 0.284496736) * $t + 0.254829592) * $t * exp(-$x * $x);

        return $x < 0 ? -$y : $y;
    }

    /** More doubt never raises the chance, a wider window never lowers it, form eats the window; the aim stays inside. */
    public function test_properties(): void
    {
        foreach ([true, false] as $shaft) {
            $last = 1.1;
            foreach ([0.001, 0.005, 0.01, 0.02] as $sigma) {
                $best = self::best($shaft, 40.0, 40.0, $sigma, new Range(0.01, 0.05));
                self::assertLessThanOrEqual($last + 1e-12, $best->chance);
                $last = $best->chance;
                $gap = $shaft ? 40.0 - $best->aimMm : $best->aimMm - 40.0;
                self::assertTrue($gap > 0.01 && $gap < 0.05);
            }
            $last = 0.0;
            foreach ([0.03, 0.04, 0.06, 0.1] as $most) {
                $best = self::best($shaft, 40.0, 40.0, 0.01, new Range(0.01, $most), 0.01);
                self::assertGreaterThanOrEqual($last - 1e-12, $best->chance);
                $last = $best->chance;
            }
            $oval = $shaft ? self::best(true, 39.99, 40.01, 0.005, new Range(0.0, 0.05)) : self::best(false, 40.01, 39.99, 0.005, new Range(0.0, 0.05));
            self::assertLessThan(self::best($shaft, 40.0, 40.0, 0.005, new Range(0.0, 0.05))->chance, $oval->chance);
        }
    }

    /** Where the form alone is wider than what works, no size is given. */
    public function test_the_form_alone_can_defeat_it(): void
    {
        self::assertNull(BestSize::of(true, 39.9, 40.1, 0.005, new Range(0.0, 0.05), 0.01));
        // A poor reading does not: 2 Φ(0.01/0.05) − 1 is 0.1585 (tables of the normal distribution), 0.02 less at the ends.
        $gamble = BestSize::of(true, 40.0, 40.0, 0.05, new Range(0.0, 0.02), 0.01)?->chance;
        self::assertGreaterThan(0.1385, $gamble);
        self::assertLessThan(0.1585, $gamble);
        $this->expectException(BadInput::class);
        BestSize::of(true, 0.0, 40.0, 0.05, new Range(0.0, 0.02), 0.01);
    }

    /**
     * What works holds more than half of whatever a school asks for (common practice, no source; ISO 286-2 and ANSI B4.1
     * for the classes). At 30 mm a running journal works from 0.017 to 0.116.
     */
    public function test_what_works_holds_what_the_class_asks_for(): void
    {
        $journal = Purpose::named('running-journal')->worksWithin(30.0);
        self::assertEqualsWithDelta([0.017, 0.116], [$journal?->min, $journal?->max], 1e-9);
        self::assertNull(Purpose::named('bolted')->worksWithin(30.0));
        foreach (Purpose::all() as $purpose) {
            $works = $purpose->worksWithin(30.0);
            foreach ($works === null ? [] : $purpose->offers(30.0) as $offer) {
                $in = min($works->max, $offer->clearanceMm->max) - max($works->min, $offer->clearanceMm->min);
                self::assertGreaterThan(0.5 * $offer->clearanceMm->width(), $in, "{$purpose->code} {$offer->label}");
            }
        }
    }

    /**
     * Honest: of six thousand simulated bores, read with a doubt, those told so many of a hundred come true, as near as
     * six hundred of a class can tell. The truth is drawn, the shaft made at the aim, and whether it works is looked up; nothing of the sum is used for that.
     */
    public function test_what_is_promised_comes_true(): void
    {
        mt_srand(20261129);
        $normal = static fn (): float => sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
        $told = $true = [];
        for ($i = 0; $i < 6000; $i++) {
            $bore = 20 + 30 * mt_rand() / mt_getrandmax();
            $sigma = 0.004 + 0.02 * mt_rand() / mt_getrandmax();
            $oval = 0.01 * mt_rand() / mt_getrandmax();
            $found = $bore + $sigma * $normal();
            $works = Purpose::named('hand-fit')->worksWithin($found) ?? self::fail('works');
            $best = BestSize::of(true, $found - $oval / 2, $found + $oval / 2, $sigma, $works, 0.01);
            if ($best === null) {
                continue;
            }
            $reach = max(0.005, $best->band->widthMm() / 2);
            $made = $best->aimMm + $reach * (2 * mt_rand() / mt_getrandmax() - 1);
            $class = (int) floor($best->chance * 10);
            $told[$class][] = $best->chance;
            $true[$class][] = (int) ($bore - $oval / 2 - $made >= $works->min && $bore + $oval / 2 - $made <= $works->max);
        }
        $judged = 0;
        foreach ($told as $class => $chances) {
            if (count($chances) >= 600) {
                $judged++;
                $came = array_sum($true[$class]) / count($chances);
                self::assertEqualsWithDelta(array_sum($chances) / count($chances), $came, 0.04, "class {$class}");
            }
        }
        self::assertGreaterThan(2, $judged);
    }
}
