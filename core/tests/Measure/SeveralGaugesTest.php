<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Measure\Warmth;
use PHPUnit\Framework\TestCase;

/** Several instruments on one surface: combined by their doubts, and the one that stands apart is named. */
final class SeveralGaugesTest extends TestCase
{
    private static function gauge(string $name, float $shiftMm, float $repeatsMm): Instrument
    {
        return new Instrument(
            resolutionMm: 0.0,
            mpeMm: $shiftMm * sqrt(3),
            repeatabilityMm: $repeatsMm,
            code: strtolower($name),
            name: $name,
        );
    }

    /** @param  list<array{string, float, Instrument}>  $readings  station, mm, gauge */
    private static function found(array $readings): FoundSize
    {
        return (new Readings(
            SurfaceKind::Bore,
            array_map(
                static fn (array $r): Reading => new Reading(valueMm: $r[1], station: $r[0], angle: '0', instrument: $r[2]),
                $readings,
            ),
            $readings[0][2],
            new Warmth(halfWidthK: 0.0),
        ))->found();
    }

    /**
     * One place, each gauge once: the weighted mean, weights one over the whole variance of each (JCGM 100:2008, the
     * weighted mean of independent values; worked by hand).
     */
    public function test_one_place_is_the_weighted_mean(): void
    {
        $rough = self::gauge('Rough', 0.008, 0.006); // 0.010 in all
        $fine = self::gauge('Fine', 0.003, 0.004); // 0.005 in all
        $found = self::found([['1', 30.000, $rough], ['1', 30.010, $fine]]);
        self::assertEqualsWithDelta((30.0 * 1 + 30.010 * 4) / 5, $found->meanMm, 1e-9);
        self::assertEqualsWithDelta(2 * 0.010 / sqrt(5), $found->u95Mm, 1e-9);
        self::assertEqualsWithDelta($found->u95Mm, $found->u95MeanMm, 1e-12);
        self::assertSame([], array_filter($found->notes(), static fn ($n): bool => str_contains($n->code, 'gauge')));
    }

    /** Repeats narrow what scatters; each gauge's shift stays: 0.003² + 0.004²/4 and 0.008² + 0.006²/4, by hand. */
    public function test_repeats_do_not_narrow_a_shift(): void
    {
        $rough = self::gauge('Rough', 0.008, 0.0);
        $fine = self::gauge('Fine', 0.003, 0.0);
        $readings = [];
        for ($i = 0; $i < 50; $i++) {
            array_push($readings, ['1', 30.0, $rough], ['1', 30.0, $fine]);
        }
        $both = 1 / sqrt(1 / 0.008 ** 2 + 1 / 0.003 ** 2);
        self::assertEqualsWithDelta(2 * $both, self::found($readings)->u95Mm, 1e-6);
    }

    /** A place read with both tells how far apart the shifts are, and so makes the places read with the rough one surer. */
    public function test_a_shared_place_helps_the_others(): void
    {
        $rough = self::gauge('Rough', 0.03, 0.001);
        $fine = self::gauge('Fine', 0.002, 0.001);
        $alone = self::found([['1', 30.0, $rough], ['2', 30.02, $rough]]);
        $shared = self::found([['1', 30.0, $rough], ['2', 30.02, $rough], ['1', 29.98, $fine]]);
        self::assertGreaterThan(0.05, $alone->u95Mm);
        self::assertLessThan(0.006, $shared->u95Mm);
        // The rough one reads about 0.02 more: the place it read alone is taken to be so much smaller.
        self::assertEqualsWithDelta(30.0, $shared->looseMm, 0.001);
        self::assertEqualsWithDelta(29.98, $shared->matingMm, 0.001);
    }

