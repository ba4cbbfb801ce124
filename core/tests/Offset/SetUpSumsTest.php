<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Offset;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Setting up and what goes through: closed forms by hand, and the fastener formulas of ASME Y14.5. */
final class SetUpSumsTest extends TestCase
{
    /** H = F + T where the bolt floats, F + 2 T where one side holds it. */
    public function test_holes_for_bolts(): void
    {
        self::assertEqualsWithDelta(10.4, Sums::run('bolt-hole', ['bolt_mm' => 10, 'position_mm' => 0.4])['hole_mm'], 1e-12);
        self::assertEqualsWithDelta(10.8, Sums::run('bolt-hole', ['bolt_mm' => 10, 'position_mm' => 0.4, 'fixed' => true])['hole_mm'], 1e-12);
    }

    /** 400 g mm at 80 is 5 g; of steel in a 10 mm hole 5/(0.00785 · 78.54) = 8.11 deep. */
    public function test_a_hole_that_balances(): void
    {
        $hole = Sums::run('balance-hole', ['unbalance_gmm' => 400, 'radius_mm' => 80, 'drill_mm' => 10]);
        self::assertEqualsWithDelta(5.0, $hole['mass_g'], 1e-12);
        self::assertEqualsWithDelta(8.110, $hole['deep_mm'], 1e-3);
    }

    public function test_a_chain_of_holders(): void
    {
        $in = ['links' => [['name' => 'spindle', 'out_mm' => 0.003], ['name' => 'arbor', 'out_mm' => 0.004], ['name' => 'nut', 'out_mm' => 0.012]]];
        $out = Sums::run('run-out-budget', $in);
        self::assertEqualsWithDelta([0.013, 0.019], [$out['likely_mm'], $out['worst_mm']], 1e-12);
        self::assertSame('nut', $out['most_from']);
        $codes = array_map(static fn (Note $n): string => $n->code, Sums::run('run-out-budget', [...$in, 'measured_mm' => 0.02])['notes']);
        self::assertContains('more-than-all', $codes);
    }

    /** Half of 140; an error of the slide counts double; 60 long at 0.01° is 60 tan 0.01° = 0.0105. */
    public function test_half_turn(): void
    {
        $out = Sums::run('half-turn', ['spacing_mm' => 140, 'index_error_deg' => 0.01, 'length_mm' => 60, 'slide_error_mm' => 0.01, 'travel_mm' => 60]);
        self::assertEqualsWithDelta([70, 0.02, 0.010472], [$out['offset_mm'], $out['spacing_off_mm'], $out['parallel_off_mm']], 1e-6);
        self::assertSame('no-travel', $out['notes'][0]->code);
    }

    /** 0.12 in 200 over a base of 150 is 0.09; 0.05 over 80 is 0.02; 0.1° is 0.17 in 100 (a fact of the trade). */
    public function test_shims(): void
    {
        $out = Sums::run('tilt-shim', ['off_mm' => 0.12, 'lever_mm' => 200, 'base_mm' => 150, 'across_off_mm' => 0.05, 'across_base_mm' => 80]);
        self::assertEqualsWithDelta([0.09, 0.02], [$out['shim_mm'], $out['across_shim_mm']], 1e-6);
        self::assertEqualsWithDelta(0.1, Sums::run('tilt-shim', ['off_mm' => 0.1745, 'lever_mm' => 100, 'base_mm' => 100])['tilt_deg'], 1e-3);
        self::assertNull(Sums::run('tilt-shim', ['off_mm' => 0.1, 'lever_mm' => 100, 'base_mm' => 100])['across_shim_mm']);
    }

    /** (52 − 48)/2 is 2 a side: 1.4 left where it is 0.6 off, 0.9 where 1.1; at 2.2 off nothing is. */
    public function test_stock_at_both_ends(): void
    {
        $out = Sums::run('stock-at-both-ends', ['rough_mm' => 48, 'finished_mm' => 52, 'off_near_mm' => 0.6, 'off_far_mm' => -1.1, 'clean_mm' => 0.3]);
        self::assertEqualsWithDelta([1.4, 0.9, 50.8], [$out['near_mm'], $out['far_mm'], $out['least_bore_mm']], 1e-9);
        self::assertTrue($out['cleans_up']);
        $not = Sums::run('stock-at-both-ends', ['rough_mm' => 48, 'finished_mm' => 52, 'off_near_mm' => 2.2, 'off_far_mm' => 0]);
        self::assertFalse($not['cleans_up']);
        self::assertStringContainsString('52.400 mm at least', $not['notes'][0]->say->mm);
    }

    /** The roller drops out; half of what the bores differ by does not. */
    public function test_two_castings(): void
    {
        self::assertEqualsWithDelta(0.41, Sums::run('two-castings', ['height_a_mm' => 62, 'bore_a_mm' => 40, 'height_b_mm' => 62.35, 'bore_b_mm' => 40.12])['higher_mm'], 1e-9);
        $one = fn (float $h, float $b): float => Sums::run('bore-centre', ['height_mm' => $h, 'roller_mm' => 10, 'bore_mm' => $b])['centre_mm'];
        self::assertEqualsWithDelta($one(62.35, 40.12) - $one(62, 40), 0.41, 1e-9);
    }

