<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Shape;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Shape\RoundedOutline;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\TestCase;

/** Outlines of lines and arcs: by hand, and against their own polygon. */
final class RoundedOutlineTest extends TestCase
{
    /** A triangle has an odd number of sides: 10 from both legs is 10 inside, and beyond the long side is outside. */
    public function test_inside_and_outside_of_a_triangle(): void
    {
        $triangle = new RoundedOutline([['x' => 0.0, 'y' => 0.0, 'r' => 0.0], ['x' => 60.0, 'y' => 0.0, 'r' => 0.0], ['x' => 0.0, 'y' => 60.0, 'r' => 0.0]]);
        self::assertEqualsWithDelta(10.0, $triangle->insideMm(10.0, 10.0), 1e-9);
        self::assertEqualsWithDelta(-20 / M_SQRT2, $triangle->insideMm(40.0, 40.0), 1e-9);
        self::assertEqualsWithDelta(-5.0, $triangle->insideMm(10.0, -5.0), 1e-9);
    }

    /** @return list<array{x: float, y: float, r: float}> */
    private static function square(float $r): array
    {
        return [['x' => 0.0, 'y' => 0.0, 'r' => $r], ['x' => 100.0, 'y' => 0.0, 'r' => $r], ['x' => 100.0, 'y' => 60.0, 'r' => $r], ['x' => 0.0, 'y' => 60.0, 'r' => $r]];
    }

    /** A rectangle of 100 × 60 with radii of 10 loses (4 − π) 100; round it goes 320 − 80 + 20 π. */
    public function test_a_rounded_rectangle(): void
    {
        $outline = new RoundedOutline(self::square(10));
        self::assertEqualsWithDelta(6000 - (4 - M_PI) * 100, $outline->areaMm2, 1e-9);
        self::assertEqualsWithDelta(240 + 20 * M_PI, $outline->roundMm, 1e-9);
        self::assertEqualsWithDelta([[0, 10], [10, 0], [10, 10]], [$outline->arcs[0]['from'], $outline->arcs[0]['to'], $outline->arcs[0]['middle']], 1e-9);
        self::assertEqualsWithDelta(30, $outline->insideMm(50, 30), 1e-9);
        self::assertEqualsWithDelta(-5, $outline->insideMm(-5, 30), 1e-9);
        self::assertEqualsWithDelta(-(sqrt(2) * 10 - 10), $outline->insideMm(0, 0), 0.05, 'past the arc');
    }

    /** Either way round, and a corner that goes in gains what its arc fills. */
    public function test_corners_that_go_in(): void
    {
        $l = [['x' => 0.0, 'y' => 0.0, 'r' => 0.0], ['x' => 100.0, 'y' => 0.0, 'r' => 0.0], ['x' => 100.0, 'y' => 20.0, 'r' => 0.0], ['x' => 20.0, 'y' => 20.0, 'r' => 10.0], ['x' => 20.0, 'y' => 80.0, 'r' => 0.0], ['x' => 0.0, 'y' => 80.0, 'r' => 0.0]];
        $area = 100 * 20 + 20 * 60 + (1 - M_PI / 4) * 100;
        self::assertEqualsWithDelta($area, (new RoundedOutline($l))->areaMm2, 1e-9);
        self::assertEqualsWithDelta($area, (new RoundedOutline(array_reverse($l)))->areaMm2, 1e-9);
    }

    /** The points it is drawn by enclose what it says: by the shoelace, to what so many pieces of an arc leave. */
    public function test_the_points_agree(): void
    {
        mt_srand(5);
        for ($k = 0; $k < 50; $k++) {
            $corners = [];
            $n = mt_rand(3, 9);
            for ($i = 0; $i < $n; $i++) {
                $r = mt_rand(40, 90);
                $corners[] = ['x' => $r * cos(2 * M_PI * $i / $n), 'y' => $r * sin(2 * M_PI * $i / $n), 'r' => (float) mt_rand(0, 4)];
            }
            $outline = new RoundedOutline($corners);
            $area = $round = 0.0;
            foreach ($outline->points as $i => [$x, $y]) {
                [$nx, $ny] = $outline->points[($i + 1) % count($outline->points)];
                $area += ($x * $ny - $nx * $y) / 2;
                $round += hypot($nx - $x, $ny - $y);
            }
            self::assertEqualsWithDelta(abs($area), $outline->areaMm2, 0.5);
            self::assertEqualsWithDelta($round, $outline->roundMm, 0.1);
        }
    }

