<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Thread;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Sum\Sums;
use Oldpart\Core\Thread\TapDrill;
use Oldpart\Core\Thread\ThreadForm;
use Oldpart\Core\Thread\ThreeWires;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Threads: drills, wires, strength, against handbook tables and the geometry of a V. */
final class ThreadTest extends TestCase
{
    /**
     * Shares of a full thread as every tap drill chart has them.
     *
     * @return iterable<array{float, float, float, float}>
     */
    public static function charts(): iterable
    {
        yield '5/16-18 by letter G' => [25.4 * 0.3125, 25.4 / 18, 25.4 * 0.261, 71];
        yield 'M6 by 5.0' => [6.0, 1.0, 5.0, 77];
        yield 'M10 by 8.5' => [10.0, 1.5, 8.5, 77];
        yield '1/4-20 by 5.2' => [6.35, 1.27, 5.2, 70];
        yield '1/4-20 by No. 7' => [6.35, 1.27, 25.4 * 0.201, 75];
        yield '3/8-16 by 5/16' => [9.525, 25.4 / 16, 25.4 * 0.3125, 77];
        yield 'M4 by 3.0' => [4.0, 0.7, 3.0, 110];
    }

    #[DataProvider('charts')]
    public function test_shares_of_the_charts(float $major, float $pitch, float $drill, float $percent): void
    {
        $tap = TapDrill::of($major, $pitch, ThreadForm::Sixty);
        self::assertEqualsWithDelta($percent, $tap->percent($drill), 0.6);
        if ($percent < 110) {
            self::assertEqualsWithDelta($drill, $tap->drillMm($tap->percent($drill)), 1e-9);
        }
    }

    /** A full thread is as deep as its basic height on both sides: 5/8 of the sharp V for 60°, 0.64 P for Whitworth. */
    public function test_what_a_full_thread_is(): void
    {
        self::assertEqualsWithDelta(1.29904, 2 * (0.75 * sqrt(3) / 2), 1e-5, '3/4 of the sharp height, as the charts count');
        self::assertEqualsWithDelta(10.0 - 1.29904 * 1.5, TapDrill::of(10, 1.5, ThreadForm::Sixty)->drillMm(100), 1e-9);
        // A soft tap drill is below the root even: to 120, no more.
        self::assertEqualsWithDelta(10.0 - 1.2 * 1.29904 * 1.5, TapDrill::of(10, 1.5, ThreadForm::Sixty)->drillMm(120), 1e-4);
        foreach ([0.0, 120.1, 125.0] as $share) {
            try {
                TapDrill::of(10, 1.5, ThreadForm::Sixty)->drillMm($share);
                self::fail("{$share} was taken");
            } catch (\Oldpart\Core\Advice\BadInput $bad) {
                self::assertSame('percent', $bad->field);
            }
        }
        self::assertEqualsWithDelta(12.7 - 1.28 * 25.4 / 12, TapDrill::of(12.7, 25.4 / 12, ThreadForm::Whitworth)->drillMm(100), 1e-9);
    }

    public function test_the_drills_beside_it(): void
    {
        $sum = Sums::run('tap-drill', ['major_mm' => 6.35, 'pitch_mm' => 1.27, 'form' => '60', 'percent' => 75]);
        self::assertContains('No. 7', array_column($sum['near'], 'label'));
        $apart = array_map(static fn (array $d): float => abs($d['mm'] - $sum['drill_mm']), $sum['near']);
        $sorted = $apart;
        sort($sorted);
        self::assertSame($sorted, $apart);
        $labels = array_column(TapDrill::of(50, 1.5, ThreadForm::Sixty)->near(25.4 * 1.25, 1), 'label');
        self::assertSame(['1-1/4 in'], $labels);
        self::assertSame(['1 in'], array_column(TapDrill::of(50, 1.5, ThreadForm::Sixty)->near(25.4, 1), 'label'));
        self::assertSame(['letter G'], array_column(TapDrill::of(9, 1, ThreadForm::Sixty)->near(6.6294, 1), 'label'));
    }

    public function test_too_full_a_thread_is_warned_of(): void
    {
        $codes = static fn (float $drill): array => array_column(
            Sums::run('tap-drill', ['major_mm' => 4, 'pitch_mm' => 0.7, 'form' => '60', 'drill_mm' => $drill])['notes'],
            'code',
        );
        self::assertSame(['tap-breaks'], $codes(3.0));
        self::assertSame(['taps-hard'], $codes(3.2));
        self::assertSame([], $codes(3.3));
    }

