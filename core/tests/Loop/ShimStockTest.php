<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Loop\Shims;
use Oldpart\Core\Loop\ShimStock;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** What is in the drawer, as it is typed. */
final class ShimStockTest extends TestCase
{
    public function test_how_many_of_each(): void
    {
        $stock = ShimStock::read('0.05 x3, 0.1×2; 0.002 in * 4', Unit::Millimetre);
        self::assertSame([3, 2, 4], array_column($stock, 'count'));
        self::assertEqualsWithDelta([0.05, 0.1, 0.0508], array_column($stock, 'mm'), 1e-9);
    }

    public function test_a_shim_has_a_thickness_of_its_own(): void
    {
        self::assertEqualsWithDelta(25.0, ShimStock::read('25', Unit::Millimetre)[0]['mm'], 1e-9);
        foreach (['25.1', '0', 'x3', 'thin'] as $text) {
            try {
                ShimStock::read($text, Unit::Millimetre);
                self::fail("“{$text}” was taken");
            } catch (BadInput $bad) {
                self::assertSame('shims', $bad->field);
            }
        }
    }

    /** Thick ones too: three of 2 mm are 6, two and one of 1.5 are 5.5; nearest to the middle of what is wanted. */
    public function test_a_pile_of_thick_ones(): void
    {
        $stock = ShimStock::read('2 x3, 1.5 x1, 0.5 x1', Unit::Millimetre);
        $pile = static fn (float $from, float $to): array => [...Shims::pile($stock, new Range($from, $to)) ?? []];
        self::assertEqualsWithDelta(6.0, array_sum($pile(5.9, 6.1)), 1e-9);
        self::assertEqualsWithDelta(5.5, array_sum($pile(5.4, 5.6)), 1e-9);
        self::assertEqualsWithDelta(8.0, array_sum($pile(7.9, 8.1)), 1e-9);
        self::assertSame([], $pile(8.1, 20.0), 'there are no more');
    }
}
