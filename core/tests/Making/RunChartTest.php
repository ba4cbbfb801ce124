<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Making\RunChart;
use Oldpart\Core\Quantity\Band;
use PHPUnit\Framework\TestCase;

/** Limits of a run against published examples. */
final class RunChartTest extends TestCase
{
    private static function chart(float ...$sizes): RunChart
    {
        return RunChart::of(array_values($sizes)) ?? self::fail('too few');
    }

    /** Moisture of ten lots: ISO 8258:1991 (now ISO 7870-2), control chart for individuals; from memory. */
    public function test_moisture_of_ten_lots(): void
    {
        $chart = self::chart(2.9, 3.2, 3.6, 4.3, 3.8, 3.5, 3.0, 3.1, 3.6, 3.5);
        self::assertEqualsWithDelta(3.45, $chart->meanMm, 1e-9);
        self::assertEqualsWithDelta(0.38, $chart->meanRangeMm, 0.005);
        self::assertEqualsWithDelta(4.46, $chart->limits()->max, 0.007);
        self::assertEqualsWithDelta(2.44, $chart->limits()->min, 0.007);
        self::assertEqualsWithDelta(1.24, $chart->rangeLimitMm(), 0.01);
        self::assertNull($chart->signal());
    }

    /** Flowrates: NIST/SEMATECH e-Handbook of Statistical Methods, 6.3.2.2; from memory. */
    public function test_flowrates(): void
    {
        $chart = self::chart(49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1);
        self::assertEqualsWithDelta(50.81, $chart->meanMm, 1e-9);
        self::assertEqualsWithDelta(1.8778, $chart->meanRangeMm, 5e-5);
        self::assertEqualsWithDelta(55.8041, $chart->limits()->max, 0.002);
        self::assertEqualsWithDelta(45.8159, $chart->limits()->min, 0.002);
    }

    public function test_fewer_than_four_have_no_limits(): void
    {
        self::assertNull(RunChart::of([1.0, 2.0, 1.0]));
        self::assertNotNull(RunChart::of([1.0, 2.0, 1.0, 2.0]));
    }

    /** Six standard deviations wide, 0.27 % lie outside at best; four wide, 4.55 %: tables of the normal distribution. */
    public function test_what_lies_outside_at_best(): void
    {
        $chart = self::chart(0.0, 1.128, 0.0, 1.128, 0.0);
        self::assertEqualsWithDelta(1.0, $chart->spreadMm(), 1e-9);
        self::assertEqualsWithDelta(0.0027, $chart->outsideAtBest(new Band(10, 16)), 1e-5);
        self::assertEqualsWithDelta(0.0455, $chart->outsideAtBest(new Band(-2, 2)), 1e-5);
        self::assertSame(0.0, self::chart(5.0, 5.0, 5.0, 5.0)->outsideAtBest(new Band(4, 6)));
    }

    /** The signs that ISO 7870-2 names, each by the first run that shows it. */
    public function test_signs_that_something_changed(): void
    {
        self::assertSame('beyond', self::chart(1, 2, 1, 2, 1, 2, 1, 2, 1, 2, 1, 9)->signal());
        self::assertSame('beyond', self::chart(1, 2, 1, 2, 1, 2, 1, 2, 1, 2, 1, -7)->signal());
        // Inside the limits both, and yet four mean ranges from one to the other.
        self::assertSame('jump', self::chart(2, 2.2, 2, 1.8, 1.6, 1.4, 1.2, 1.0, 1.2, 1.4, 1.2, 1.0, 2.2)->signal());
        self::assertSame('steady', self::chart(3, 1, 2, 4, 6, 8, 9)->signal());
        self::assertNull(self::chart(3, 4, 2, 4, 6, 8, 9)->signal() === 'steady' ? 'no' : null);
        self::assertSame('steady', self::chart(3, 9, 8, 6, 4, 2, 1)->signal());
        self::assertNull(self::chart(3, 9, 8, 6, 6, 2, 1)->signal() === 'steady' ? 'no' : null);
        $below = [9, 8, 9, 8, 9, 8];
        $nine = [5, 4, 5, 4, 5, 4, 5, 4, 5];
        self::assertSame('one-side', self::chart(...$below, ...$nine)->signal());
        self::assertNull(self::chart(...$below, ...array_slice($nine, 1))->signal());
    }
}
