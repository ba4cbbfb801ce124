<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Gear;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Gear\BeltPulley;
use Oldpart\Core\Gear\GearLikely;
use Oldpart\Core\Gear\GearPins;
use Oldpart\Core\Gear\GearSpan;
use Oldpart\Core\Gear\Sprocket;
use Oldpart\Core\Gear\StraightSpline;
use Oldpart\Core\Gear\ToothSize;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where a gear, a wheel, a pulley begins and ends, and the odds between neighbours, worked by hand. */
final class GearEdgesTest extends TestCase
{
    /** @return iterable<string, array{callable(): mixed}> */
    public static function taken(): iterable
    {
        yield '10°' => [fn () => GearSpan::of(1.0, 20, 10.0)];
        yield '35°' => [fn () => GearSpan::of(1.0, 20, 35.0)];
        yield 'five teeth' => [fn () => GearSpan::of(1.0, 5, 20.0)];
        yield 'a thousand teeth' => [fn () => GearSpan::of(1.0, 1000, 20.0)];
        yield 'over one tooth' => [fn () => GearSpan::of(1.0, 5, 20.0, 1)];
        yield 'over all but one' => [fn () => GearSpan::of(1.0, 5, 20.0, 4)];
        yield 'a wheel of five' => [fn () => Sprocket::of(5, 12.7)];
        yield 'a wheel of 300' => [fn () => Sprocket::of(300, 12.7)];
        yield 'a pulley of eight' => [fn () => BeltPulley::of('XL', 8)];
        yield 'a pulley of 300' => [fn () => BeltPulley::of('XL', 300)];
    }

    /** @param  callable(): mixed  $do */
    #[DataProvider('taken')]
    public function test_the_ends_of_what_is_taken(callable $do): void
    {
        self::assertNotNull($do());
    }

    /** @return iterable<string, array{callable(): mixed, string}> */
    public static function refused(): iterable
    {
        yield 'under 10°' => [fn () => GearSpan::of(1.0, 20, 9.9), 'pressure_deg'];
        yield 'over 35°' => [fn () => GearSpan::of(1.0, 20, 35.1), 'pressure_deg'];
        yield 'over no tooth' => [fn () => GearSpan::of(1.0, 20, 20.0, 0), 'span_teeth'];
        yield 'a wheel of four' => [fn () => Sprocket::of(4, 12.7), 'teeth'];
        yield 'a wheel of 301' => [fn () => Sprocket::of(301, 12.7), 'teeth'];
        yield 'a pulley of seven' => [fn () => BeltPulley::of('XL', 7), 'teeth'];
        yield 'a pulley of 301' => [fn () => BeltPulley::of('XL', 301), 'teeth'];
    }

    /** @param  callable(): mixed  $do */
    #[DataProvider('refused')]
    public function test_what_lies_beyond(callable $do, string $field): void
    {
        try {
            $do();
            self::fail('was taken');
        } catch (BadInput $bad) {
            self::assertSame($field, $bad->field);
        }
    }

    /**
     * Over how many teeth, as the handbook's tables have it, from memory: at 14½° eight from 89 to 99 and two from 12
     * to 18; at 20° two to 17, three from 19, eleven from 91 to 98. Small pinions still need two flanks that face.
     */
    public function test_over_how_many_teeth(): void
    {
        foreach ([[14.5, 89, 8], [14.5, 99, 8], [14.5, 13, 2], [14.5, 18, 2], [20.0, 17, 2], [20.0, 19, 3], [20.0, 91, 11], [20.0, 98, 11], [20.0, 5, 2]] as [$deg, $teeth, $over]) {
            self::assertSame($over, GearSpan::of(1.0, $teeth, $deg)->teethSpanned, "{$teeth} at {$deg}");
        }
    }

    /** Both series of ISO 54 below 10, from memory; second series where a diametral pitch is not nearer. */
    public function test_the_second_series(): void
    {
        foreach ([0.7, 0.9, 1.125, 1.375, 1.75, 2.25, 2.75, 3.5, 4.5, 5.5, 7, 9, 11, 14, 18, 22, 28] as $module) {
            $rows = GearLikely::of(200, $module * 202 - 0.025, 0.01);
            self::assertEquals($module, $rows[0]['module_mm'], "module {$module}");
        }
    }

    /**
     * Half a diametral pitch is met 0.15 times as often as a whole one. Just as far below 4 DP as above 4½ DP, with one
     * spread for both (the doubt is 4 mm), the whole one is 1 / 0.15 times as likely, whatever else there is.
     */
    public function test_whole_pitches_are_met_more_often(): void
    {
        $mid = (25.4 / 4 + 25.4 / 4.5) / 2 * 22;
        $by = array_column(GearLikely::of(20, $mid - 0.025, 8.0), 'probability', 'label');
        self::assertEqualsWithDelta(1 / 0.15, $by['4 DP'] / $by['4.5 DP'], 0.05);
    }

