<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Sum;

use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The example that stands in each sum when it is opened, worked with a pocket calculator: school geometry and the
 * formulas of any machinist's handbook, from memory.
 */
final class WorkedExamplesTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, float|int|string|bool|list<float>>, float}> */
    public static function worked(): iterable
    {
        $deg = M_PI / 180;
        $sums = [
            'length' => ['mm' => 1.06275 * 25.4, 'in' => 1.06275],
            'bore-line' => ['off_a_mm' => 0.005, 'off_b_mm' => 0.045, 'shim_mm' => 250 * 0.04 / 400],
            'tilt-shim' => ['shim_mm' => 0.09, 'across_shim_mm' => 0.02, 'tilt_deg' => atan(0.12 / 200) / $deg],
            'size-to-mate' => ['lower_mm' => 28.567 + 0.005, 'upper_mm' => 28.567 + 0.033 - 0.005],
            'fit-at' => ['clearance_mm.min' => -0.028, 'clearance_mm.max' => -0.018],
            // p = F / (d L), v = π d n, pv: 1500 / 750, π · 0.025 · 400 / 60.
            'plain-bearing' => ['pressure_mpa' => 2.0, 'speed_m_s' => M_PI * 0.025 * 400 / 60, 'pv' => 2 * M_PI * 0.025 * 400 / 60, 'length_over_diameter' => 1.2],
            'loop' => ['nominal_mm' => 0.1, 'middle_mm' => 0.125, 'worst_mm.min' => 0.05, 'worst_mm.max' => 0.2, 'rss_mm.min' => 0.125 - hypot(0.05, 0.025)],
            // Two cuts of half of 28.900 less the middle of the limits, and the dial moves 50 for each 48 it takes.
            'next-cut' => ['left_mm' => 28.9 - 28.598, 'dial_mm' => 0.151 * 0.5 / 0.48],
            'taper' => ['included_deg' => 2 * atan((17.78 - 14.534) / 130) / $deg, 'per_foot_in' => 12 * (17.78 - 14.534) / 65, 'ratio' => 65 / (17.78 - 14.534), 'indicator_mm' => 25 * sin(atan((17.78 - 14.534) / 130))],
            'taper-trial' => ['diameter_mm' => 4.7 / 4.8, 'infeed_mm' => 2.35 / 4.8],
            // sin α = (R − r) / (distance of the centres): 10 and 6, the centres at 5 + 10 and 40 + 6 deep.
            'taper-by-balls' => ['half_angle_deg' => asin(4 / 31) / $deg],
            'taper-by-rollers' => ['half_angle_deg' => atan(2.5 / 50) / $deg],
            'split-bush' => ['slot_mm' => M_PI * 0.1, 'draw_in_mm' => 1.2],
            'sine-bar' => ['stack_mm' => 100 * sin(10 * $deg)],
            'key-cut' => ['side_step_mm' => (10.16 - 9.525) / 2, 'travel_mm' => 25.4 - 9.525 / 2 + 9.525],
            'flats' => ['depth_mm' => 1.5, 'width_mm' => sqrt(20 ** 2 - 17 ** 2)],
            'tap-drill' => ['drill_mm' => 10 - 0.75 * 2 * 0.6495 * 1.5],
            // W = d₂ + 3 w − 0.866 P; best wire P / (2 cos 30°).
            'three-wire' => ['best_wire_mm' => 1.75 / 2 / cos(30 * $deg), 'over_wires_mm' => 12 - 0.64952 * 1.75 + 3 * 1.010363 - 0.866025 * 1.75],
            'thread-strength' => ['tensile_area_mm2' => M_PI / 4 * (10 - 0.938194 * 1.5) ** 2],
            // ISO 273, from memory: M10 in 10.5, 11 and 12; head of a cap screw 16 and 10 high, in 18.
            'screw-hole' => ['through_mm' => 11.0, 'close_mm' => 10.5, 'loose_mm' => 12.0, 'head_mm' => 18.0],
            'gear-span' => ['span_mm' => 2 * 7.66044, 'span_teeth' => 3.0],
            'ball-groove' => ['width_mm' => 2 * sqrt(9 - 1)],
            'oil-groove' => ['wide_mm' => 0.12 * 40, 'deep_mm' => 1.2],
            'fitting-turn' => ['turn_deg' => 90.0, 'thinner_mm' => 1.814 / 4, 'thicker_mm' => 3 * 1.814 / 4],
            'hole-circle' => ['chord_mm' => 47.0, 'points.0.x_mm' => 47 * cos(30 * $deg), 'points.1.y_mm' => 47.0],
            'find-circle' => ['diameter_mm' => 2 * hypot(10 + 0.01 / 39.8, 0.01 / 39.8)],
            'circle-from-chord' => ['chord_mm' => 56.0, 'diameter_mm' => 56 / sin(36 * $deg), 'u95_mm' => 0.05 / sin(36 * $deg)],
            // 40 / 17 = 2 turns and 6 of 17 holes (B & S dividing, 40 to 1).
            'dividing' => ['turns' => 2.0, 'ways.0.plate' => 17.0, 'ways.0.holes' => 6.0],
            'bolt-hole' => ['hole_mm' => 10.4],
            // Six against four holes: a twelfth turn apart at the best, half of it between: 15°.
            'clocking' => ['turn_deg' => 15.0, 'wall_mm' => sqrt(40 ** 2 + 35 ** 2 - 2 * 40 * 35 * cos(15 * $deg)) - 8.5],
            'offset' => ['offset_mm' => 5.0, 'direction_deg' => atan2(4, 3) / $deg, 'four_jaw_swing_mm' => 10.0],
            'half-turn' => ['offset_mm' => 70.0, 'spacing_off_mm' => 0.02, 'parallel_off_mm' => 60 * tan(0.01 * $deg)],
            'bore-centre' => ['centre_mm' => 62 + 20 - 10],
            'two-castings' => ['higher_mm' => 62.35 + 20.06 - 62 - 20],
            'cage' => ['balls' => floor(180 / (asin(12 / 60) / $deg)), 'gap_mm' => 60 * sin(12 * $deg) - 10],
            'run-out' => ['near_offset_mm' => 0.02, 'far_offset_mm' => hypot(0.02, 0.05), 'far_swing_mm' => 2 * hypot(0.02, 0.05), 'lean_deg' => atan(0.05 / 80) / $deg],
            'run-out-budget' => ['likely_mm' => sqrt(0.004 ** 2 + 0.01 ** 2 + 0.015 ** 2), 'worst_mm' => 0.029],
            'bend' => ['kink_at_mm' => 100.0, 'angle_deg' => atan(0.2 / 100) / $deg, 'plane_deg' => 30.0],
            // δ at first yield: σ L² / (6 E d).
            'straighten' => ['yields_at_mm' => 350 * 400 ** 2 / (6 * 205000 * 25)],
            'balance' => ['unbalance_gmm' => 400.0, 'allowed_offset_um' => 6.3 * 1000 / (2 * M_PI * 1450 / 60), 'force_n' => 8 * 5e-5 * (2 * M_PI * 1450 / 60) ** 2],
            'balance-hole' => ['mass_g' => 5.0, 'deep_mm' => 5000 / (M_PI / 4 * 100 * 7.85)],
            // F L³ / (3 E I).
            'overhang' => ['deflection_mm' => 200 * 1e6 / (3 * 205000 * M_PI * 20 ** 4 / 64), 'ratio' => 5.0],
            'speed' => ['rpm' => 25000 / (M_PI * 20), 'feed_mm_min' => 25000 / (M_PI * 20) * 4 * 0.05],
            'pour' => ['mandrel_mm' => 57.0, 'wall_mm' => 6.0],
            'casting' => ['pattern_mm' => 126 * 1.01],
            'clean-up' => ['stock_mm' => 1 - 0.4],
            'stock-at-both-ends' => ['near_mm' => 2 - 0.6, 'far_mm' => 2 - 1.1],
            'scale' => ['ratio' => (100 * 80.2 + 250 * 199.9) / (100 ** 2 + 250 ** 2)],
            'ports' => ['smallest_mm' => 8.0, 'smallest_mm2' => M_PI * 16, 'walls.0.least_mm' => 15.0, 'walls.1.least_mm' => 20.0],
            'fitting-reach' => ['reach_mm' => 12 - 1.5 - 8, 'left_mm' => 5.5],
            'keyway' => ['from_top_mm' => (25.4 - sqrt(25.4 ** 2 - 6.35 ** 2)) / 2 + 3.175, 'at_corner_mm' => 3.175, 'side_step_mm' => 0.175],
        ];
        foreach ($sums as $name => $outcomes) {
            foreach ($outcomes as $key => $value) {
                yield "{$name}, {$key}" => [$name, $key, (float) $value];
            }
        }
    }

    #[DataProvider('worked')]
    public function test_the_example_comes_out(string $name, string $key, float $value): void
    {
        $out = Sums::run($name, Sums::named($name)->example());
        foreach (explode('.', $key) as $step) {
            $out = is_array($out) ? $out[$step] : $out->{$step};
        }
        self::assertEqualsWithDelta($value, $out, max(1e-9, abs($value) * 2e-5));
    }
}
