<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Sum;

use Oldpart\Core\Sum\ResultLines;
use Oldpart\Core\Sum\Sums;
use Oldpart\Core\Sum\Words;
use PHPUnit\Framework\TestCase;

/** What a sum says beside its number, on either side of where it changes. */
final class SumNotesTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $in  over its example; null leaves a field out
     * @return list<string> the codes of its notes
     */
    private static function codes(string $sum, array $in): array
    {
        return array_column(self::out($sum, $in)['notes'], 'code');
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, mixed>
     */
    private static function out(string $sum, array $in): array
    {
        return Sums::run($sum, array_filter([...Sums::named($sum)->example(), ...$in], static fn (mixed $v): bool => $v !== null));
    }

    public function test_every_sum_says_what_it_is_for(): void
    {
        $titles = [];
        foreach (Sums::all() as $sum) {
            self::assertGreaterThan(25, strlen($sum->says()), $sum->name());
            self::assertStringEndsWith('.', $sum->says());
            $titles[] = Words::title($sum->name());
            self::assertNotSame('', end($titles));
        }
        self::assertSame($titles, array_unique($titles), 'no two are called alike');
    }

    /** All links as they come cannot be out more than their sum, 0.029: a reading beyond that is dirt or a burr. */
    public function test_more_than_all_together(): void
    {
        self::assertSame(['turn-about'], self::codes('run-out-budget', ['measured_mm' => null]));
        self::assertSame(['turn-about'], self::codes('run-out-budget', ['measured_mm' => 0.022]));
        self::assertSame(['turn-about'], self::codes('run-out-budget', ['measured_mm' => 0.028]));
        self::assertSame(['turn-about', 'more-than-all'], self::codes('run-out-budget', ['measured_mm' => 0.030]));
    }

    /** The bow of the example is 0.133. */
    public function test_straight_enough_is_asked_for(): void
    {
        self::assertSame([null, true, false], array_map(static fn (?float $limit): ?bool => self::out('bend', ['limit_mm' => $limit])['straight_enough'], [null, 0.14, 0.13]));
        self::assertNotContains('bent', self::codes('bend', ['limit_mm' => 0.14]));
        self::assertContains('bent', self::codes('bend', ['limit_mm' => 0.13]));
        self::assertContains('straight', self::codes('bend', ['limit_mm' => 0.14]));
        self::assertNotContains('straight', self::codes('bend', ['limit_mm' => null]));
    }

    /** 4.7 of depth at 1 in 4.8 is 0.979 on the diameter; where it goes in too far already nothing is to be taken. */
    public function test_a_taper_to_go_in_further(): void
    {
        self::assertStringContainsString('Take 0.979 mm more on the diameter, 0.490 mm by the cross slide', self::out('taper-trial', [])['steps'][0]->mm);
        self::assertSame([[], []], [self::out('taper-trial', ['gap_now_mm' => 9.5])['steps'], self::codes('taper-trial', ['gap_now_mm' => 9.5])]);
        self::assertSame(['too-far'], self::codes('taper-trial', ['gap_now_mm' => 9.0]));
        self::assertSame([], self::out('taper-trial', ['gap_now_mm' => 9.0])['steps']);
    }

    /** An offset of 5 in 40 with a bore of 20: 20 − 5 − 10 = 5 of wall, one of 25: 2.5, one of 30: none, of 31 it breaks out. */
    public function test_how_much_is_left_on_the_thin_side(): void
    {
        $codes = static fn (float $bore): array => array_values(array_intersect(self::codes('offset', ['boss_mm' => 40.0, 'bore_mm' => $bore]), ['breaks-out', 'thin-side']));
        self::assertSame([], $codes(20.0));
        self::assertSame([], $codes(25.1), '2.45 is over 0.06 of 40');
        self::assertSame(['thin-side'], $codes(25.3), '2.35 is under it');
        self::assertSame(['breaks-out'], $codes(30.0));
        self::assertSame(['breaks-out'], $codes(31.0));
        self::assertEqualsWithDelta(5.0, self::out('offset', ['boss_mm' => 40.0, 'bore_mm' => 20.0])['wall_mm'], 1e-9);
    }

    /** A pin without an error of its own is no mistake, one below nothing is. */
    public function test_a_chord_read_without_doubt(): void
    {
        self::assertEqualsWithDelta(0.0, self::out('circle-from-chord', ['u95_mm' => 0.0])['u95_mm'], 1e-12);
        self::assertEqualsWithDelta(64.0, self::out('circle-from-chord', ['over_pins_mm' => null, 'pin_mm' => null, 'chord_mm' => 64.0])['chord_mm'], 1e-12);
        self::assertEqualsWithDelta(64.0, self::out('circle-from-chord', ['over_pins_mm' => null, 'between_pins_mm' => 56.0])['chord_mm'], 1e-12);
        self::assertEqualsWithDelta(64.0, self::out('circle-from-chord', ['pin_mm' => 0.0])['chord_mm'], 1e-12);
    }

    /** A hole of 10 with its middle 4.5 from the edge breaks out, at 5 it is no wall either, at 5.5 it is thin. */
    public function test_a_hole_beside_the_edge(): void
    {
        $codes = static fn (float $y): array => array_values(array_intersect(self::codes('plate', ['slots' => null, 'holes' => [['name' => 'pin', 'x_mm' => 60.0, 'y_mm' => $y, 'diameter_mm' => 10.0]]]), ['breaks-out', 'thin-wall']));
        self::assertSame([['breaks-out'], ['breaks-out'], ['thin-wall'], []], [$codes(4.5), $codes(5.0), $codes(5.5), $codes(25.0)]);
    }

    /** A direction is 1 or −1, not something between. */
    public function test_a_length_opens_or_closes(): void
    {
        $example = Sums::named('loop')->example();
        foreach ([1.4, 0.6, -1.5] as $direction) {
            try {
                Sums::run('loop', [...$example, 'contributors' => [[...$example['contributors'][0], 'direction' => $direction]]]);
                self::fail("{$direction} was taken");
            } catch (\Oldpart\Core\Advice\BadInput $bad) {
                self::assertStringContainsString('direction', $bad->field);
            }
        }
    }

    /** What is listed of a result: ranges as from to, lists one by one. */
    public function test_lists_are_no_ranges(): void
    {
        $lines = json_encode(ResultLines::of('pour', Sums::run('pour', Sums::named('pour')->example())), JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
        self::assertStringContainsString('420 °C to 450 °C', $lines);
        $holes = json_encode(ResultLines::of('hole-circle', Sums::run('hole-circle', Sums::named('hole-circle')->example())), JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
        self::assertStringContainsString('47.000', $holes);
        self::assertStringNotContainsString(' to ,', $holes);
    }

    /** Loose in both sides H = F + T, held in one H = F + 2 T (ASME Y14.5): and each says why. */
    public function test_bolts_that_give_way_and_bolts_that_cannot(): void
    {
        [$loose, $held] = [self::out('bolt-hole', ['fixed' => false]), self::out('bolt-hole', ['fixed' => true])];
        self::assertEqualsWithDelta([10.4, 10.8], [$loose['hole_mm'], $held['hole_mm']], 1e-9);
        self::assertStringContainsString('loose in both sides', $loose['notes'][0]->say->mm);
        self::assertStringContainsString('cannot give way', $held['notes'][0]->say->mm);
        self::assertSame(['H = F + T', 'H = F + 2 T'], [$loose['working'][0]->formula, $held['working'][0]->formula]);
    }

    /** What is said in words agrees with the numbers: the sign of what is off, the module of a gear, a plate that divides. */
    public function test_words_agree_with_numbers(): void
    {
        self::assertSame('Off by 0.005 mm at the first place and 0.045 mm at the second: 0.100 mm in a metre.', self::out('bore-line', [])['says']->mm);
        self::assertStringContainsString('Off by −0.005 mm at the first place', self::out('bore-line', ['a_mm' => -0.02, 'b_mm' => -0.1, 'turned_b_mm' => -0.08])['says']->mm);
        self::assertSame('1.9981', self::out('gear', [])['working'][0]->numbers->mm, '51.95 / 26');
        self::assertSame([true, []], [self::out('dividing', [])['possible'], self::codes('dividing', [])]);
        self::assertSame([false, ['not-exact']], [self::out('dividing', ['divisions' => 127])['possible'], self::codes('dividing', ['divisions' => 127])]);
        self::assertMatchesRegularExpression('~disagree by 6.[67] of 100~', json_encode(self::out('from-picture', ['known' => [
            ['x1' => 100.0, 'y1' => 500.0, 'x2' => 900.0, 'y2' => 500.0, 'size_mm' => 160.0],
            ['x1' => 200.0, 'y1' => 100.0, 'x2' => 200.0, 'y2' => 400.0, 'size_mm' => 64.0],
        ]])['notes'], JSON_UNESCAPED_UNICODE) ?: '', '64 against 60 by the other');
    }

    /** From 200 degrees of frost to 600 °C, both taken. */
    public function test_how_hot_and_how_cold(): void
    {
        foreach ([[-200.0, 600.0, true], [-200.1, 600.0, false], [-200.0, 600.1, false]] as [$inner, $outer, $taken]) {
            try {
                self::out('gap-at', ['inner_c' => $inner, 'outer_c' => $outer]);
                self::assertTrue($taken);
            } catch (\Oldpart\Core\Advice\BadInput $bad) {
                self::assertFalse($taken, $bad->getMessage());
                self::assertStringEndsWith('_c', $bad->field);
            }
        }
    }

    /** A bearing by its sizes: the outside above the bore, both above nought, wide at all; what is wrong is named. */
    public function test_a_bearing_by_its_sizes(): void
    {
        foreach ([[0, 52, 15, 'bore_mm'], [25, 25, 15, 'outer_mm'], [25, 20, 15, 'outer_mm'], [25, 52, 0, 'width_mm']] as [$bore, $outer, $width, $field]) {
            try {
                self::out('bearing-seat', ['designation' => null, 'bore_mm' => $bore, 'outer_mm' => $outer, 'width_mm' => $width]);
                self::fail("{$bore}, {$outer}, {$width}");
            } catch (\Oldpart\Core\Advice\BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
        self::assertSame('6205', self::out('bearing-seat', ['designation' => null, 'bore_mm' => 25, 'outer_mm' => 52, 'width_mm' => 15])['bearing']->designation);
    }

    /** Numbers that may be nought: what is off, a doubt, a temperature, an angle, what is left out. Everything else is a size. */
    private const NOUGHT = [
        'readings' => ['temperature_u_k'], 'nominal' => ['u95_mm'], 'cooling' => ['part_c', 'room_c'],
        'bore-line' => ['a_mm', 'b_mm', 'turned_a_mm', 'turned_b_mm'], 'tilt-shim' => ['off_mm', 'across_off_mm'], 'aim' => ['holds_mm'],
        'plain-bearing' => ['load_n', 'speed_rpm'], 'press' => ['inner_bore_mm'], 'shrink' => ['interference_max_mm', 'room_c'],
        'gap-at' => ['inner_c', 'outer_c'], 'taper' => ['small_mm', 'travel_mm'], 'taper-trial' => ['gap_now_mm', 'gap_wanted_mm'],
        'taper-by-balls' => ['depth_large_mm'], 'sine-bar' => ['angle_deg'], 'fitting-turn' => ['contact_deg', 'wanted_deg'],
        'hole-circle' => ['start_deg'], 'circle-from-chord' => ['pin_mm', 'u95_mm'], 'bolt-hole' => ['position_mm'], 'offset' => ['a_mm', 'b_mm'],
        'half-turn' => ['index_error_deg', 'length_mm', 'slide_error_mm', 'travel_mm'], 'two-castings' => ['height_a_mm', 'height_b_mm'],
        'cage' => ['web_mm'], 'run-out-budget' => ['measured_mm'], 'straighten' => ['bow_mm'], 'balance' => ['offset_mm'],
        'balance-hole' => ['unbalance_gmm'], 'overhang' => ['force_n'], 'pour' => ['boring_mm', 'headroom_mm'],
        'casting' => ['allowance_mm', 'shrink_percent'], 'clean-up' => ['runout_mm'],
        'stock-at-both-ends' => ['off_near_mm', 'off_far_mm', 'clean_mm'], 'fitting-reach' => ['seal_mm', 'to_passage_mm'],
    ];

    /** Of those, what has two sides: warmer or colder, left or right, deeper or less deep. */
    private const BELOW = [
        'cooling' => ['part_c', 'room_c'], 'bore-line' => ['a_mm', 'b_mm', 'turned_a_mm', 'turned_b_mm'], 'tilt-shim' => ['off_mm', 'across_off_mm'],
        'shrink' => ['room_c'], 'gap-at' => ['inner_c', 'outer_c'], 'taper-trial' => ['gap_now_mm', 'gap_wanted_mm'], 'taper-by-balls' => ['depth_large_mm'],
        'fitting-turn' => ['contact_deg', 'wanted_deg'], 'hole-circle' => ['start_deg'], 'offset' => ['a_mm', 'b_mm'],
        'half-turn' => ['index_error_deg', 'slide_error_mm'], 'two-castings' => ['height_a_mm', 'height_b_mm'],
        'stock-at-both-ends' => ['off_near_mm', 'off_far_mm'],
    ];

    /** Whatever has to be above nought is refused at nought, and below it, at its own field. */
    public function test_sizes_are_above_nought(): void
    {
        foreach (Sums::all() as $sum) {
            $example = $sum->example();
            foreach ($example as $field => $value) {
                if (! is_int($value) && ! is_float($value)) {
                    continue;
                }
                foreach ([[0, self::NOUGHT], [-1, self::BELOW]] as [$typed, $may]) {
                    try {
                        Sums::run($sum->name(), [...$example, $field => $typed]);
                        $refused = null;
                    } catch (\Oldpart\Core\Advice\BadInput $bad) {
                        $refused = $bad->field;
                    }
                    self::assertSame(in_array($field, $may[$sum->name()] ?? [], true) ? null : $field, $refused, "{$sum->name()}, {$field} {$typed}");
                }
            }
        }
    }

    /** The same inside of lists and things: a circle without holes, a hole without width, a pin that is none. */
    public function test_sizes_inside_are_above_nought(): void
    {
        foreach (['clocking' => ['a.hole_mm', 'a.holes', 'a.diameter_mm', 'b.hole_mm'], 'plate' => ['holes.0.diameter_mm', 'slots.0.wide_mm'], 'pattern-fit' => ['bolt_mm'], 'ports' => ['drillings.0.diameter_mm', 'block.x_mm'], 'pour' => ['flanges.0.thickness_mm'], 'bend' => ['limit_mm']] as $sum => $fields) {
            foreach ($fields as $field) {
                foreach ([0, -1] as $typed) {
                    $in = Sums::named($sum)->example();
                    $at = &$in;
                    foreach (explode('.', $field) as $step) {
                        $at = &$at[$step];
                    }
                    $at = $typed;
                    unset($at);
                    try {
                        Sums::run($sum, $in);
                        self::fail("{$sum}, {$field} {$typed} was taken");
                    } catch (\Oldpart\Core\Advice\BadInput $bad) {
                        self::assertNotSame('', $bad->field);
                    }
                }
            }
        }
    }
}
