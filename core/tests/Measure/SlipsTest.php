<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Advice\Note;
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
        $set = new Readings(SurfaceKind::Shaft, array_map(static fn (float $mm): Reading => new Reading($mm), $sizes), new Instrument(0.001));

        return count(array_filter(Slips::in($set), static fn (Note $n): bool => $n->code === 'slip'));
    }

    /**
     * Modified z-score over 3.5 (Iglewicz and Hoaglin). Of 10.00, 10.01, 10.02, 10.03, 10.04 and one more the median
     * deviation is about 0.015: 10.15 scores 0.6745 · 0.125/0.015 = 5.6, 10.08 scores 2.5.
     */
    public function test_the_modified_z_score(): void
    {
        self::assertSame(1, self::slips([10.00, 10.01, 10.02, 10.03, 10.04, 10.15]));
        self::assertSame(0, self::slips([10.00, 10.01, 10.02, 10.03, 10.04, 10.08]));
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
}
