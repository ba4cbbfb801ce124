<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Making\BushOrder;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Quantity\Band;
use PHPUnit\Framework\TestCase;

/** Order of operations by wall: common practice of the trade, no source. */
final class BushOrderTest extends TestCase
{
    /** @return list<string> */
    private static function order(float $outside, float $bore, bool $inPlace, bool $sintered = false): array
    {
        return array_map(static fn (Step $s): string => $s->code, self::steps($outside, $bore, $inPlace, $sintered));
    }

    /** @return list<Step> */
    private static function steps(float $outside, float $bore, bool $inPlace, bool $sintered): array
    {
        $band = static fn (float $mm): Band => new Band($mm, $mm + 0.02);

        return BushOrder::of(
            $band($outside),
            $inPlace ? null : $band($bore + 0.01),
            $band($bore),
            $band(40),
            $inPlace,
            $sintered,
        );
    }

    public function test_thin_wall_bores_first_and_is_plugged(): void
    {
        $order = self::order(28.575, 26.924, true); // 1.125 outside, 1.060 bore: wall 0.0325 in, under a millimetre
        self::assertLessThan(array_search('finish-outside', $order, true), array_search('rough-bore', $order, true));
        self::assertContains('plug', $order);
        self::assertLessThan(array_search('finish-bore-in-place', $order, true), array_search('press', $order, true));
    }

    public function test_thick_wall_needs_no_plug_and_parts_off_last(): void
    {
        $order = self::order(32.0, 22.0, false);
        self::assertNotContains('plug', $order);
        self::assertNotContains('finish-bore-in-place', $order);
        self::assertSame('part', $order[array_search('press', $order, true) - 1]);
        self::assertSame('mates', $order[0]);
    }

    public function test_sintered_bronze_is_never_reamed(): void
    {
        $says = implode(' ', array_map(static fn (Step $s): string => $s->do->mm, self::steps(32.0, 22.0, true, true)));
        self::assertStringContainsString('mandrel', $says);
        self::assertStringNotContainsString('Bore or ream', $says);
    }
}
