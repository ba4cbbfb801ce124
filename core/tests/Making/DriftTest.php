<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Making\Drift;
use Oldpart\Core\Quantity\Band;
use PHPUnit\Framework\TestCase;

/**
 * The best line through 2, 4, 5, 4, 5 by hand: slope 0.6, at 2.8 for the first, scatter √0.8; t for three degrees of
 * freedom is 3.182 in any table.
 */
final class DriftTest extends TestCase
{
    private static function drift(float $hidden = 0.0): Drift
    {
        return Drift::of([1 => 2.0, 2 => 4.0, 3 => 5.0, 4 => 4.0, 5 => 5.0], $hidden) ?? self::fail('no line');
    }

    public function test_the_line_by_hand(): void
    {
        self::assertEqualsWithDelta(0.6, self::drift()->perPieceMm(), 1e-12);
        self::assertEqualsWithDelta(3.182 * sqrt(0.8 / 10), self::drift()->sureMm(), 1e-3);
        self::assertFalse(self::drift()->isReal(), '0.6 is less than 0.9');
        $next = self::drift()->expected(6);
        self::assertEqualsWithDelta(5.8, $next->middle(), 1e-9);
        self::assertEqualsWithDelta(3.182 * sqrt(0.8) * sqrt(1 + 1 / 5 + 9 / 10), $next->width() / 2, 2e-3);
        self::assertEqualsWithDelta(2.8, self::drift()->expected(1)->middle(), 1e-9);
    }

    /** Points that scatter less than the gauge shows are not believed to. */
    public function test_the_gauge_hides_a_little(): void
    {
        $straight = [2 => 10.0, 4 => 10.02, 6 => 10.04];
        self::assertTrue(Drift::of($straight, 0.0)?->isReal());
        self::assertEqualsWithDelta(0.01, Drift::of($straight, 0.0)->perPieceMm(), 1e-12);
        // t = 12.706 for one degree of freedom, the points are two apart: √8 in the denominator.
        self::assertEqualsWithDelta(12.706 * 0.003 / sqrt(8), Drift::of($straight, 0.003)?->sureMm(), 1e-5);
        self::assertFalse(Drift::of($straight, 0.003)?->isReal());
        self::assertTrue(Drift::of([2 => 10.04, 4 => 10.02, 6 => 10.0], 0.0)?->isReal(), 'downward as well');
        self::assertSame(self::drift()->sureMm(), self::drift(0.5)->sureMm(), 'they scatter more than that');
    }

    public function test_the_first_piece_outside(): void
    {
        // 5.8, 6.4, 7.0, 7.6 are to come.
        self::assertSame(9, self::drift()->firstOutside(new Band(0, 7.3)));
        self::assertSame(6, self::drift()->firstOutside(new Band(0, 5.5)));
        self::assertNull(self::drift()->firstOutside(new Band(0, 1e6)));
        // 2.8 + 0.6 (n − 1) is 305.2 at the 505th, the last of the next 500; farther nobody looks.
        self::assertSame(505, self::drift()->firstOutside(new Band(0, 304.9)));
        self::assertNull(self::drift()->firstOutside(new Band(0, 305.5)));
    }

    public function test_two_points_are_no_line(): void
    {
        self::assertNull(Drift::of([1 => 1.0, 2 => 2.0], 0.0));
    }

    /** A fall counts like a rise: 0.6 a piece less than 0.9 of doubt is chance either way. */
    public function test_a_small_fall_is_chance(): void
    {
        self::assertFalse(Drift::of([1 => -2.0, 2 => -4.0, 3 => -5.0, 4 => -4.0, 5 => -5.0], 0.0)?->isReal());
        self::assertTrue(Drift::of([1 => 5.0, 2 => 4.0, 3 => 3.01, 4 => 2.0, 5 => 1.0], 0.0)?->isReal());
    }
}
