<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Offset;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Offset\BoreCentre;
use Oldpart\Core\Offset\Eccentric;
use PHPUnit\Framework\TestCase;

/** Offsets and bore centres: geometry by hand. */
final class OffsetTest extends TestCase
{
    public function test_three_four_five(): void
    {
        $of = new Eccentric(3.0, -4.0);
        self::assertEqualsWithDelta([5.0, -53.13010235, 10.0], [$of->offsetMm, $of->directionDeg, $of->swingMm()], 1e-8);
        self::assertSame(0.0, (new Eccentric(0.0, 0.0))->directionDeg);
    }

    /**
     * The packing does what it is for: under the jaw at 0° it pushes a bar of 40 away by 5, and fills what that jaw then
     * stands farther out than its bar, all three jaws moving as one.
     */
    public function test_packing(): void
    {
        $of = new Eccentric(5.0, 0.0);
        $packing = $of->packingMm(40.0);
        self::assertEqualsWithDelta(7.5 - 20 + sqrt(400 - 18.75), $packing, 1e-12);
        $jaw = static fn (float $deg): float => -5 * cos(deg2rad($deg)) + sqrt(400 - (5 * sin(deg2rad($deg))) ** 2);
        self::assertEqualsWithDelta($jaw(120.0) - $jaw(0.0), $packing, 1e-9);
        $this->expectException(BadInput::class);
        $of->packingMm(8.0);
    }

    /** The roller rests in the bottom: 62 over it less 10 is the bottom at 52, and half of 40 above that 72. */
    public function test_a_bore_centre(): void
    {
        self::assertSame(72.0, BoreCentre::mm(62.0, 10.0, 40.0));
        $this->expectException(BadInput::class);
        BoreCentre::mm(62.0, 40.0, 40.0);
    }
}
