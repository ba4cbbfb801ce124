<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Taper;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Sum\Sums;
use Oldpart\Core\Taper\StandardTaper;
use Oldpart\Core\Taper\Taper;
use Oldpart\Core\Taper\TaperMeasured;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Tapers against the standards' own ratios and angles, and against the geometry drawn out. */
final class TaperTest extends TestCase
{
    /**
     * ISO 296:1991, table of Morse tapers: one in so many; ISO 297: 7/24 is 16° 35' 40" (to the second, one way or the other); ISO 3040: 1:10 is 5° 43' 29",
     * 1:20 is 2° 51' 51", 1:50 is 1° 8' 45". Figures from memory.
     *
     * @return iterable<array{string, float}>
     */
    public static function ratios(): iterable
    {
        yield ['Morse 0', 19.212];
        yield ['Morse 1', 20.047];
        yield ['Morse 2', 20.020];
        yield ['Morse 3', 19.922];
        yield ['Morse 4', 19.254];
        yield ['Morse 5', 19.002];
        yield ['Morse 6', 19.180];
        yield ['7/24 (steep, machine spindle)', 24 / 7];
        yield ['1:50 (metric taper pin)', 50.0];
    }

    #[DataProvider('ratios')]
    public function test_the_table_is_the_standards(string $name, float $n): void
    {
        $near = StandardTaper::near(Taper::oneIn($n));
        self::assertSame($name, $near[0]->name);
        self::assertEqualsWithDelta(0.0, $near[0]->differencePerFootIn, 0.0002);
        self::assertCount(5, $near);
        $apart = array_map(static fn (StandardTaper $s): float => abs($s->differencePerFootIn), $near);
        $sorted = $apart;
        sort($sorted);
        self::assertSame($sorted, $apart, 'the nearest first');
    }

    public function test_angles_of_the_standards(): void
    {
        $dms = static fn (int $d, int $m, int $s): float => $d + $m / 60 + $s / 3600;
        self::assertEqualsWithDelta($dms(16, 35, 40), Taper::oneIn(24 / 7)->includedDeg(), 1 / 3600);
        self::assertEqualsWithDelta($dms(5, 43, 29), Taper::oneIn(10)->includedDeg(), 0.5 / 3600);
        self::assertEqualsWithDelta($dms(2, 51, 51), Taper::oneIn(20)->includedDeg(), 0.5 / 3600);
        self::assertEqualsWithDelta($dms(1, 8, 45), Taper::oneIn(50)->includedDeg(), 0.5 / 3600);
        self::assertEqualsWithDelta($dms(2, 51, 41), Taper::perFoot(0.59941)->includedDeg(), 0.6 / 3600, 'Morse 2');
    }

    /** Whichever way it is said, it is the same taper. */
    public function test_every_way_is_the_same(): void
    {
        foreach ([0.2, 1.0, 5.0, 30.0, 90.0, 140.0] as $deg) {
            $taper = Taper::included($deg);
            self::assertEqualsWithDelta($deg / 2, Taper::perFoot($taper->perFootIn())->halfDeg, 1e-9);
            self::assertEqualsWithDelta($deg / 2, Taper::oneIn($taper->ratio())->halfDeg, 1e-9);
            $sized = $taper->sized(200.0, null, 5.0);
            self::assertEqualsWithDelta(
                $deg / 2,
                Taper::between(200.0, $sized->smallMm ?? 0.0, 5.0)->halfDeg,
                1e-9,
            );
            self::assertEqualsWithDelta(200.0, $taper->sized(null, $sized->smallMm, 5.0)->largeMm, 1e-9);
            self::assertEqualsWithDelta(5.0, $taper->sized(200.0, $sized->smallMm, null)->lengthMm, 1e-9);
        }
    }

