<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Making\PressAssembly;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

final class PressAssemblyTest extends TestCase
{
    private static function press(): Press
    {
        $steel = new Material('steel', 'steel', 207, 0.29, 11.7e-6, 350, 420, false);

        return Press::of(
            new PressFit(50, 0, 100, 40, new Range(0.05, 0.05), $steel, $steel, new Friction(0.1, 0.1, 'by hand')),
        );
    }

    /**
     * Shigley's joint needs about 48.8 kN (0.1 · 77.6 MPa · π · 50 · 40): a lever press of 9 kN cannot, one of 60 can.
     */
    public function test_says_when_the_shop_cannot_press_it(): void
    {
        $why = static fn (float $shop): string => implode(
            ' ',
            array_map(static fn (Step $s): string => $s->why, PressAssembly::steps(self::press(), $shop)),
        );
        self::assertStringContainsString('may not be able to', $why(9000));
        self::assertStringContainsString('enough', $why(60000));
    }

    public function test_the_force_rises_straight(): void
    {
        $press = self::press();
        self::assertEqualsWithDelta(0.0, $press->forceAtDepth(0), 1e-9);
        self::assertEqualsWithDelta($press->pressForceN / 4, $press->forceAtDepth(10), 1e-6);
        self::assertEqualsWithDelta($press->pressForceN, $press->forceAtDepth(99), 1e-6);
    }

    /** Prepare, press, check, in that order; the lead-in and cleaning never come after the press (common practice). */
    public function test_the_order_of_assembly(): void
    {
        foreach ([null, self::press()] as $press) {
            $rules = array_map(static fn (Step $s): string => $s->rule, PressAssembly::steps($press, 9000));
            self::assertSame(['prepare', 'press', 'check'], array_values(array_unique($rules)));
        }
    }

    /** A bore that closed is read again, and an outside that grew; of a solid shaft there is none to read. */
    public function test_what_changed_is_measured_again(): void
    {
        $codes = static fn (?Press $press, bool $hollow, bool $grows): array => array_map(
            static fn (Step $s): string => $s->code,
            PressAssembly::steps(press: $press, shopPressN: 9000, hollow: $hollow, grows: $grows),
        );
        self::assertContains('check-bore', $codes(null, true, false));
        self::assertNotContains('check-bore', $codes(null, false, false));
        self::assertNotContains('check-bore', $codes(self::press(), true, false), 'it is known to be solid');
        self::assertContains('check-outside', $codes(null, true, true));
        self::assertNotContains('check-outside', $codes(null, true, false));
    }
}
