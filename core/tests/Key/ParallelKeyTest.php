<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Key;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Key\ParallelKey;
use Oldpart\Core\Key\SlotFit;
use PHPUnit\Framework\TestCase;

/** Which key for which shaft. */
final class ParallelKeyTest extends TestCase
{
    /** DIN 6885-1 and ANSI B17.1, from memory; a shaft on the border takes the smaller key. */
    public function test_by_the_shaft(): void
    {
        foreach ([[10, '3 × 3'], [20, '6 × 6'], [22, '6 × 6'], [25, '8 × 7'], [30, '8 × 7'], [35, '10 × 8'], [50, '14 × 9'], [80, '22 × 14']] as [$shaft, $key]) {
            self::assertSame($key, ParallelKey::forShaft((float) $shaft, false)?->label(), "{$shaft}");
        }
        foreach ([[0.5, '1/8 in square'], [0.75, '3/16 in square'], [1.0, '1/4 in square'], [1.5, '3/8 in square'], [4.0, '1 in square'], [5.0, '1-1/4 in square']] as [$shaft, $key]) {
            self::assertSame($key, ParallelKey::forShaft(25.4 * $shaft, true)?->label(), "{$shaft}");
        }
        self::assertNull(ParallelKey::forShaft(5.0, false));
        self::assertNull(ParallelKey::forShaft(200.0, true));
    }

    /** Without a gap from shaft to shaft, and each key about a quarter of what it is for. */
    public function test_the_tables_hang_together(): void
    {
        foreach (['metric', 'inch'] as $system) {
            $last = null;
            foreach (Table::read('key-shafts')[$system] as $row) {
                self::assertTrue($last === null || $row[0] === $last, "{$system} from {$row[0]}");
                self::assertEqualsWithDelta(0.27, $row[2] / (($row[0] + $row[1]) / 2), 0.1, "{$system} {$row[2]}");
                $last = $row[1];
            }
        }
        foreach (Table::read('key-shafts')['metric'] as $row) {
            $known = array_filter(Table::read('keys')['rows'], static fn (array $k): bool => [$k[0], $k[1]] === [$row[2], $row[3]]);
            self::assertCount(1, $known, "{$row[2]} × {$row[3]} has its depths");
        }
    }

    public function test_by_name(): void
    {
        foreach (['8 × 7' => [8.0, 7.0, true], '8x7 mm' => [8.0, 7.0, true], '1/4' => [6.35, 6.35, true], '1/4 sq' => [6.35, 6.35, true], '1/4 x 3/16 in' => [6.35, 4.7625, false], '0.4 in' => [10.16, 10.16, false], '1-1/4 square' => [31.75, 31.75, true], '9*9' => [9.0, 9.0, false]] as $text => [$wide, $high, $standard]) {
            $key = ParallelKey::named($text);
            self::assertEqualsWithDelta([$wide, $high], [$key->widthMm, $key->heightMm], 1e-9, $text);
            self::assertSame($standard, $key->standard, $text);
        }
        foreach (['', 'key', '8 ×', '0', '0 x 7'] as $text) {
            try {
                ParallelKey::named($text);
                self::fail("“{$text}” was taken for a key");
            } catch (BadInput $bad) {
                self::assertSame('shape', $bad->field);
            }
        }
    }

    /** DIN 6885-1: 25 with 8 × 7 is 21.0 across the shaft and 28.3 across the hub; one of no table is half in either. */
    public function test_its_slots(): void
    {
        $slots = ParallelKey::named('8 × 7')->on(25.0);
        self::assertEqualsWithDelta([21.0, 28.3], [$slots->acrossMm, $slots->hubMm], 1e-9);
        $odd = ParallelKey::named('9 × 9')->on(30.0);
        self::assertEqualsWithDelta(4.5, $odd->atCornerMm, 1e-9);
        self::assertSame(['N9', 'JS9'], [SlotFit::Normal->inShaft(), SlotFit::Normal->inHub()]);
        self::assertSame(['H9', 'D10', 'P9', 'P9'], [SlotFit::Free->inShaft(), SlotFit::Free->inHub(), SlotFit::Tight->inShaft(), SlotFit::Tight->inHub()]);
    }
}
