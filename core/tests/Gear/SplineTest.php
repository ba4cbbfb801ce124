<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Gear;

use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Gear\StraightSpline;
use PHPUnit\Framework\TestCase;

/** Straight-sided splines: ISO 14, from memory. */
final class SplineTest extends TestCase
{
    public function test_by_count_and_size(): void
    {
        self::assertSame('8 × 32 × 38', StraightSpline::like(8, 37.9, 32.1, 6.0)[0]->label());
        self::assertSame('8 × 32 × 36', StraightSpline::like(8, 35.9, null, null)[0]->label());
        self::assertSame([], StraightSpline::like(8, 37.9, 32.1, 7.0));
        self::assertSame([], StraightSpline::like(9, 37.9, null, null));
    }

    /** Teeth and gaps alternate: teeth take between a third and six tenths of the round at the bottom. */
    public function test_the_table_hangs_together(): void
    {
        foreach (Table::read('splines')['rows'] as [$series, $teeth, $minor, $major, $tooth]) {
            self::assertEqualsWithDelta(0.5, ($teeth * $tooth) / (M_PI * $minor), 0.14, "{$series} {$teeth} × {$minor}");
            self::assertGreaterThan($minor, $major);
            self::assertLessThan(1.3 * $minor, $major);
        }
    }
}