    /** With a span that says 20° to the hundredth and a 14½° tooth 0.7 mm away, nothing of that is left over. */
    public function test_what_is_left_for_other(): void
    {
        $span = GearSpan::of(4.0, 25, 20.0, 5)->spanMm;
        $rows = GearLikely::of(25, 4 * 27 - 0.025, 0.02, $span, 5);
        self::assertSame(['module 4', 20.0], [$rows[0]['label'], $rows[0]['pressure_deg']]);
        self::assertEqualsWithDelta([0.97, 0.03], [$rows[0]['probability'], $rows[count($rows) - 1]['probability']], 0.005);
    }

    /**
     * A chain of 12.3 is 0.4 / 12.7 short of a 12.7, 1.05 spreads of 3 %: it weighs exp(-0.551) = 0.576, nothing else
     * weighs, and of what is known to be a chain 0.95 is its share. Between 6 and 6.35 both stand, a spread apart each.
     */
    public function test_the_odds_of_a_chain(): void
    {
        $rows = Sprocket::of(20, 12.3)->likely();
        self::assertCount(2, $rows);
        self::assertEqualsWithDelta([0.95, 0.05], array_column($rows, 'probability'), 1e-9);
        $between = array_column(Sprocket::of(20, 6.17)->likely(), 'probability', 'label');
        $odds = exp(-((0.17 / 6 / 0.03) ** 2) / 2) / exp(-((0.18 / 6.35 / 0.03) ** 2) / 2);
        self::assertEqualsWithDelta($odds, $between['6 mm (04B)'] / $between['1/4 in (04C, 25)'], 1e-9);
    }

    /**
     * H with 20 teeth is 20 × 12.7 / π − 1.372 = 79.478 over its tips. A reading 0.2 above it, itself good to 0.32, lies
     * 0.2 / hypot(0.12, 0.16) = 1 off: it weighs exp(-½) = 0.6065, no other belt weighs, and none of them weighs 0.05.
     */
    public function test_the_odds_of_a_belt(): void
    {
        $rows = BeltPulley::likely(20, 20 * 12.7 / M_PI - 1.372 + 0.2, 0.32);
        self::assertSame('H', $rows[0]['label']);
        self::assertEqualsWithDelta(exp(-0.5) / (exp(-0.5) + 0.05), $rows[0]['probability'], 1e-6);
        self::assertEqualsWithDelta(0.05 / (exp(-0.5) + 0.05), $rows[1]['probability'], 1e-6);
    }

    /** Worn by 0.4 it may still be a size of the table; by more it is not. 6 × 23 × 26: ISO 14, light. */
    public function test_how_near_a_spline_lies(): void
    {
        self::assertSame('6 × 23 × 26', StraightSpline::like(6, 26.0, 23.0, 6.0)[0]->label());
        self::assertNotSame([], StraightSpline::like(6, 25.61, 23.0, 6.0));
        self::assertSame([], StraightSpline::like(6, 25.59, 23.0, 6.0));
        self::assertSame([], StraightSpline::like(6, 26.0, 22.585, 6.0));
        self::assertSame([], StraightSpline::like(6, 26.0, 23.0, 6.415));
    }

    /** A pin of 1.728 of the module: 3.456 of module 2 as 3.5, 0.1728 in of 10 DP as it is; never below a tenth. */
    public function test_the_pin_that_suits(): void
    {
        self::assertSame(3.5, GearPins::usualMm(2.0));
        self::assertEqualsWithDelta(25.4 * 0.1728, GearPins::usualMm(2.54), 1e-9);
        self::assertEqualsWithDelta(25.4 * 1.728 / 4.5, GearPins::usualMm(25.4 / 4.5), 1e-9);
        self::assertSame(0.1, GearPins::usualMm(0.03));
        self::assertSame(0.5, GearPins::usualMm(0.3));
    }

    /** What is not said is taken as 20°, and said to be taken. */
    public function test_teeth_as_they_are_written(): void
    {
        $plain = ToothSize::named('module 2');
        self::assertSame([2.0, 20.0, false], [$plain->moduleMm, $plain->pressureDeg, $plain->pressureSaid]);
        $old = ToothSize::named('10 DP, 14½°');
        self::assertSame([2.54, 14.5, true], [$old->moduleMm, $old->pressureDeg, $old->pressureSaid]);
    }
}
