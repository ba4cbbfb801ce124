<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\Slips;
use Oldpart\Core\Measure\SurfaceKind;
use PHPUnit\Framework\TestCase;

final class SlipsTest extends TestCase
{
    /** @param  list<float>  $sizes */
    private static function slips(array $sizes): int
    {
        $set = new Readings(
            SurfaceKind::Shaft,
            array_map(static fn (float $mm): Reading => new Reading($mm), $sizes),
            new Instrument(0.001),
        );

        return count(Slips::in($set));
    }

    /**
     * Modified z-score over 3.5 (Iglewicz and Hoaglin). Of 10.00, 10.01, 10.02, 10.03, 10.04 and one more the median
     * deviation is about 0.015: 10.15 scores 0.6745 · 0.125/0.015 = 5.6, 10.08 scores 2.5.
     */
    public function test_the_modified_z_score(): void
    {
        self::assertSame(1, self::slips([10.0, 10.01, 10.02, 10.03, 10.04, 10.15]));
        self::assertSame(0, self::slips([10.0, 10.01, 10.02, 10.03, 10.04, 10.08]));
    }

    /**
     * 1.1247 typed where millimetres are meant is 28.567 mm; a thimble turned once too far is half a millimetre less
     * (common practice).
     */
    public function test_what_would_mend_it(): void
    {
        $mend = static fn (float ...$sizes): ?float => Slips::in(
            new Readings(
                SurfaceKind::Shaft,
                array_map(static fn (float $mm): Reading => new Reading($mm), array_values($sizes)),
                new Instrument(0.001),
            ),
        )[0]->mendedMm;
        self::assertEqualsWithDelta(28.567, $mend(28.567, 28.566, 28.568, 1.1247), 0.001);
        self::assertEqualsWithDelta(28.567, $mend(28.567, 28.566, 29.067), 0.002);
        self::assertEqualsWithDelta(28.567, $mend(28.567, 28.566, 27.932), 0.002, 'a turn of an inch thimble short');
        self::assertNull($mend(10.0, 10.01, 10.02, 10.03, 10.04, 10.15), 'nobody can say what it was');
    }

    /** A shim of 0.3 mm, once typed as the 0.0118 in it is: under half a millimetre apart, and yet 25 times. */
    public function test_the_other_unit_of_something_thin(): void
    {
        self::assertSame(1, self::slips([0.3, 0.3, 0.0118]));
        self::assertSame(0, self::slips([0.3, 0.3, 0.02]));
    }

    public function test_few_or_equal_readings_accuse_nobody(): void
    {
        self::assertSame(0, self::slips([10.0]));
        self::assertSame(0, self::slips([10.0, 10.1]));
        self::assertSame(0, self::slips([10.0, 10.0, 10.0, 10.0]));
    }

    /** Half a millimetre is one turn of a metric thimble (common practice). */
    public function test_a_metric_turn(): void
    {
        self::assertSame(1, self::slips([10.0, 10.001, 10.5]));
    }

    /** Four readings are enough to accuse one, three are not: 10.00, 10.01, 10.02 and 10.3 scores 0.6745 · 0.285/0.01. */
    public function test_from_four_readings_on(): void
    {
        self::assertSame(1, self::slips([10.0, 10.01, 10.02, 10.3]));
        self::assertSame(0, self::slips([10.0, 10.01, 10.3]));
    }
}
