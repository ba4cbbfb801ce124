<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Joint\Fastening;
use PHPUnit\Framework\TestCase;

/** Keys, pins, screws and welds, against a handbook's worked example and by hand. */
final class FasteningTest extends TestCase
{
    /**
     * Shigley's Mechanical Engineering Design, example 7–6 (from memory): a 1.75 in shaft, a 3/8 in square key of yield
     * 65 kpsi, torque 2819 lbf·in, factor 2.8. Shear asks for a length of
     * F n / (0.577 · 65000 · 0.375) with F = 2819 / 0.875 = 3222 lbf, 0.64 in; the shaft's bore side at 65 kpsi asks
     * for 3222 · 2.8 / (65000 · 0.1875) = 0.74 in.
     */
    public function test_a_key_of_a_handbook(): void
    {
        $in = 25.4;
        $mpa = 6.894757e-3;
        $needed = 2819 * 0.1129848 * 2.8;
        $shear = Fastening::key(1.75 * $in, 0.375 * $in, 10 * $in, 0.642 * $in, 65000 * $mpa, 1e6);
        self::assertEqualsWithDelta($needed, $shear->torqueNm, 0.005 * $needed);
        self::assertSame('the key shears', $shear->gives);
        $crush = Fastening::key(1.75 * $in, 0.375 * $in, 0.375 * $in, 0.74 * $in, 65000 * $mpa, 65000 * $mpa);
        self::assertEqualsWithDelta($needed, $crush->torqueNm, 0.005 * $needed);
        self::assertSame('its sides crush', $crush->gives);
        self::assertSame(['key-long'], array_column(Fastening::key(20, 6, 6, 40, 300, 300)->notes, 'code'));
    }

    /**
     * By hand: a 6 pin of 300 MPa across 25: 0.577 · 300 · 28.274 · 25 = 122.4 N·m; along, both sections, 9.79 kN. Two
     * do twice that.
     */
    public function test_a_cross_pin(): void
    {
        self::assertEqualsWithDelta(122.36, (float) Fastening::crossPin(25, 6, 1, 300)->torqueNm, 0.02);
        self::assertEqualsWithDelta(9788.6, (float) Fastening::crossPin(25, 6, 1, 300)->axialN, 1);
        self::assertEqualsWithDelta(244.72, (float) Fastening::crossPin(25, 6, 2, 300)->torqueNm, 0.04);
        self::assertSame(['pin-thick'], array_column(Fastening::crossPin(25, 9, 1, 300)->notes, 'code'));
    }

    /**
     * By hand: two 8 dowels of 400 MPa on a circle of 100: 0.577 · 400 · 50.265 · 2 · 50 = 1160 N·m. One 6 along a
     * joint of 30, 20 long, of 400: 0.577 · 400 · 120 · 15 = 415.4 N·m.
     */
    public function test_dowels(): void
    {
        self::assertEqualsWithDelta(1160.1, (float) Fastening::dowels(100, 8, 2, 400)->torqueNm, 0.5);
        self::assertEqualsWithDelta(415.44, (float) Fastening::dowels(30, 6, 1, 400, 20)->torqueNm, 0.1);
        self::assertNull(Fastening::dowels(100, 8, 2, 400)->axialN);
    }

    /**
     * By hand: an M8 at 12 N·m pushes 12000 / 1.6 = 7.5 kN; 2 · 0.15 of that is 2.25 kN, at 12.5 mm 28.1 N·m. Four M10
     * at 40 on 80: 80 kN, 0.15 · 80 · 40 = 480 N·m.
     */
    public function test_screws_hold_by_friction(): void
    {
        self::assertEqualsWithDelta(28.125, (float) Fastening::setScrews(25, 8, 1, 12)->torqueNm, 1e-9);
        self::assertEqualsWithDelta(2250, (float) Fastening::setScrews(25, 8, 1, 12)->axialN, 1e-9);
        self::assertEqualsWithDelta(480, (float) Fastening::bolts(80, 10, 4, 40)->torqueNm, 1e-9);
    }

    /** By hand: a 5 fillet round 40 in 240 MPa: 0.7071 · 5 · π · 1600/2 · 69.24 = 615 N·m; both sides twice that. */
    public function test_a_fillet_round_a_shaft(): void
    {
        self::assertEqualsWithDelta(615.2, (float) Fastening::weld(40, 5, 1, 240)->torqueNm, 0.5);
        self::assertEqualsWithDelta(2 * 615.2, (float) Fastening::weld(40, 5, 2, 240)->torqueNm, 1);
    }

    /**
     * By hand: two M8 at 25 N·m draw 31.25 kN; a half angle of 4° is tan 0.0699, over 0.2199 that is 142.1 kN, times
     * 0.15 times 15 mm 319.7 N·m; below 8.5° it locks itself.
     */
    public function test_a_split_bush_drawn_into_a_taper(): void
    {
        self::assertEqualsWithDelta(319.7, (float) Fastening::taperBush(30, 4, 8, 2, 25)->torqueNm, 0.3);
        self::assertSame(['self-locking'], array_column(Fastening::taperBush(30, 4, 8, 2, 25)->notes, 'code'));
        self::assertSame([], Fastening::taperBush(30, 10, 8, 2, 25)->notes);
    }

    /** A larger or stronger one never holds less, and what is not above zero is refused by its name. */
    public function test_properties_and_refusals(): void
    {
        for ($k = 1; $k < 20; $k++) {
            self::assertGreaterThan(
                Fastening::key(30, 8, 7, $k, 300, 250)->torqueNm,
                Fastening::key(30, 8, 7, $k + 1, 300, 250)->torqueNm,
            );
            self::assertGreaterThan(
                Fastening::taperBush(30, $k + 1, 8, 2, 25)->torqueNm,
                Fastening::taperBush(30, $k, 8, 2, 25)->torqueNm,
            );
        }
        self::assertNull(Fastening::knurl()->torqueNm);
        foreach (
            [
                ['width', static fn () => Fastening::key(30, 0, 7, 10, 300, 250)],
                ['pin', static fn () => Fastening::crossPin(30, -1, 1, 300)],
                ['tighten', static fn () => Fastening::bolts(80, 10, 4, NAN)],
                ['half_angle', static fn () => Fastening::taperBush(30, 50, 8, 2, 25)],
            ] as [$field, $make]
        ) {
            try {
                $make();
                self::fail($field);
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }

    /**
     * A compound in a press counts by its own strength alone, a third of it: 12 MPa at the least (as makers give it by
     * ISO 10123, from memory) over 30 by 40 is 12/3 · π 30 · 40 · 15 N·mm, 226.2 N·m; half of that from 120 °C,
     * nothing above 150 °C.
     */
    public function test_a_compound_in_a_press_holds_by_itself(): void
    {
        self::assertEqualsWithDelta(226.195, Fastening::compound(30, 40, 20)->torqueNm, 1e-3);
        self::assertEqualsWithDelta(113.097, Fastening::compound(30, 40, 120)->torqueNm, 1e-3);
        $gone = Fastening::compound(30, 40, 160);
        self::assertSame([null, null], [$gone->torqueNm, $gone->axialN]);
        self::assertSame('bond-too-hot', $gone->notes[0]->code);
    }
}