    /** With one size known the others stay open; a taper without end is none. */
    public function test_what_is_not_known_stays_open(): void
    {
        $one = Taper::oneIn(10)->sized(30.0, null, null);
        self::assertSame([30.0, null, null], [$one->largeMm, $one->smallMm, $one->lengthMm]);
        $long = Taper::oneIn(10)->sized(null, null, 50.0);
        self::assertSame([null, null, 50.0], [$long->largeMm, $long->smallMm, $long->lengthMm]);
        foreach ([static fn () => Taper::oneIn(INF), static fn () => Taper::perFoot(INF)] as $none) {
            try {
                $none();
                self::fail('was taken');
            } catch (BadInput $bad) {
                self::assertStringContainsString('above zero', $bad->getMessage());
            }
        }
    }

    /** Along the slide by the sine, along the axis by the tangent: 30° each side, 100 gives 50 and 57.735. */
    public function test_what_the_indicator_moves_by(): void
    {
        self::assertEqualsWithDelta(50.0, Taper::included(60)->alongSlideMm(100), 1e-9);
        self::assertEqualsWithDelta(57.735, Taper::included(60)->alongAxisMm(100), 1e-3);
    }

    /** One in ten stands 3 proud: three tenths on the diameter take it home. */
    public function test_going_in(): void
    {
        self::assertEqualsWithDelta(0.3, Taper::oneIn(10)->toGoInMm(3.0), 1e-12);
        $sum = Sums::run('taper-trial', ['gap_now_mm' => 14.2, 'gap_wanted_mm' => 9.5, 'included_deg' => 11.9]);
        // 4.7 · tan 5.95° per side, by a table of tangents 0.10422.
        self::assertEqualsWithDelta(4.7 * 0.10422, $sum['infeed_mm'], 1e-4);
        self::assertEqualsWithDelta(2 * $sum['infeed_mm'], $sum['diameter_mm'], 1e-12);
        $far = Sums::run('taper-trial', ['gap_now_mm' => 5, 'gap_wanted_mm' => 9, 'ratio' => 10]);
        self::assertSame('too-far', $far['notes'][0]->code);
    }

    /** Balls laid into a taper that is drawn out first: the depths they come to give it back. */
    public function test_balls_in_a_known_taper(): void
    {
        foreach ([[2.0, 30.0], [8.0, 42.0], [20.0, 60.0]] as [$half, $mouth]) {
            $a = deg2rad($half);
            // A ball of radius r touches where the radius of the taper there, seen square to its side, is r.
            $top = static fn (float $d): float => ($mouth / 2 - $d / 2 / cos($a)) / tan($a) - $d / 2;
            $found = TaperMeasured::byBalls(0.9 * $mouth, 0.7 * $mouth, $top(0.9 * $mouth), $top(0.7 * $mouth));
            self::assertEqualsWithDelta([$half, $mouth], [$found->halfDeg, $found->diameterMm], 1e-9);
        }
        // The large one stands proud of the face where it is larger than the mouth allows.
        self::assertLessThan(0, (15.0 - 14.9 / cos(deg2rad(5))) / tan(deg2rad(5)) - 14.9);
    }

    /** Rollers beside a taper that is drawn out first, wider above and wider below; and none at all. */
    public function test_rollers_beside_a_known_taper(): void
    {
        foreach ([5.0, -7.0, 0.0] as $half) {
            $a = deg2rad($half);
            // The side's distance from the axis at a height, and a roller's centre a radius off it, square to the side.
            $over = static fn (float $h): float => 2 * (25 + ($h + 6) * tan($a) + 6 / cos($a) + 6);
            $found = TaperMeasured::byRollers(12.0, 40.0, $over(0.0), $over(40.0));
            self::assertEqualsWithDelta([$half, 50.0], [$found->halfDeg, $found->diameterMm], 1e-9);
        }
    }

    /** A slit closes by π times; one in twelve is drawn in by twelve times. A sine bar of 5 in at 10°: 0.8682 in. */
    public function test_slit_and_sine_bar(): void
    {
        $split = Sums::run('split-bush', ['closing_mm' => 0.1, 'ratio' => 12]);
        self::assertEqualsWithDelta([0.314159, 1.2], [$split['slot_mm'], $split['draw_in_mm']], 1e-6);
        $bar = Sums::run('sine-bar', ['length_mm' => 127.0, 'angle_deg' => 10]);
        self::assertEqualsWithDelta(0.86824 * 25.4, $bar['stack_mm'], 1e-3);
        self::assertSame([], $bar['notes']);
        self::assertSame('steep', Sums::run('sine-bar', ['length_mm' => 100, 'angle_deg' => 46])['notes'][0]->code);
    }

