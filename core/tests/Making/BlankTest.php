<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Making\Blank;
use PHPUnit\Framework\TestCase;

/** The bar for a batch, by hand: each piece with its faces and its cut, the grip once or each time. */
final class BlankTest extends TestCase
{
    public function test_by_hand(): void
    {
        // 40 across wants 20 in the jaws; 100 long, 1 off either face, 4 for the cut.
        $one = new Blank(40.0, 100.0, 1.0, 1);
        self::assertEqualsWithDelta(126.0, $one->sawnMm, 1e-9);
        self::assertEqualsWithDelta(127.0, (new Blank(40.0, 100.0, 1.5, 1))->sawnMm, 1e-9);
        $six = new Blank(40.0, 100.0, 1.0, 6);
        self::assertEqualsWithDelta(6 * (126.0 + 4.0), $six->oneByOneMm, 1e-9);
        self::assertEqualsWithDelta(6 * 106.0 + 20.0, $six->throughMm, 1e-9);
        // A metre of 40 in steel: π/4 · 0.04² · 7850 = 9.865 kg.
        self::assertEqualsWithDelta(9.865, $six->massKg(1000.0, 7850.0), 1e-3);
    }

    public function test_a_piece_of_nothing_is_refused(): void
    {
        foreach ([[0.0, 100.0, 1], [40.0, 0.0, 1], [40.0, 100.0, 0]] as [$across, $long, $pieces]) {
            try {
                new Blank($across, $long, 1.0, $pieces);
                self::fail('this must be refused');
            } catch (BadInput $bad) {
                self::assertSame('long_mm', $bad->field);
            }
        }
    }
}
