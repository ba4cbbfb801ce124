<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Making\BoringBar;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Quantity\Fields;
use PHPUnit\Framework\TestCase;

/** The thickest bar that goes in and reaches; how far it gives by the cantilever of any handbook. */
final class BoringBarTest extends TestCase
{
    private static function bar(string $name, string $thick, string $reach): Machine
    {
        return Machine::read(new Fields([
            'id' => $name, 'kind' => 'bar', 'name' => $name, 'unit' => 'mm',
            'figures' => ['thick_mm' => $thick, 'reach_mm' => $reach],
        ]));
    }

    public function test_the_thickest_that_goes_in_and_reaches(): void
    {
        $bars = [self::bar('eight', '8', '40'), self::bar('twelve', '12', '60'), self::bar('sixteen', '16', '120')];
        self::assertSame('twelve', BoringBar::of($bars, 20.0, 50.0)?->bar->name);
        self::assertSame('sixteen', BoringBar::of($bars, 22.0, 50.0)?->bar->name);
        self::assertSame('eight', BoringBar::of($bars, 12.0, 30.0)?->bar->name);
        self::assertNull(BoringBar::of($bars, 12.0, 40.0), 'the only one thin enough is too short');
        self::assertNull(BoringBar::of($bars, 8.0, 10.0));
        self::assertNull(BoringBar::of([], 20.0, 10.0));
    }

    public function test_how_far_it_gives(): void
    {
        // 50 N, 55 mm out, 12 mm of steel: I = π·12⁴/64 = 1017.9 mm⁴; 50·55³ ÷ (3·205000·1017.9) = 0.01329 mm.
        $bar = BoringBar::of([self::bar('twelve', '12', '60')], 20.0, 50.0);
        self::assertEqualsWithDelta(0.01329, $bar?->givesMm(), 2e-5);
        self::assertSame(['bar', 'chatters'], array_column($bar?->notes() ?? [], 'code'), '4.6 times its thickness');
        self::assertSame(['bar'], array_column(BoringBar::of([self::bar('sixteen', '16', '70')], 25.0, 50.0)?->notes() ?? [], 'code'));
    }

    /** One of which only one figure is known is not counted on. */
    public function test_half_known_is_not_known(): void
    {
        $bars = [
            Machine::read(new Fields(['id' => 'a', 'kind' => 'bar', 'name' => 'a', 'unit' => 'mm', 'figures' => ['thick_mm' => '12']])),
            Machine::read(new Fields(['id' => 'b', 'kind' => 'bar', 'name' => 'b', 'unit' => 'mm', 'figures' => ['reach_mm' => '200']])),
        ];
        self::assertNull(BoringBar::of($bars, 20.0, 10.0));
    }

    /** The thickest that does, wherever it lies in the drawer. */
    public function test_the_order_in_the_drawer_does_not_count(): void
    {
        $bars = [self::bar('twelve', '12', '60'), self::bar('eight', '8', '60'), self::bar('ten', '10', '60')];
        self::assertSame('twelve', BoringBar::of($bars, 20.0, 30.0)?->bar->name);
        self::assertSame('twelve', BoringBar::of(array_reverse($bars), 20.0, 30.0)?->bar->name);
    }
}
