<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Pattern;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Pattern\Cage;
use Oldpart\Core\Pattern\Clocking;
use Oldpart\Core\Pattern\Dividing;
use Oldpart\Core\Pattern\Fastener;
use Oldpart\Core\Pattern\FoundCircle;
use Oldpart\Core\Pattern\HoleCircle;
use Oldpart\Core\Pattern\PatternFit;
use Oldpart\Core\Pattern\Point;
use Oldpart\Core\Pattern\SmallestCircle;
use PHPUnit\Framework\TestCase;

/** Hole circles and patterns, against closed forms and handbook tables (from memory). */
final class PatternTest extends TestCase
{
    /**
     * A square that lies far from the zero, turned by 10° about it and shifted by 5 and −3: found again exactly, with
     * nothing left over.
     */
    public function test_a_pattern_far_from_the_zero_is_found_again(): void
    {
        $ours = [new Point(100, 50), new Point(140, 50), new Point(140, 90), new Point(100, 90)];
        $theirs = array_map(static function (Point $p): Point {
            $a = deg2rad(10.0);

            return new Point($p->x * cos($a) - $p->y * sin($a) + 5.0, $p->x * sin($a) + $p->y * cos($a) - 3.0);
        }, $ours);
        $fit = PatternFit::of($ours, $theirs);
        self::assertEqualsWithDelta([10.0, 5.0, -3.0], [$fit->turnDeg, $fit->dxMm, $fit->dyMm], 1e-9);
    }

    /** ASME Y14.5, appendix B: floating T = H − F, fixed T = (H − F)/2; and back again by H. */
    public function test_how_far_a_hole_may_be_off(): void
    {
        self::assertEqualsWithDelta(1.0, Fastener::positionMm(9.0, 8.0, false), 1e-12);
        self::assertEqualsWithDelta(0.5, Fastener::positionMm(9.0, 8.0, true), 1e-12);
        self::assertEqualsWithDelta(-0.2, Fastener::positionMm(7.8, 8.0, false), 1e-12, 'it does not enter');
        foreach ([true, false] as $fixed) {
            self::assertEqualsWithDelta(0.34, Fastener::positionMm(Fastener::holeMm(10.0, 0.34, $fixed), 10.0, $fixed), 1e-12);
        }
    }

    /** Chord of n holes on a circle of one: machinists' handbook table: 3 0.86603, 5 0.58779, 6 0.5, 7 0.43388, 12 0.25882. */
    public function test_chords(): void
    {
        foreach ([3 => 0.86603, 5 => 0.58779, 6 => 0.5, 7 => 0.43388, 12 => 0.25882] as $n => $chord) {
            self::assertEqualsWithDelta($chord, (new HoleCircle($n, 1.0))->chordMm(), 5e-6);
            self::assertEqualsWithDelta(94.0, HoleCircle::fromChord($n, 94 * $chord)->diameterMm, 2e-3);
        }
        self::assertEqualsWithDelta(100.0, HoleCircle::fromChord(8, 100.0, 4)->diameterMm, 1e-9, 'across');
        self::assertEqualsWithDelta(100 * sqrt(0.5), HoleCircle::fromChord(8, 50.0, 2)->diameterMm, 1e-9);
        self::assertSame(0.0, (new HoleCircle(1, 50.0))->chordMm());
    }

    public function test_where_the_holes_are(): void
    {
        $circle = new HoleCircle(4, 20.0, 90.0, new Point(100.0, 50.0));
        $at = array_map(static fn (Point $p): array => [round($p->x, 9), round($p->y, 9)], $circle->points());
        self::assertEquals([[100.0, 60.0], [90.0, 50.0], [100.0, 40.0], [110.0, 50.0]], $at);
        self::assertSame([90.0, 180.0, 270.0, 0.0], array_map($circle->angleDeg(...), [0, 1, 2, 3]));
    }

