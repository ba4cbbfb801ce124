<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Making\Cut;
use Oldpart\Core\Making\NextCut;
use Oldpart\Core\Making\TakeOff;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use PHPUnit\Framework\TestCase;

/** What earlier cuts took off: mean, spread by hand with the t of any table. */
final class TakeOffTest extends TestCase
{
    public function test_mean_and_where_the_next_lies(): void
    {
        $off = TakeOff::of([0.90, 0.92, 0.94, 0.96, 0.98]);
        self::assertNotNull($off);
        self::assertEqualsWithDelta(0.94, $off->mean, 1e-12);
        // s = √0.001, t = 2.776 for four degrees of freedom, √(1 + 1/5).
        self::assertEqualsWithDelta(2.776 * sqrt(0.001) * sqrt(1.2), $off->next()->width() / 2, 1e-4);
        self::assertStringStartsWith('5 earlier cuts in like metal took off 0.94 of what was dialled, 0.84 to 1.04', $off->says());
    }

    /** A slip, and a dial that reads the radius, say nothing of how a tool springs. */
    public function test_slips_count_for_nothing(): void
    {
        self::assertNull(TakeOff::of([0.9, 0.9, 0.9]));
        self::assertNull(TakeOff::of([0.9, 0.9, 0.9, 2.0, 1.9, 0.5, 0.1, 1.7, -1.0]));
        self::assertSame(4, TakeOff::of([0.9, 0.9, 0.9, 2.0, 1.6])?->count);
    }

    public function test_the_first_dial_allows_for_it(): void
    {
        $learned = TakeOff::of([0.8, 0.8, 0.8, 0.8]);
        $band = new Band(19.98, 20.0);
        $first = NextCut::toward(SurfaceKind::Shaft, $band, 20.4, 0.5, learned: $learned);
        // 0.4 to the upper end in two equal cuts of 0.2, each dialled 0.2 ÷ 0.8.
        self::assertEqualsWithDelta(0.25, $first->dialMm, 1e-9);
        self::assertContains('learned', array_column($first->notes, 'code'));
        // What this surface itself said goes before.
        $own = NextCut::toward(SurfaceKind::Shaft, $band, 20.4, 0.5, [new Cut(0.2, 0.19)], learned: $learned);
        self::assertEqualsWithDelta(0.2 / 0.95, $own->dialMm, 1e-9);
        self::assertNotContains('learned', array_column($own->notes, 'code'));
    }
}