    /**
     * Three wires: M12 × 1.75 with the best wire, 1.0104, is 12.379 over (handbook tables); a wire laid into a sharp V by
     * its geometry, for both angles.
     */
    public function test_over_three_wires(): void
    {
        $sum = Sums::run('three-wire', ['major_mm' => 12, 'pitch_mm' => 1.75, 'form' => '60']);
        self::assertEqualsWithDelta([1.0104, 12.379, 10.863], [$sum['best_wire_mm'], $sum['over_wires_mm'], $sum['pitch_diameter_mm']], 6e-4);
        self::assertSame('best-wire', $sum['notes'][0]->code);
        foreach ([[ThreadForm::Sixty, 30.0], [ThreadForm::Whitworth, 27.5]] as [$form, $half]) {
            $a = deg2rad($half);
            $wires = ThreeWires::of(20.0, 2.0, $form);
            $pitchDiameter = $wires->basicPitchDiameterMm();
            foreach ([1.1, 1.3, 1.6] as $wire) {
                // The V is half a pitch wide at the pitch line; its root lies that over the tangent deeper; the wire's
                // middle lies a radius over the sine above the root.
                $root = $pitchDiameter / 2 - 2.0 / 4 / tan($a);
                $over = 2 * ($root + $wire / 2 / sin($a) + $wire / 2);
                self::assertEqualsWithDelta($over, $wires->overMm($wire), 2e-5);
                self::assertEqualsWithDelta($pitchDiameter, $wires->pitchDiameterMm($wire, $over), 2e-5);
            }
            // The best wire touches at the pitch line: its middle stands as far out as its flank point.
            self::assertEqualsWithDelta(2.0 / 4 / cos($a) * 2, $wires->bestWireMm(), 2e-5);
        }
        $read = Sums::run('three-wire', ['major_mm' => 12, 'pitch_mm' => 1.75, 'form' => '60', 'wire_mm' => 1.01, 'over_wires_mm' => 12.35]);
        self::assertEqualsWithDelta(12.35 - 3 * 1.01 + 0.866025 * 1.75, $read['pitch_diameter_mm'], 1e-6);
        self::assertSame([], $read['notes']);
    }

    /** Tensile areas of ISO 898-1: M6 20.1, M10 58.0, M20 245 mm². By hand what gives first. */
    public function test_what_gives_first(): void
    {
        foreach ([[6, 1.0, 20.1], [10, 1.5, 58.0], [20, 2.5, 245.0]] as [$d, $p, $area]) {
            $sum = Sums::run('thread-strength', ['major_mm' => $d, 'pitch_mm' => $p, 'length_mm' => 2 * $d, 'screw_tensile_mpa' => 800, 'nut_tensile_mpa' => 800]);
            self::assertEqualsWithDelta($area, $sum['tensile_area_mm2'], 0.003 * $area);
            self::assertSame('screw breaks', $sum['fails_first']);
            self::assertEqualsWithDelta(800 * $sum['tensile_area_mm2'], $sum['load_n'], 1e-6);
            self::assertSame([], $sum['notes']);
        }
        $nut = Sums::run('thread-strength', ['major_mm' => 10, 'pitch_mm' => 1.5, 'length_mm' => 8, 'screw_tensile_mpa' => 800, 'nut_tensile_mpa' => 200]);
        self::assertSame('nut strips', $nut['fails_first']);
        self::assertEqualsWithDelta(M_PI * 10 * 8 * 0.875 * 0.6 * 200, $nut['load_n'], 1e-6);
        self::assertSame('nut-strips', $nut['notes'][0]->code);
        $short = Sums::run('thread-strength', ['major_mm' => 10, 'pitch_mm' => 1.5, 'length_mm' => 3, 'screw_tensile_mpa' => 400, 'nut_tensile_mpa' => 1000]);
        self::assertSame('screw strips', $short['fails_first']);
        self::assertEqualsWithDelta(M_PI * (10 - 1.082532 * 1.5) * 3 * 0.75 * 0.6 * 400, $short['load_n'], 1e-3);
    }