    public function test_what_makes_no_outline(): void
    {
        foreach ([[array_slice(self::square(0), 0, 2), 'corners'], [self::square(31), 'corners.1.radius_mm'], [self::square(-1), 'corners.0.radius_mm'], [[...self::square(0), ['x' => 0.0, 'y' => 60.0, 'r' => 0.0]], 'corners.3.x_mm']] as [$corners, $field]) {
            try {
                new RoundedOutline($corners);
                self::fail($field);
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }

    /** By hand: 85 across and 25 down from pivot to pin; a hole of 20 at 20 from the left edge leaves 10. */
    public function test_a_lever(): void
    {
        $in = Sums::named('plate')->example();
        $out = Sums::run('plate', $in);
        self::assertEqualsWithDelta(hypot(85, 25), $out['centres'][0]['apart_mm'], 1e-9);
        self::assertEqualsWithDelta(rad2deg(atan2(-25, 85)), $out['centres'][0]['angle_deg'], 1e-3);
        self::assertEqualsWithDelta(10.0, $out['walls'][0]['wall_mm'], 1e-6);
        self::assertEqualsWithDelta($out['area_mm2'] * 10 * 7850 / 1e9, $out['mass_kg'], 1e-12);
        self::assertEqualsWithDelta(90, abs($out['centres'][0]['angle_deg']) + $out['centres'][0]['other_side_deg'], 1e-3, 'the complement');
        $other = Sums::run('plate', [...$in, 'mirrored' => true]);
        self::assertEqualsWithDelta([$out['area_mm2'], $out['walls'][1]['wall_mm']], [$other['area_mm2'], $other['walls'][1]['wall_mm']], 1e-9);
        self::assertEqualsWithDelta(180, abs($out['centres'][0]['angle_deg']) + abs($other['centres'][0]['angle_deg']), 1e-3);
        $broken = Sums::run('plate', [...$in, 'holes' => [['name' => 'pivot', 'x_mm' => 5.0, 'y_mm' => 40.0, 'diameter_mm' => 20.0]]]);
        self::assertSame('breaks-out', $broken['notes'][0]->code);
    }

    /** By hand: holes of 10, 14 apart, leave 4; 10 apart they touch; a slot across a slot cuts it. What weighs is said. */
    public function test_what_lies_between_holes(): void
    {
        $plate = ['corners' => [['x_mm' => 0, 'y_mm' => 0], ['x_mm' => 200, 'y_mm' => 0], ['x_mm' => 200, 'y_mm' => 100], ['x_mm' => 0, 'y_mm' => 100]]];
        $holes = static fn (float $apart): array => array_map(
            static fn (float $x): array => ['name' => "at {$x}", 'x_mm' => $x, 'y_mm' => 50.0, 'diameter_mm' => 10.0],
            [80.0, 80.0 + $apart],
        );
        $notes = static fn (array $more): array => array_column(Sums::run('plate', [...$plate, ...$more])['notes'], 'code');
        self::assertSame(['reference'], $notes(['holes' => $holes(21)]));
        self::assertSame(['thin-between', 'reference'], $notes(['holes' => $holes(14)]));
        $said = Sums::run('plate', [...$plate, 'holes' => $holes(14)])['notes'][0]->say->mm;
        self::assertStringContainsString('Only 4.000 mm', $said);
        self::assertSame(['cuts-meet', 'reference'], $notes(['holes' => $holes(9.9)]));
        $slot = static fn (float $x1, float $y1, float $x2, float $y2): array => ['name' => "{$x1} {$y1}", 'x1_mm' => $x1, 'y1_mm' => $y1, 'x2_mm' => $x2, 'y2_mm' => $y2, 'wide_mm' => 4.0];
        self::assertSame(['cuts-meet', 'reference'], $notes(['slots' => [$slot(50, 50, 150, 50), $slot(100, 20, 100, 80)]]), 'crossing in their middles');
        self::assertSame(['reference'], $notes(['slots' => [$slot(50, 40, 150, 40), $slot(50, 60, 150, 60)]]));
        self::assertSame(['density', 'reference'], $notes(['thick_mm' => 10]));
    }

    /** A radius that no file makes is a sharp corner, however long its sides are. */
    public function test_a_radius_of_next_to_nothing(): void
    {
        foreach ([0.0, 1e-300, 1e-9] as $radius) {
            $outline = new RoundedOutline([
                ['x' => 0.0, 'y' => 0.0, 'r' => 0.0],
                ['x' => 120.0, 'y' => 0.0, 'r' => 0.0],
                ['x' => 0.0, 'y' => 6e10, 'r' => $radius],
            ]);
            self::assertEqualsWithDelta(120 * 6e10 / 2, $outline->areaMm2, 1.0);
        }
    }
}
