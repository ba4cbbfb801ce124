<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Loop\ShimStock;
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
}
