<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Key;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Key\Keyway;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Keyways and flats against the standards' tables and the geometry of a chord. */
final class KeywayTest extends TestCase
{
    /** ANSI B17.1: a 1 in shaft with a 1/4 in square key: S 0.859, T 1.114, 0.141 from the round, 0.125 at the corners. */
    public function test_inch(): void
    {
        $way = Keyway::inch(25.4, 6.35, 6.35);
        self::assertEqualsWithDelta(
            [0.859, 1.114, 0.141, 0.125],
            [$way->acrossMm / 25.4, $way->hubMm / 25.4, $way->fromTopMm / 25.4, $way->atCornerMm / 25.4],
            6e-4,
        );
        // A 2 in shaft with a 1/2 in square key: S 1.718, T 2.223 (the same table, from memory).
        $two = Keyway::inch(50.8, 12.7, 12.7);
        self::assertEqualsWithDelta([1.718, 2.223], [$two->acrossMm / 25.4, $two->hubMm / 25.4], 6e-4);
    }

    /** DIN 6885-1: a 30 mm shaft with an 8 × 7 key: S 26.0, hub 33.3. */
    public function test_metric(): void
    {
        $way = Keyway::metric(30.0, 8.0, 7.0);
        self::assertEqualsWithDelta([26.0, 33.3, 4.0], [$way->acrossMm, $way->hubMm, $way->fromTopMm], 1e-9);
        // The arc a slot of 8 cuts off 30 is 15 − √(225 − 16) = 0.543.
        self::assertEqualsWithDelta(4.0 - 0.543, $way->atCornerMm, 1e-3);
    }

    /** Of every key of the table, shaft and hub together leave it a little room on top, and no more. */
    public function test_the_table_pins_itself_down(): void
    {
        /** @var list<array{float, float, float, float}> $rows */
        $rows = Table::read('keys')['rows'];
        self::assertCount(20, $rows);
        $last = 0.0;
        foreach ($rows as [$width, $height, $inShaft, $inHub]) {
            self::assertGreaterThan($last, $width);
            self::assertGreaterThanOrEqual(0.2 - 1e-9, $inShaft + $inHub - $height, "{$width} × {$height}");
            self::assertLessThanOrEqual(0.41, $inShaft + $inHub - $height, "{$width} × {$height}");
            $last = $width;
        }
    }

    /** An odd 0.400 in slot by a 3/8 cutter: 0.0125 each way; 0.250 long it goes 0.4375. Flats by Pythagoras. */
    public function test_cutting(): void
    {
        $cut = Sums::run('key-cut', ['width_mm' => 10.16, 'cutter_mm' => 9.525, 'length_mm' => 6.35]);
        self::assertEqualsWithDelta([0.0125, 0.4375], [$cut['side_step_mm'] / 25.4, $cut['travel_mm'] / 25.4], 1e-9);
        self::assertNull(Sums::run('key-cut', ['width_mm' => 10, 'cutter_mm' => 10])['travel_mm']);
        $flats = Sums::run('flats', ['diameter_mm' => 13, 'across_flats_mm' => 12]);
        self::assertEqualsWithDelta([0.5, 5.0], [$flats['depth_mm'], $flats['width_mm']], 1e-12);
        $way = Sums::run('keyway', ['system' => 'metric', 'shaft_mm' => 30, 'width_mm' => 8, 'height_mm' => 7, 'cutter_mm' => 6]);
        self::assertEqualsWithDelta(1.0, $way['side_step_mm'], 1e-12);
    }

    /** @return iterable<string, array{string, array<string, float|string>, string}> */
    public static function refused(): iterable
    {
        yield 'another system' => ['keyway', ['system' => 'cubits', 'shaft_mm' => 30.0, 'width_mm' => 8.0, 'height_mm' => 7.0], 'system'];
        yield 'no such key' => ['keyway', ['system' => 'metric', 'shaft_mm' => 30.0, 'width_mm' => 8.0, 'height_mm' => 8.0], 'width_mm'];
        yield 'wider than the shaft' => ['keyway', ['system' => 'inch', 'shaft_mm' => 6.0, 'width_mm' => 8.0, 'height_mm' => 8.0], 'width_mm'];
        yield 'past the middle' => ['keyway', ['system' => 'inch', 'shaft_mm' => 10.0, 'width_mm' => 4.0, 'height_mm' => 12.0], 'height_mm'];
        yield 'a cutter too wide' => ['key-cut', ['width_mm' => 8.0, 'cutter_mm' => 9.0], 'cutter_mm'];
        yield 'no length' => ['key-cut', ['width_mm' => 8.0, 'cutter_mm' => 6.0, 'length_mm' => 0.0], 'length_mm'];
        yield 'no round' => ['flats', ['diameter_mm' => 0.0, 'across_flats_mm' => 1.0], 'diameter_mm'];
        yield 'no flat' => ['flats', ['diameter_mm' => 10.0, 'across_flats_mm' => 10.0], 'across_flats_mm'];
    }

    /** @param  array<string, float|string>  $in */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_by_name(string $sum, array $in, string $field): void
    {
        try {
            Sums::run($sum, $in);
            self::fail('was taken');
        } catch (BadInput $bad) {
            self::assertSame($field, $bad->field);
        }
    }
}