    /**
     * 5 off toward 53.13° in a bar of 60 with a bore of 40: (60 − 40)/2 − 5 leaves 5; a boss of 55 wants 55 + 10; turned 2°
     * too far 5 sin 2° = 0.1745; tried and found at (2.9, 3.8) there is (0.1, 0.2) left, 0.2236 toward 63.4°.
     */
    public function test_an_eccentric_in_the_chuck(): void
    {
        $out = Sums::run('offset', ['a_mm' => 3, 'b_mm' => 4, 'bar_diameter_mm' => 60, 'bore_mm' => 40, 'boss_mm' => 55, 'turned_deg' => 2, 'tried_a_mm' => 2.9, 'tried_b_mm' => 3.8]);
        self::assertEqualsWithDelta([5, 65, 0.17450, 0.223607, 63.43495], [$out['wall_mm'], $out['stock_mm'], $out['sideways_mm'], $out['left_mm'], $out['left_deg']], 1e-4);
        $codes = static fn (float $bore): array => array_map(static fn (Note $n): string => $n->code, Sums::run('offset', ['a_mm' => 3, 'b_mm' => 4, 'bar_diameter_mm' => 60, 'bore_mm' => $bore])['notes']);
        self::assertSame('breaks-out', $codes(51)[0]);
        self::assertSame('thin-side', $codes(48)[0]);
        self::assertNotContains('thin-side', $codes(40));
    }

    /** 12 of thread on a washer of 1.5, the passage 8 down: 2.5 into it, 5.5 of 8 left. */
    public function test_how_far_a_fitting_reaches(): void
    {
        $in = ['thread_long_mm' => 12, 'seal_mm' => 1.5, 'to_passage_mm' => 8, 'passage_mm' => 8];
        $out = Sums::run('fitting-reach', $in);
        self::assertEqualsWithDelta([2.5, 5.5], [$out['reach_mm'], $out['left_mm']], 1e-9);
        self::assertSame(['narrows'], array_map(static fn (Note $n): string => $n->code, $out['notes']));
        self::assertTrue(Sums::run('fitting-reach', [...$in, 'thread_long_mm' => 18])['closed']);
        self::assertSame([], Sums::run('fitting-reach', [...$in, 'thread_long_mm' => 8])['notes']);
    }

    /** What is off the other way is off as much. */
    public function test_signs(): void
    {
        self::assertEqualsWithDelta(0.1745, Sums::run('offset', ['a_mm' => 3, 'b_mm' => 4, 'turned_deg' => -2])['sideways_mm'], 1e-4);
        self::assertEqualsWithDelta(0.010472, Sums::run('half-turn', ['spacing_mm' => 140, 'index_error_deg' => -0.01, 'length_mm' => 60])['parallel_off_mm'], 1e-6);
        self::assertEqualsWithDelta(-0.09, Sums::run('tilt-shim', ['off_mm' => -0.12, 'lever_mm' => 200, 'base_mm' => 150])['shim_mm'], 1e-6);
        self::assertSame(0.0, Sums::run('offset', ['a_mm' => 0, 'b_mm' => 0])['direction_deg']);
        $stock = Sums::run('stock-at-both-ends', ['rough_mm' => 48, 'finished_mm' => 52, 'off_near_mm' => -0.6, 'off_far_mm' => -1.1, 'clean_mm' => 0.0]);
        self::assertEqualsWithDelta([1.4, 0.9, 50.2], [$stock['near_mm'], $stock['far_mm'], $stock['least_bore_mm']], 1e-9);
        try {
            Sums::run('tilt-shim', ['off_mm' => -5, 'lever_mm' => 4, 'base_mm' => 10]);
            self::fail('taken');
        } catch (BadInput $bad) {
            self::assertSame('lever_mm', $bad->field);
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function refusals(): iterable
    {
        yield 'no bolt' => ['bolt-hole', ['bolt_mm' => 0, 'position_mm' => 0.1], 'bolt_mm'];
        yield 'position below zero' => ['bolt-hole', ['bolt_mm' => 5, 'position_mm' => -0.1], 'position_mm'];
        yield 'no radius' => ['balance-hole', ['unbalance_gmm' => 1, 'radius_mm' => 0, 'drill_mm' => 5], 'radius_mm'];
        yield 'unbalance below zero' => ['balance-hole', ['unbalance_gmm' => -1, 'radius_mm' => 5, 'drill_mm' => 5], 'unbalance_gmm'];
        yield 'no links' => ['run-out-budget', ['links' => []], 'links'];
        yield 'a link below zero' => ['run-out-budget', ['links' => [['name' => 'a', 'out_mm' => -1]]], 'links.0.out_mm'];
        yield 'one bore' => ['half-turn', ['spacing_mm' => 0], 'spacing_mm'];
        yield 'no lever' => ['tilt-shim', ['off_mm' => 1, 'lever_mm' => 1, 'base_mm' => 10], 'lever_mm'];
        yield 'no base' => ['tilt-shim', ['off_mm' => 1, 'lever_mm' => 10, 'base_mm' => 0], 'base_mm'];
        yield 'no bore' => ['stock-at-both-ends', ['rough_mm' => 10, 'finished_mm' => 0, 'off_near_mm' => 0, 'off_far_mm' => 0], 'finished_mm'];
        yield 'no bore b' => ['two-castings', ['height_a_mm' => 1, 'bore_a_mm' => 1, 'height_b_mm' => 1, 'bore_b_mm' => 0], 'bore_b_mm'];
        yield 'a limit of nothing' => ['bend', ['stations' => [['at_mm' => 0, 'tir_mm' => 0, 'high_deg' => 0], ['at_mm' => 1, 'tir_mm' => 0, 'high_deg' => 0], ['at_mm' => 2, 'tir_mm' => 0, 'high_deg' => 0]], 'limit_mm' => 0], 'limit_mm'];
    }

    /** @param  array<string, mixed>  $in */
    #[DataProvider('refusals')]
    public function test_refusals(string $sum, array $in, string $field): void
    {
        try {
            Sums::run($sum, $in);
            self::fail('taken');
        } catch (BadInput $bad) {
            self::assertSame($field, $bad->field);
        }
    }
}
