<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Making\Machine;
use Oldpart\Core\Making\StockChoice;
use Oldpart\Core\Quantity\Fields;
use PHPUnit\Framework\TestCase;

/** What is on the rack: the smallest bar that is thick and long enough; a tube where its hole is in the bore. */
final class StockChoiceTest extends TestCase
{
    private static function stock(string $name, string $across, string $inside = '', string $long = '', string $metal = 'steel'): Machine
    {
        return Machine::read(new Fields([
            'id' => str_replace(' ', '-', $name), 'kind' => 'stock', 'name' => $name, 'unit' => 'mm',
            'figures' => array_filter(['across_mm' => $across, 'inside_mm' => $inside, 'long_mm' => $long, 'metal' => $metal]),
        ]));
    }

    /** @param  list<Machine>  $rack */
    private static function chosen(array $rack, float $across, float $bore, float $long): ?string
    {
        return StockChoice::of($rack, 'steel', $across, $bore, $long)?->stock->name;
    }

    public function test_the_smallest_that_does(): void
    {
        $rack = [self::stock('bar 50', '50'), self::stock('bar 40', '40', '', '300'), self::stock('brass', '40', metal: 'bronze'), self::stock('another 40', '40')];
        self::assertSame('bar 40', self::chosen($rack, 40.0, 0.0, 300.0));
        self::assertSame('another 40', self::chosen($rack, 40.0, 0.0, 300.1), 'the first is too short');
        self::assertSame('bar 50', self::chosen($rack, 40.1, 0.0, 10.0));
        self::assertNull(self::chosen($rack, 50.1, 0.0, 10.0));
    }

    public function test_a_tube_is_hollow_where_the_part_is(): void
    {
        $rack = [self::stock('bar', '60'), self::stock('tube', '50', '30')];
        self::assertSame('tube', self::chosen($rack, 48.0, 30.0, 10.0), 'as wide as the bore');
        self::assertSame('bar', self::chosen($rack, 48.0, 29.9, 10.0));
        self::assertSame('bar', self::chosen($rack, 48.0, 0.0, 10.0));
    }

    public function test_whether_anybody_said(): void
    {
        self::assertTrue(StockChoice::isSaid([self::stock('bar', '60')], 'steel'));
        self::assertFalse(StockChoice::isSaid([self::stock('bar', '60')], 'cast-iron'));
        self::assertFalse(StockChoice::isSaid([], 'steel'));
    }
}
