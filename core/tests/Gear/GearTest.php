<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Gear;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Gear\BeltPulley;
use Oldpart\Core\Gear\GearPins;
use Oldpart\Core\Gear\GearSpan;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Gears by their teeth, their outside and a span. */
final class GearTest extends TestCase
{
    /**
     * Base tangent lengths for module 1, 20°, as every table of them has: teeth, over so many, mm.
     *
     * @return iterable<array{int, int, float}>
     */
    public static function tables(): iterable
    {
        yield [20, 3, 7.6604];
        yield [30, 4, 10.7526];
        yield [40, 5, 13.8448];
        yield [50, 6, 16.9370];
        yield [100, 12, 35.3500];
    }

    #[DataProvider('tables')]
    public function test_spans_of_the_tables(int $teeth, int $over, float $mm): void
    {
        $span = GearSpan::of(1.0, $teeth, 20.0);
        self::assertSame($over, $span->teethSpanned);
        self::assertEqualsWithDelta($mm, $span->spanMm, 2e-4);
        self::assertEqualsWithDelta(2.5 * $mm, GearSpan::of(2.5, $teeth, 20.0)->spanMm, 1e-3);
    }

    /**
     * Handbook tables of one diametral pitch over wires of 1.728 (no backlash), 20° and 14½°, even and odd; from memory.
     *
     * @return iterable<array{float, int, float}>
     */
    public static function wires(): iterable
    {
        yield [20.0, 6, 8.3032];
        yield [20.0, 8, 10.3271];
        yield [20.0, 12, 14.3578];
        yield [20.0, 20, 22.3900];
        yield [20.0, 7, 9.1260];
        yield [20.0, 11, 13.2332];
        yield [14.5, 6, 8.2846];
        yield [14.5, 10, 12.3399];
        yield [14.5, 20, 22.4087];
    }

    #[DataProvider('wires')]
    public function test_over_pins(float $angle, int $teeth, float $over): void
    {
        self::assertEqualsWithDelta($over, GearPins::of(1.0, $teeth, $angle, 1.728)->overPinsMm, 6e-5);
        // 10 DP is a tenth of that, in inches, and its pin is sold as 0.1728.
        $inch = Sums::run('gear-span', ['module_mm' => 2.54, 'teeth' => $teeth, 'pressure_deg' => $angle]);
        self::assertEqualsWithDelta([2.54 * $over, 4.38912], [$inch['over_pins_mm'], $inch['pin_used_mm']], 2e-4);
        self::assertSame(['pin-taken'], array_column($inch['notes'], 'code'));
    }

    /** A pin lies on both flanks, or it tells nothing. */
    public function test_pins_that_do_not_rest(): void
    {
        foreach (['small' => 1.2, 'large' => 5.0] as $is => $pin) {
            try {
                Sums::run('gear-span', ['module_mm' => 1.0, 'teeth' => 20, 'pressure_deg' => 20, 'pin_mm' => $pin]);
                self::fail("{$pin} does not rest");
            } catch (BadInput $bad) {
                self::assertSame('pin_mm', $bad->field);
                self::assertStringContainsString("too {$is}", $bad->getMessage());
            }
        }
        $typed = Sums::run('gear-span', ['module_mm' => 3.0, 'teeth' => 20, 'pressure_deg' => 20, 'pin_mm' => 5.0]);
        self::assertSame([5.0, []], [$typed['pin_used_mm'], $typed['notes']]);
        // Thicker pins stand further out, by more than they are thicker.
        $thick = Sums::run('gear-span', ['module_mm' => 3.0, 'teeth' => 20, 'pressure_deg' => 20, 'pin_mm' => 5.2]);
        self::assertGreaterThan($typed['over_pins_mm'] + 0.4, $thick['over_pins_mm']);
        self::assertSame(3.5, GearPins::usualMm(2.0));
    }