    public function test_what_no_circle_is(): void
    {
        foreach (
            [
                static fn () => new HoleCircle(0, 10.0),
                static fn () => new HoleCircle(6, 0.0),
                static fn () => new HoleCircle(1001, 10.0),
                static fn () => HoleCircle::fromChord(6, 0.0),
                static fn () => Dividing::into(100_001),
                static fn () => Dividing::into(7, 1001),
                static fn () => HoleCircle::fromChord(1, 10.0),
                static fn () => HoleCircle::fromChord(6, -1.0),
                static fn () => HoleCircle::fromChord(6, 10.0, 6),
                static fn () => HoleCircle::fromChord(6, 10.0, 0),
                static fn () => FoundCircle::through([new Point(0, 0), new Point(1, 1)]),
                static fn () => FoundCircle::through([new Point(0, 0), new Point(1, 1), new Point(2, 2)]),
                static fn () => FoundCircle::through([new Point(1, 1), new Point(1, 1), new Point(1, 1)]),
                static fn () => Dividing::into(0),
                static fn () => Dividing::into(7, 0),
                static fn () => Dividing::into(7, 40, [0]),
                static fn () => PatternFit::of([new Point(0, 0)], [new Point(0, 0)]),
                static fn () => PatternFit::of([new Point(0, 0), new Point(0, 0)], [new Point(0, 0), new Point(1, 0)]),
                static fn () => new Cage(20.0, 15.0, 6.0),
                static fn () => new Cage(20.0, 0.0, 1.0),
            ] as $i => $make
        ) {
            try {
                $make();
                self::fail("{$i} was taken");
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->getMessage());
            }
        }
    }

    /** Through three exactly; the centre of many is where they lie evenly about it. */
    public function test_a_circle_is_found(): void
    {
        $three = FoundCircle::through([new Point(3, 4), new Point(-5, 0), new Point(0, -5)]);
        self::assertEqualsWithDelta([0.0, 0.0, 10.0], [$three->centre->x, $three->centre->y, $three->diameterMm], 1e-9);
        self::assertEqualsWithDelta([0.0, 0.0, 0.0], $three->residualsMm, 1e-9);
        // Six holes on 100 about (20, −7), the fourth 0.6 out: evenly spread it costs R a sixth and moves the centre a third.
        $points = (new HoleCircle(6, 100.0, 0.0, new Point(20.0, -7.0)))->points();
        $points[3] = new Point($points[3]->x - 0.6, $points[3]->y);
        $six = FoundCircle::through($points);
        self::assertEqualsWithDelta(100 + 2 * 0.6 / 6, $six->diameterMm, 0.01);
        self::assertEqualsWithDelta(20 - 0.6 / 3, $six->centre->x, 0.01);
        self::assertEqualsWithDelta(-7.0, $six->centre->y, 1e-6);
        self::assertSame(3, array_search(max($six->residualsMm), $six->residualsMm, true));
        self::assertEqualsWithDelta(0.3, $six->residualsMm[3], 0.01);
        self::assertEqualsWithDelta(0.0, array_sum($six->residualsMm), 1e-9, 'least squares of distance leaves no mean');
    }

    /** Handbook: 17 divisions on 40:1 are 2 turns and 6 holes of 17; 7 are 5 and 15 of 21; 127 cannot be had. */
    public function test_dividing(): void
    {
        $way = Dividing::into(17);
        self::assertSame([2, [['plate' => 17, 'holes' => 6]], []], [$way->turns, $way->ways, $way->nearest]);
        self::assertContains(['plate' => 21, 'holes' => 15], Dividing::into(7)->ways);
        self::assertContains(['plate' => 49, 'holes' => 35], Dividing::into(7)->ways);
        self::assertSame(5, Dividing::into(8)->turns);
        self::assertSame(40, Dividing::into(1)->turns);
        self::assertSame([0, 0], [Dividing::into(100_000)->turns, count(Dividing::into(99_991)->ways)]);
        self::assertSame(0, Dividing::into(8)->ways[0]['holes']);
        // Three plates of six circles as sold with most heads (from memory): 15 to 20, 21 to 33, 37 to 49.
        self::assertSame([15, 16, 17, 18, 19, 20, 21, 23, 27, 29, 31, 33, 37, 39, 41, 43, 47, 49], Dividing::PLATES);
        self::assertSame([['plate' => 1, 'holes' => 0]], Dividing::into(20, 40, [1])->ways);
        $prime = Dividing::into(127);
        self::assertSame([[], 0], [$prime->ways, $prime->turns]);
        self::assertSame(40 / 127 <=> $prime->nearest[0]['holes'] / $prime->nearest[0]['plate'], -($prime->nearest[0]['error_deg'] <=> 0.0));
        self::assertLessThanOrEqual(abs($prime->nearest[1]['error_deg']), abs($prime->nearest[0]['error_deg']));
        // By hand: 40/127 of 49 is 15.43, so 15 holes: 9 (15/49 − 40/127) = −0.0795°.
        $own = Dividing::into(127, 40, [49])->nearest[0];
        self::assertSame([49, 0, 15], [$own['plate'], $own['turns'], $own['holes']]);
        self::assertEqualsWithDelta(9 * (15 / 49 - 40 / 127), $own['error_deg'], 1e-12);
        // Of 47 it is 14.80, so 15 too: the nearer hole, not the one below.
        $near = Dividing::into(127, 40, [47])->nearest[0];
        self::assertSame(15, $near['holes']);
        self::assertEqualsWithDelta(9 * (15 / 47 - 40 / 127), $near['error_deg'], 1e-12);
        // 130 on 100 to 1: less than a turn; of 17 it is 13.08.
        self::assertSame([0, 13], [Dividing::into(130, 100, [17])->nearest[0]['turns'], Dividing::into(130, 100, [17])->nearest[0]['holes']]);
        self::assertCount(5, $prime->nearest);
    }

    /** Turned and shifted by what it was turned and shifted by; a stretch of 0.1 over two holes can be halved, no better. */
    public function test_patterns_laid_on_each_other(): void
    {
        $ours = [new Point(0, 0), new Point(80, 0), new Point(80, 50), new Point(10, 40)];
        $theirs = array_map(static fn (Point $p): Point => $p->moved(33.0, 12.0, -7.0), $ours);
        $fit = PatternFit::of($ours, $theirs);
        self::assertEqualsWithDelta([33.0, 12.0, -7.0, 0.0, 0.0], [$fit->turnDeg, $fit->dxMm, $fit->dyMm, $fit->largestMm(), $fit->leastMostMm], 1e-9);
        $two = PatternFit::of([new Point(0, 0), new Point(100, 0)], [new Point(0, 0), new Point(100.1, 0)]);
        self::assertEqualsWithDelta([0.05, 0.05, 0.05], [...$two->residualsMm, $two->leastMostMm], 1e-9);
        // Three of four fit and one is off: least squares shares it, the least greatest shares it more evenly, never worse.
        $theirs[2] = new Point($theirs[2]->x + 0.4, $theirs[2]->y);
        $one = PatternFit::of($ours, $theirs);
        self::assertLessThan($one->largestMm(), $one->leastMostMm);
        self::assertGreaterThan(0.05, $one->leastMostMm);
        // The least greatest by trying all turns and the smallest circle through two or three (a script in another language).
        self::assertEqualsWithDelta(0.1623879, $one->leastMostMm, 1e-6);
        $sheared = PatternFit::of(
            [new Point(0, 0), new Point(100, 0), new Point(0, 60), new Point(90, 70)],
            [new Point(1, 0), new Point(100, 2), new Point(-1, 61), new Point(92, 69)],
        );
        self::assertEqualsWithDelta(1.7651218, $sheared->leastMostMm, 1e-6);
        $far = PatternFit::of([new Point(0, 0), new Point(10, 0), new Point(0, 10)], [new Point(0, 0), new Point(10, 0), new Point(6, 10)]);
        self::assertEqualsWithDelta(1.8661919, $far->leastMostMm, 1e-6);
        $squares = static fn (float $turn, float $dx, float $dy): float => array_sum(
            array_map(static fn (Point $p, Point $q): float => $p->moved($turn, $dx, $dy)->to($q) ** 2, $ours, $theirs),
        );
        $least = $squares($one->turnDeg, $one->dxMm, $one->dyMm);
        foreach ([[0.01, 0, 0], [-0.01, 0, 0], [0, 0.01, 0], [0, -0.01, 0], [0, 0, 0.01], [0, 0, -0.01]] as [$t, $x, $y]) {
            self::assertGreaterThan($least, $squares($one->turnDeg + $t, $one->dxMm + $x, $one->dyMm + $y));
        }
    }

    public function test_the_smallest_circle(): void
    {
        self::assertEqualsWithDelta(5.0, SmallestCircle::round([new Point(0, 0), new Point(10, 0), new Point(5, 1)]), 1e-9);
        self::assertEqualsWithDelta(10 / sqrt(3), SmallestCircle::round([new Point(0, 0), new Point(10, 0), new Point(5, 5 * sqrt(3)), new Point(5, 2)]), 1e-9);
        self::assertEqualsWithDelta(2.0, SmallestCircle::round([new Point(1, 1), new Point(3, 1), new Point(5, 1)]), 1e-9);
        self::assertSame(0.0, SmallestCircle::round([new Point(4, 4)]));
    }

    /** Six and four: the angles come round every 30°, so 15° apart at best; six and six on one circle 30°, a chord of 2 R sin 15°. */
    public function test_clocking(): void
    {
        $way = Clocking::of(new HoleCircle(6, 80.0), 9.0, new HoleCircle(4, 70.0), 8.0);
        self::assertEqualsWithDelta(15.0, $way->turnDeg, 1e-9);
        $apart = sqrt(40 ** 2 + 35 ** 2 - 2 * 40 * 35 * cos(deg2rad(15)));
        self::assertEqualsWithDelta($apart - 8.5, $way->wallMm, 1e-9);
        // Five and two: 36° apart at best of 180, so the first lies 18° on.
        self::assertEqualsWithDelta(18.0, Clocking::of(new HoleCircle(5, 80.0), 9.0, new HoleCircle(2, 80.0), 9.0)->turnDeg, 1e-9);
        $same = Clocking::of(new HoleCircle(6, 80.0, 10.0), 9.0, new HoleCircle(6, 80.0, 10.0), 9.0);
        self::assertEqualsWithDelta(30.0, $same->turnDeg, 1e-9);
        self::assertEqualsWithDelta(2 * 40 * sin(deg2rad(15)) - 9, $same->wallMm, 1e-9);
        self::assertLessThan(0.0, Clocking::of(new HoleCircle(36, 80.0), 9.0, new HoleCircle(6, 80.0), 9.0)->wallMm);
        // Turned as it says it leaves what it says, wherever the two begin.
        foreach ([[0.0, 10.0], [0.0, 0.0], [17.0, 3.0], [-20.0, 35.0], [90.0, 300.0]] as [$of, $from]) {
            $found = Clocking::of(new HoleCircle(6, 80.0, $of), 9.0, new HoleCircle(4, 70.0, $from), 8.0);
            $least = INF;
            foreach ((new HoleCircle(6, 80.0, $of))->points() as $p) {
                foreach ((new HoleCircle(4, 70.0, $from + $found->turnDeg))->points() as $q) {
                    $least = min($least, $p->to($q) - 8.5);
                }
            }
            self::assertEqualsWithDelta($way->wallMm, $found->wallMm, 1e-9);
            self::assertEqualsWithDelta($found->wallMm, $least, 1e-9, "{$of} and {$from}");
            self::assertGreaterThanOrEqual(0.0, $found->turnDeg);
            self::assertLessThan(90.0, $found->turnDeg);
        }
        // No turn leaves more than the one found.
        foreach ([0.0, 5.0, 11.0, 14.0, 16.0, 40.0, 77.0] as $turn) {
            $least = INF;
            foreach ((new HoleCircle(6, 80.0))->points() as $p) {
                foreach ((new HoleCircle(4, 70.0, $turn))->points() as $q) {
                    $least = min($least, $p->to($q) - 8.5);
                }
            }
            self::assertLessThanOrEqual($way->wallMm + 1e-9, $least, "{$turn}");
        }
    }

    /** By hand: 12 of 60 is asin 0.2 = 11.537°, 180 over it 15.6: fifteen, 60 sin 12° − 10 apart. */
    public function test_a_cage(): void
    {
        $cage = new Cage(60.0, 10.0, 2.0);
        self::assertSame(15, $cage->balls);
        self::assertEqualsWithDelta(60 * sin(deg2rad(12)) - 10, $cage->gapMm, 1e-9);
        self::assertSame(6, (new Cage(20.0, 8.0, 2.0))->balls, 'just six: chord 10 on a circle of 20');
    }
}