    /** Three gauges, three answers: which to believe, and what would settle it. */
    public function test_the_one_that_stands_apart_is_named(): void
    {
        $a = self::gauge('Calliper', 0.01, 0.002);
        $b = self::gauge('Bore gauge', 0.003, 0.002);
        $c = self::gauge('Ring gauge', 0.003, 0.002);
        $found = self::found([['1', 30.10, $a], ['1', 30.00, $b], ['1', 30.003, $c]]);
        $says = array_column(array_map(static fn ($n): array => ['code' => $n->code, 'mm' => $n->say->mm], $found->notes()), 'mm', 'code');
        self::assertStringStartsWith('The calliper stands alone: it reads 0.1', $says['gauge-apart']);
        self::assertStringContainsString('more than the others, which agree', $says['gauge-apart']);
        self::assertStringContainsString('master', $says['gauge-apart']);
        self::assertArrayNotHasKey('gauges-disagree', $says);
    }

    /** Two that disagree: nobody knows which, so both are taken with a doubt that holds them both. */
    public function test_two_that_disagree(): void
    {
        $a = self::gauge('Calliper', 0.01, 0.002);
        $b = self::gauge('Bore gauge', 0.003, 0.002);
        $apart = self::found([['1', 29.90, $a], ['1', 30.00, $b]]);
        $close = self::found([['1', 29.99, $a], ['1', 30.00, $b]]);
        $says = array_column(array_map(static fn ($n): array => ['code' => $n->code, 'mm' => $n->say->mm], $apart->notes()), 'mm', 'code');
        self::assertStringStartsWith('The calliper reads 0.1', $says['gauges-disagree']);
        self::assertStringContainsString('less than the bore gauge', $says['gauges-disagree']);
        self::assertStringContainsString('The bore gauge is the surer', $says['gauges-disagree']);
        // 0.1 where 2 √(0.01² + 0.003² + 2 · 0.002²) could be: so much wider.
        $may = 2 * sqrt(0.01 ** 2 + 0.003 ** 2 + 2 * 0.002 ** 2);
        self::assertEqualsWithDelta((0.1 / $may) * $close->u95Mm, $apart->u95Mm, 1e-9);
        self::assertSame([], array_filter($close->notes(), static fn ($n): bool => $n->code === 'gauges-disagree'));
    }

    /** Nothing is compared where no place was read with both. */
    public function test_no_shared_place_no_verdict(): void
    {
        $a = self::gauge('Calliper', 0.01, 0.002);
        $b = self::gauge('Bore gauge', 0.003, 0.002);
        $found = self::found([['1', 29.0, $a], ['2', 30.00, $b]]);
        self::assertSame([], array_filter($found->notes(), static fn ($n): bool => str_starts_with($n->code, 'gauge')));
    }

    /** With one gauge all is as ever: the same reading twice, by the budget of one spot. */
    public function test_one_gauge_is_as_ever(): void
    {
        $a = self::gauge('Calliper', 0.01, 0.004);
        $found = self::found([['1', 30.0, $a], ['1', 30.0, $a]]);
        self::assertEqualsWithDelta(2 * sqrt(0.01 ** 2 + 0.004 ** 2 / 2), $found->u95Mm, 1e-9);
    }

    /** One that disagrees with all others stands alone only where these agree: of four that are two and two nobody does. */
    public function test_no_one_stands_alone_among_quarrels(): void
    {
        $gauges = array_map(static fn (string $name): Instrument => self::gauge($name, 0.003, 0.002), ['One', 'Two', 'Three', 'Four']);
        $codes = static fn (float ...$sizes): array => array_values(array_filter(
            array_map(static fn ($n): string => $n->code, self::found(array_map(static fn (float $mm, Instrument $g): array => ['1', $mm, $g], $sizes, $gauges))->notes()),
            static fn (string $code): bool => str_starts_with($code, 'gauge'),
        ));
        self::assertSame(['gauge-apart'], $codes(30.1, 30.0, 30.001, 30.002));
        self::assertSame(['gauges-disagree'], $codes(30.1, 30.0, 30.05, 30.051), 'the second quarrels with the others too');
        self::assertSame(['gauges-disagree'], $codes(30.1, 30.1, 30.0, 30.0));
    }
}
