<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Measure\BoreLine;
use Oldpart\Core\Measure\Cooling;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\InstrumentSet;
use Oldpart\Core\Measure\Parallel;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Warmth;
use Oldpart\Core\Quantity\Fields;
use PHPUnit\Framework\TestCase;

/** Measuring worked by hand. */
final class HandWorkedTest extends TestCase
{
    /** A part of which nothing is said of its warmth is at 20 °C, where sizes are stated (ISO 1): nothing is corrected. */
    public function test_unsaid_is_twenty_degrees(): void
    {
        $warmth = new Warmth(12e-6, 10e-6);
        self::assertSame(25.0, $warmth->atTwenty(new Reading(25.0)));
        // A gauge 10 K warmer than the part reads it short by α L ΔT: 25 · 10e-6 · 10 is put on.
        self::assertEqualsWithDelta(25.0025, $warmth->atTwenty(new Reading(25.0, gaugeC: 30.0)), 1e-9);
        self::assertEqualsWithDelta(25.0 / 1.00012, $warmth->atTwenty(new Reading(25.0, partC: 30.0, gaugeC: 20.0)), 1e-9);
    }

    /** Three ways round, one of them read twice, 10.00 and 10.02: its mean is 0.01 more; a wedge is 2 · ⅔ of that. */
    public function test_repeats_at_one_angle_are_one(): void
    {
        $face = Parallel::of([
            ['deg' => 0.0, 'mm' => 10.0],
            ['deg' => 360.0, 'mm' => 10.02],
            ['deg' => 120.0, 'mm' => 10.0],
            ['deg' => 240.0, 'mm' => 10.0],
        ]);
        self::assertEqualsWithDelta(4 / 3 * 0.01, $face->wedgeMm ?? 0, 1e-9);
        self::assertEqualsWithDelta(0.02, $face->cleanUpMm ?? 0, 1e-9);
    }

    /** Four to one is good, two to one usable; nothing decides below that (common practice). */
    public function test_steps_of_good_enough(): void
    {
        $verdicts = array_map(
            static fn (float $u): string => GoodEnough::judge(0.04, $u)->verdict,
            [0.0, 0.005, 0.00501, 0.01, 0.01001],
        );
        self::assertSame(['good', 'good', 'usable', 'usable', 'not-good-enough'], $verdicts);
    }

    /** As far off below the room as above it: α D |ΔT| = 11.7e-6 · 30 · 20 = 0.007. */
    public function test_a_cold_part_warms(): void
    {
        $steel = new Material('steel', 'steel', 205, 0.29, 11.7e-6, 350, 420, false, 7870, 480, conductivityWmK: 50);
        $cold = Cooling::of(0.0, 20.0, $steel, 30000.0, 6000.0, 30.0, 0.001);
        $warm = Cooling::of(40.0, 20.0, $steel, 30000.0, 6000.0, 30.0, 0.001);
        self::assertEqualsWithDelta($warm->waitS, $cold->waitS, 1e-9);
        self::assertStringContainsString('at 20.0 K from the room', (string) json_encode($cold->working));
        foreach (['densityKgM3' => 0.0, 'specificHeatJKgK' => 0.0] as $which => $none) {
            $bad = new Material('steel', 'steel', 205, 0.29, 11.7e-6, 350, 420, false, ...[
                'densityKgM3' => 7870.0,
                'specificHeatJKgK' => 480.0,
                $which => $none,
            ]);
            try {
                Cooling::of(40.0, 20.0, $bad, 30000.0, 6000.0, 30.0, 0.001);
                self::fail($which);
            } catch (BadInput $e) {
                self::assertSame('material', $e->reason);
            }
        }
    }

    /** An instrument is the shop's own once one figure of it is not the table's. */
    public function test_which_instruments_are_the_shop_s_own(): void
    {
        $set = InstrumentSet::typical();
        self::assertSame([], $set->own());
        $calliper = $set->named('calliper');
        self::assertSame([], $set->with($calliper)->own(), 'as in the table');
        $better = Instrument::read(
            new Fields([...array_filter($calliper->jsonSerialize(), static fn (mixed $v): bool => $v !== null), 'mpe_mm' => 0.01]),
        );
        self::assertSame(['calliper'], array_map(static fn (Instrument $i): string => $i->code, $set->with($better)->own()));
    }

    /** Swings of 0.04 and 0.12 are offsets of 0.02 and 0.06: over 200 the line tilts by 0.2 in a metre. */
    public function test_how_far_a_line_tilts(): void
    {
        $line = BoreLine::plane(200.0, 0.04, 0.12);
        self::assertEqualsWithDelta(0.0002, $line->tilt, 1e-12);
        self::assertStringContainsString('0.200 mm in a metre', (string) json_encode($line->working(), JSON_UNESCAPED_UNICODE));
    }
}