    /** The contract of the sum: any of the ways, with two sizes, and the indicator over a travel. */
    public function test_the_sum(): void
    {
        $by = Sums::run('taper', ['ratio' => 10, 'large_mm' => 30, 'length_mm' => 50, 'travel_mm' => 20]);
        self::assertEqualsWithDelta([25.0, 1.2, 10.0], [$by['small_mm'], $by['per_foot_in'], $by['ratio']], 1e-9);
        self::assertEqualsWithDelta(20 * sin(deg2rad($by['half_deg'])), $by['indicator_mm'], 1e-12);
        self::assertSame('1:10', $by['standard'][0]['name']);
        $sizes = Sums::run('taper', ['large_mm' => 30, 'small_mm' => 25, 'length_mm' => 50]);
        self::assertEqualsWithDelta($by['included_deg'], $sizes['included_deg'], 1e-9);
        self::assertNull($sizes['indicator_mm']);
    }

    /** @return iterable<string, array{string, array<string, float>, string}> */
    public static function refused(): iterable
    {
        yield 'nothing said' => ['taper', ['large_mm' => 30.0], 'included_deg'];
        yield 'said twice' => ['taper', ['ratio' => 10.0, 'per_foot_in' => 1.2], 'ratio'];
        yield 'three sizes and an angle' => ['taper', ['ratio' => 10.0, 'large_mm' => 30.0, 'small_mm' => 20.0, 'length_mm' => 9.0], 'length_mm'];
        yield 'no angle' => ['taper', ['included_deg' => 0.0], 'included_deg'];
        yield 'half a turn' => ['taper', ['included_deg' => 180.0], 'included_deg'];
        yield 'no taper per foot' => ['taper', ['per_foot_in' => 0.0], 'per_foot_in'];
        yield 'one in nothing' => ['taper', ['ratio' => -2.0], 'ratio'];
        yield 'no length' => ['taper', ['large_mm' => 30.0, 'small_mm' => 20.0, 'length_mm' => 0.0], 'length_mm'];
        yield 'the wrong way round' => ['taper', ['large_mm' => 20.0, 'small_mm' => 30.0, 'length_mm' => 9.0], 'large_mm'];
        yield 'past its point' => ['taper', ['ratio' => 2.0, 'large_mm' => 20.0, 'length_mm' => 100.0], 'length_mm'];
        yield 'a large end that is small' => ['taper', ['ratio' => 2.0, 'large_mm' => 20.0, 'small_mm' => 30.0], 'large_mm'];
        yield 'one ball' => ['taper-by-balls', ['large_mm' => 10.0, 'small_mm' => 10.0, 'depth_large_mm' => 1.0, 'depth_small_mm' => 20.0], 'large_mm'];
        yield 'balls that do not both enter' => ['taper-by-balls', ['large_mm' => 20.0, 'small_mm' => 10.0, 'depth_large_mm' => 5.0, 'depth_small_mm' => 6.0], 'depth_small_mm'];
        yield 'no rollers' => ['taper-by-rollers', ['roller_mm' => 0.0, 'block_mm' => 10.0, 'over_low_mm' => 60.0, 'over_high_mm' => 61.0], 'roller_mm'];
        yield 'less than the rollers' => ['taper-by-rollers', ['roller_mm' => 30.0, 'block_mm' => 10.0, 'over_low_mm' => 60.0, 'over_high_mm' => 61.0], 'over_low_mm'];
        yield 'a bush that does not close' => ['split-bush', ['closing_mm' => 0.0, 'ratio' => 12.0], 'closing_mm'];
        yield 'no bar' => ['sine-bar', ['length_mm' => 0.0, 'angle_deg' => 10.0], 'length_mm'];
        yield 'beyond upright' => ['sine-bar', ['length_mm' => 100.0, 'angle_deg' => 91.0], 'angle_deg'];
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
            self::assertStringEndsWith('.', $bad->getMessage());
        }
    }
}