    /** One tooth more is one base pitch more: π m cos α. */
    public function test_one_tooth_more(): void
    {
        self::assertEqualsWithDelta(
            M_PI * 3 * cos(deg2rad(14.5)),
            GearSpan::of(3.0, 31, 14.5, 5)->spanMm - GearSpan::of(3.0, 31, 14.5, 4)->spanMm,
            1e-9,
        );
    }

    /** A gear of known make is what it is taken for; all the odds sum to one. */
    public function test_what_it_is_likely_to_be(): void
    {
        foreach ([['module 2', 2.0, 24], ['module 1.5', 1.5, 40], ['8 DP', 3.175, 20], ['10 DP', 2.54, 32]] as [$label, $module, $teeth]) {
            $sum = Sums::run('gear', ['teeth' => $teeth, 'outside_mm' => $module * ($teeth + 2) - 0.03]);
            self::assertSame($label, $sum['candidates'][0]['label']);
            self::assertGreaterThan(0.8, $sum['candidates'][0]['probability']);
            self::assertEqualsWithDelta(1.0, array_sum(array_column($sum['candidates'], 'probability')), 1e-9);
            self::assertNull($sum['candidates'][0]['pressure_deg']);
            self::assertSame('pressure-unknown', $sum['notes'][0]->code);
            self::assertSame('other', $sum['candidates'][count($sum['candidates']) - 1]['label']);
            foreach ([20.0, 14.5] as $deg) {
                $by = GearSpan::of($module, $teeth, $deg);
                $with = Sums::run('gear', [
                    'teeth' => $teeth,
                    'outside_mm' => $module * ($teeth + 2) - 0.03,
                    'span_mm' => $by->spanMm - 0.03,
                    'span_teeth' => $by->teethSpanned,
                ]);
                self::assertSame([$label, $deg], [$with['candidates'][0]['label'], $with['candidates'][0]['pressure_deg']]);
                self::assertSame([], $with['notes']);
            }
        }
        // Far from everything: most of it is left open.
        $none = Sums::run('gear', ['teeth' => 20, 'outside_mm' => 900.0]);
        self::assertSame('other', $none['candidates'][0]['label']);
        self::assertEqualsWithDelta(1.0, $none['candidates'][0]['probability'], 1e-9);
    }

    /** The modules of ISO 54, first series, each read as it is. */
    public function test_the_modules_of_the_standard(): void
    {
        foreach ([0.5, 0.6, 0.8, 1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 25, 32] as $module) {
            $labels = array_column(
                Sums::run('gear', ['teeth' => 60, 'outside_mm' => $module * 62 - 0.02])['candidates'],
                'module_mm',
            );
            self::assertEquals($module, $labels[0]);
        }
    }

    /** A coarse reading of many fine teeth leaves several open; a sure one tells them apart. */
    public function test_doubt_leaves_it_open(): void
    {
        $of = static fn (float $u): float => Sums::run('gear', [
            'teeth' => 12,
            'outside_mm' => 14 * 1.5,
            'u95_mm' => $u,
        ])['candidates'][0]['probability'];
        self::assertGreaterThan($of(2.0), $of(0.02));
    }

