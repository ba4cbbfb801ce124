<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Making\MillReach;
use Oldpart\Core\Quantity\Fields;
use PHPUnit\Framework\TestCase;

/** A plate on the mills of the shop: laid either way, by the one that reaches it. */
final class MillReachTest extends TestCase
{
    private static function mill(string $name, string $table, string $cross): Machine
    {
        return Machine::read(new Fields(['id' => $name, 'kind' => 'mill', 'name' => $name, 'unit' => 'mm', 'figures' => array_filter(['table_mm' => $table, 'cross_mm' => $cross])]));
    }

    public function test_it_is_laid_the_way_it_fits(): void
    {
        $small = self::mill('small', '300', '120');
        $large = self::mill('large', '600', '250');
        self::assertNull(MillReach::of([], 100.0, 100.0));
        self::assertSame(['small', []], [MillReach::of([$small, $large], 300.0, 120.0)?->mill->name, MillReach::of([$small, $large], 300.0, 120.0)?->notes]);
        self::assertSame('small', MillReach::of([$small, $large], 120.0, 300.0)?->mill->name, 'turned round');
        self::assertSame('large', MillReach::of([$small, $large], 300.0, 121.0)?->mill->name);
        // 640 along the table and 200 across: 40 too long for the one, more for the other.
        $none = MillReach::of([$small, $large], 640.0, 200.0);
        self::assertSame('large', $none?->mill->name);
        self::assertSame(['mill-travel'], array_map(static fn (Note $n): string => $n->code, $none->notes));
        self::assertStringContainsString('40.000', $none->notes[0]->say->mm);
        // What is not said is not asked.
        self::assertSame([], MillReach::of([self::mill('unsaid', '', '')], 5000.0, 5000.0)?->notes);
    }

    /** Of two that fall short by as much, the first of the list; one a hair shorter than the plate is short. */
    public function test_the_first_of_two_alike(): void
    {
        $mills = [self::mill('first', '300', '120'), self::mill('second', '300', '120')];
        self::assertSame('first', MillReach::of($mills, 400.0, 100.0)?->mill->name);
        self::assertCount(1, MillReach::of($mills, 300.01, 100.0)->notes);
    }
}