    /** @return iterable<string, array{string, array<string, float|string>, string}> */
    public static function refused(): iterable
    {
        yield 'no thread' => ['tap-drill', ['major_mm' => 0.0, 'pitch_mm' => 1.0, 'form' => '60', 'percent' => 70.0], 'major_mm'];
        yield 'all pitch' => ['tap-drill', ['major_mm' => 2.0, 'pitch_mm' => 2.0, 'form' => '60', 'percent' => 70.0], 'pitch_mm'];
        yield 'both' => ['tap-drill', ['major_mm' => 6.0, 'pitch_mm' => 1.0, 'form' => '60', 'percent' => 70.0, 'drill_mm' => 5.0], 'percent'];
        yield 'neither' => ['tap-drill', ['major_mm' => 6.0, 'pitch_mm' => 1.0, 'form' => '60'], 'percent'];
        yield 'no share' => ['tap-drill', ['major_mm' => 6.0, 'pitch_mm' => 1.0, 'form' => '60', 'percent' => 0.0], 'percent'];
        yield 'a drill as large as it' => ['tap-drill', ['major_mm' => 6.0, 'pitch_mm' => 1.0, 'form' => '60', 'drill_mm' => 6.0], 'drill_mm'];
        yield 'another form' => ['tap-drill', ['major_mm' => 6.0, 'pitch_mm' => 1.0, 'form' => '47', 'percent' => 70.0], 'form'];
        yield 'a wire that falls in' => ['three-wire', ['major_mm' => 12.0, 'pitch_mm' => 1.75, 'form' => '60', 'wire_mm' => 0.5], 'wire_mm'];
        yield 'a wire that rides on top' => ['three-wire', ['major_mm' => 12.0, 'pitch_mm' => 1.75, 'form' => '60', 'wire_mm' => 2.5], 'wire_mm'];
        yield 'nothing over the wires' => ['three-wire', ['major_mm' => 12.0, 'pitch_mm' => 1.75, 'form' => '60', 'over_wires_mm' => 0.0], 'over_wires_mm'];
        yield 'no length' => ['thread-strength', ['major_mm' => 10.0, 'pitch_mm' => 1.5, 'length_mm' => 0.0, 'screw_tensile_mpa' => 800.0, 'nut_tensile_mpa' => 800.0], 'length_mm'];
        yield 'no strength' => ['thread-strength', ['major_mm' => 10.0, 'pitch_mm' => 1.5, 'length_mm' => 8.0, 'screw_tensile_mpa' => 800.0, 'nut_tensile_mpa' => 0.0], 'nut_tensile_mpa'];
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

    /**
     * By the geometry of a V of half angle a: the wire that touches at the pitch line is P/(2 cos a), over the wires it is
     * 1 + 1/sin a wires more and half a cotangent of a pitches less. Heights by their standards: ISO 68-1 five eighths of
     * the sharp V, Whitworth 0.640327 P (BS 84), BA 0.6 P (BS 93).
     */
    public function test_the_figures_of_the_forms(): void
    {
        foreach ([[ThreadForm::Sixty, 30.0, 0.649519], [ThreadForm::Whitworth, 27.5, 0.640327], [ThreadForm::British, 23.75, 0.6]] as [$form, $half, $height]) {
            $a = deg2rad($half);
            self::assertEqualsWithDelta(1 / (2 * cos($a)), $form->bestWire(), 2e-6, $form->value);
            self::assertEqualsWithDelta(1 + 1 / sin($a), $form->wires(), 5e-6, $form->value);
            self::assertEqualsWithDelta(1 / tan($a) / 2, $form->pitchesLess(), 2e-6, $form->value);
            self::assertEqualsWithDelta($height, $form->pitchBelowMajor(), 1e-6, $form->value);
            // A little under half of the angle, so that the back flank is only wiped: common practice.
            self::assertLessThan($half, $form->compoundDeg());
            self::assertGreaterThanOrEqual($half - 0.5, $form->compoundDeg());
            self::assertSame($form, ThreadForm::ofAngle(2 * $half));
        }
        self::assertEqualsWithDelta(0.75 * sqrt(3), ThreadForm::Sixty->full(), 1e-5);
        self::assertEqualsWithDelta([1.28, 1.2], [ThreadForm::Whitworth->full(), ThreadForm::British->full()], 1e-3, 'twice 0.64 and 0.6');
        // Of an angle that is read the nearest of the three.
        self::assertSame([ThreadForm::British, ThreadForm::Whitworth, ThreadForm::Whitworth, ThreadForm::Sixty], array_map(ThreadForm::ofAngle(...), [49.0, 51.0, 57.0, 59.0]));
    }

    /** A wire that is much thinner than the best falls in, one much thicker does not touch the flanks: common practice. */
    public function test_which_wires_do(): void
    {
        // M36 × 4: the best wire is 2.309.
        $wires = ThreeWires::of(36.0, 4.0, ThreadForm::Sixty);
        $does = static function (float $share) use ($wires): bool {
            try {
                $wires->overMm($share * $wires->bestWireMm());

                return true;
            } catch (BadInput) {
                return false;
            }
        };
        self::assertSame([false, true, true, true, false], array_map($does, [0.88, 0.92, 1.0, 1.68, 1.72]));
    }
}