    /**
     * A wheel of 20 teeth for 1/2 in chain has a pitch circle of 81.18 (tables of chain makers, unit diameter 6.3925); six
     * teeth stand on a hexagon, whose corners lie a pitch from the middle.
     */
    public function test_chain_wheels(): void
    {
        $wheel = Sums::run('sprocket', ['teeth' => 20, 'pitch_mm' => 12.7]);
        self::assertEqualsWithDelta(12.7 * 6.3925, $wheel['pitch_circle_mm'], 1e-3);
        self::assertEqualsWithDelta(2 * 9.525, Sums::run('sprocket', ['teeth' => 6, 'pitch_mm' => 9.525])['pitch_circle_mm'], 1e-9);
        foreach ([[17, 9.525, '3/8 in'], [38, 15.875, '5/8 in'], [21, 8.0, '8 mm']] as [$teeth, $pitch, $label]) {
            $outside = $pitch * (0.6 + 1 / tan(M_PI / $teeth));
            $sum = Sums::run('sprocket', ['teeth' => $teeth, 'outside_mm' => 0.995 * $outside]);
            self::assertStringStartsWith($label, $sum['candidates'][0]['label']);
            self::assertEqualsWithDelta(1.0, array_sum(array_column($sum['candidates'], 'probability')), 1e-9);
        }
        // Pitches of ISO 606, from memory: 04B is 6 mm, 05B 8 mm, the rest go by the eighth of an inch.
        $eighths = ['04C' => 2, '06B' => 3, '08B' => 4, '10B' => 5, '12B' => 6, '16B' => 8, '20B' => 10, '24B' => 12, '28B' => 14, '32B' => 16];
        $pitches = ['04B' => 6.0, '05B' => 8.0, ...array_map(static fn (int $n): float => $n * 3.175, $eighths)];
        foreach ($pitches as $chain => $pitch) {
            $first = Sums::run('sprocket', ['teeth' => 25, 'pitch_mm' => $pitch])['candidates'][0];
            self::assertStringContainsString($chain, $first['label']);
            self::assertEqualsWithDelta([$pitch, 0.95], [$first['pitch_mm'], $first['probability']], 0.15);
        }
        self::assertSame('other', Sums::run('sprocket', ['teeth' => 20, 'pitch_mm' => 300.0])['candidates'][0]['label']);
    }

    /**
     * Outsides in belt makers' tables, from memory: 8M with 22 teeth 54.65, H with 20 79.48, XL with 10 15.66, L with 10
     * 29.56, 5M with 15 22.73, 2M with 20 12.22, T10 with 12 36.35, T5 with 10 15.05.
     */
    public function test_pulleys_of_toothed_belts(): void
    {
        $tables = [['8M', 22, 54.65], ['H', 20, 79.48], ['XL', 10, 15.66], ['L', 10, 29.56], ['5M', 15, 22.73], ['2M', 20, 12.22], ['T10', 12, 36.35], ['T5', 10, 15.05]];
        foreach ($tables as [$label, $teeth, $outside]) {
            $pulley = BeltPulley::of(strtolower($label), $teeth);
            self::assertEqualsWithDelta($outside, $pulley->outsideMm, 0.011, $label);
            $sum = Sums::run('belt-pulley', ['teeth' => $teeth, 'outside_mm' => $outside, 'tooth' => $pulley->tooth]);
            self::assertSame($label, $sum['candidates'][0]['label']);
            self::assertSame($pulley->pitchMm, $sum['pitch_mm']);
            self::assertEqualsWithDelta(1.0, array_sum(array_column($sum['candidates'], 'probability')), 1e-9);
        }
        // A pitch of 5 with round teeth and one with flat teeth lie 0.28 apart: a rough reading leaves both open.
        $rough = Sums::run('belt-pulley', ['teeth' => 20, 'outside_mm' => 30.8, 'u95_mm' => 0.4]);
        self::assertSame(['5M', 'T5', 'other'], array_column($rough['candidates'], 'label'));
        self::assertSame(['look-at-the-tooth', 'belts-alike'], array_column($rough['notes'], 'code'));
        self::assertSame('T5', Sums::run('belt-pulley', ['teeth' => 20, 'outside_mm' => 30.8, 'tooth' => 'flat'])['candidates'][0]['label']);
        // Far from every rule nothing is sure, though one is nearest.
        self::assertSame('other', Sums::run('belt-pulley', ['teeth' => 22, 'outside_mm' => 54.65 - 0.6])['candidates'][0]['label']);
        $none = Sums::run('belt-pulley', ['teeth' => 20, 'outside_mm' => 500.0]);
        self::assertSame('other', $none['candidates'][0]['label']);
        self::assertNull($none['pitch_mm']);
    }

    /** A ball half sunk is as wide as itself; 6 sunk 2 is 2 √8 wide. A fitting a quarter turn short: a quarter pitch. */
    public function test_groove_and_fitting(): void
    {
        self::assertEqualsWithDelta(6.0, Sums::run('ball-groove', ['ball_mm' => 6, 'depth_mm' => 3])['width_mm'], 1e-9);
        self::assertEqualsWithDelta(2 * sqrt(8) + 0.2, Sums::run('ball-groove', ['ball_mm' => 6, 'depth_mm' => 2, 'side_mm' => 0.2])['width_mm'], 1e-9);
        $turn = Sums::run('fitting-turn', ['pitch_mm' => 2.0, 'contact_deg' => 300, 'wanted_deg' => 30]);
        self::assertEqualsWithDelta([90.0, 0.5, 1.5], [$turn['turn_deg'], $turn['thinner_mm'], $turn['thicker_mm']], 1e-9);
        $home = Sums::run('fitting-turn', ['pitch_mm' => 2.0, 'contact_deg' => 30, 'wanted_deg' => 390]);
        self::assertEqualsWithDelta([0.0, 0.0, 0.0], [$home['turn_deg'], $home['thinner_mm'], $home['thicker_mm']], 1e-9);
    }

    /** @return iterable<string, array{string, array<string, float>, string}> */
    public static function refused(): iterable
    {
        yield 'no module' => ['gear-span', ['module_mm' => 0.0, 'teeth' => 20.0, 'pressure_deg' => 20.0], 'module_mm'];
        yield 'too few teeth' => ['gear-span', ['module_mm' => 1.0, 'teeth' => 4.0, 'pressure_deg' => 20.0], 'teeth'];
        yield 'too many teeth' => ['gear-span', ['module_mm' => 1.0, 'teeth' => 1001.0, 'pressure_deg' => 20.0], 'teeth'];
        yield 'half a tooth' => ['gear-span', ['module_mm' => 1.0, 'teeth' => 20.5, 'pressure_deg' => 20.0], 'teeth'];
        yield 'no such angle' => ['gear-span', ['module_mm' => 1.0, 'teeth' => 20.0, 'pressure_deg' => 50.0], 'pressure_deg'];
        yield 'no outside' => ['gear', ['teeth' => 20.0, 'outside_mm' => 0.0], 'outside_mm'];
        yield 'half a span' => ['gear', ['teeth' => 20.0, 'outside_mm' => 44.0, 'span_mm' => 15.0], 'span_teeth'];
        yield 'over all its teeth' => ['gear', ['teeth' => 20.0, 'outside_mm' => 44.0, 'span_mm' => 15.0, 'span_teeth' => 20.0], 'span_teeth'];
        yield 'no doubt below none' => ['gear', ['teeth' => 20.0, 'outside_mm' => 44.0, 'u95_mm' => -1.0], 'u95_mm'];
        yield 'no wheel' => ['sprocket', ['teeth' => 3.0, 'pitch_mm' => 12.7], 'teeth'];
        yield 'neither' => ['sprocket', ['teeth' => 20.0], 'outside_mm'];
        yield 'no chain' => ['sprocket', ['teeth' => 20.0, 'pitch_mm' => 0.0], 'pitch_mm'];
        yield 'no wheel round' => ['sprocket', ['teeth' => 20.0, 'outside_mm' => 0.0], 'outside_mm'];
        yield 'no pulley' => ['belt-pulley', ['teeth' => 5.0, 'outside_mm' => 20.0], 'teeth'];
        yield 'no doubt of a pulley below none' => ['belt-pulley', ['teeth' => 20.0, 'outside_mm' => 50.0, 'u95_mm' => -1.0], 'u95_mm'];
        yield 'no pulley round' => ['belt-pulley', ['teeth' => 20.0, 'outside_mm' => 0.0], 'outside_mm'];
        yield 'no ball' => ['ball-groove', ['ball_mm' => 0.0, 'depth_mm' => 1.0], 'ball_mm'];
        yield 'past its middle' => ['ball-groove', ['ball_mm' => 6.0, 'depth_mm' => 4.0], 'depth_mm'];
        yield 'no pitch' => ['fitting-turn', ['pitch_mm' => 0.0, 'contact_deg' => 0.0, 'wanted_deg' => 1.0], 'pitch_mm'];
    }

    /** @param  array<string, float>  $in */
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
}
