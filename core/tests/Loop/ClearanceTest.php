<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Loop\Clearance;
use Oldpart\Core\Loop\Neighbour;
use Oldpart\Core\Loop\Travel;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** Room over a whole travel, against plane geometry worked by hand. */
final class ClearanceTest extends TestCase
{
    private static function swing(
        float $from,
        float $to,
        ?float $x,
        ?float $y,
        Neighbour $other = Neighbour::Round,
        float $doubt = 0.0,
    ): Clearance {
        return new Clearance(Travel::Swing, 100.0, 20.0, new Range($from, $to), $other, $x, $y, 16.0, $doubt);
    }

    /**
     * Arm 100, rod end 20 wide, a bolt head of 16 at 60/80 (100 from the pivot, at 53.13°): they meet full on. At
     * 72/96, which is 120 away, 20 − 10 − 8 = 2 are left.
     */
    public function test_the_whole_swing_counts(): void
    {
        self::assertEqualsWithDelta(53.1301, self::swing(0, 90, 72, 96)->nearestAt(), 1e-4);
        self::assertEqualsWithDelta(2.0, self::swing(0, 90, 72, 96)->leastMm(), 1e-9);
        self::assertEqualsWithDelta(-18.0, self::swing(0, 90, 60, 80)->leastMm(), 1e-9);
        // At both ends it clears by far: whoever looks at these only sees nothing.
        self::assertGreaterThan(60, self::swing(0, 0, 72, 96)->leastMm());
        self::assertGreaterThan(50, self::swing(90, 90, 72, 96)->leastMm());
        // A travel that stops short of it: the end is nearest. Distance from 100/0 to 120 at 53.13°: √(28² + 96²) =
        // 100.
        self::assertEqualsWithDelta(100 - 18, self::swing(-30, 0, 72, 96)->leastMm(), 1e-9);
        // The same place a turn on.
        self::assertEqualsWithDelta(2.0, self::swing(360, 450, 72, 96)->leastMm(), 1e-9);
        self::assertEqualsWithDelta(2.0, self::swing(-360, -270, 72, 96)->leastMm(), 1e-9);
    }

    /**
     * A wall across at 105: the lever stands toward it at 0°: 105 − 100 − 10 = −5. From 30° on: 105 − 100 cos 30° − 10
     * = 8.397. Along at −20 below: from 0°, 20 − 10.
     */
    public function test_walls(): void
    {
        self::assertEqualsWithDelta(-5.0, self::swing(-40, 40, 105, null, Neighbour::Wall)->leastMm(), 1e-9);
        self::assertEqualsWithDelta(8.39746, self::swing(30, 80, 105, null, Neighbour::Wall)->leastMm(), 1e-5);
        self::assertEqualsWithDelta(10.0, self::swing(0, 80, null, -20, Neighbour::Wall)->leastMm(), 1e-9);
        // A wall at −60, met from 0°: at 180° the lever is 40 through it, and half its end more.
        self::assertEqualsWithDelta(-50.0, self::swing(0, 180, -60, null, Neighbour::Wall)->leastMm(), 1e-9);
    }

    /**
     * A slide at height 30 from 0 to 50 with a head of 16 at 40/0: 30 − 10 − 8 = 12; ending at 20 it is √(20² + 30²) −
     * 18 = 18.056.
     */
    public function test_slides_and_what_stands_still(): void
    {
        $slide = static fn (float $to): Clearance => new Clearance(
            Travel::Slide,
            30.0,
            20.0,
            new Range(0.0, $to),
            Neighbour::Round,
            40.0,
            0.0,
            16.0,
            0.0,
        );
        self::assertEqualsWithDelta(12.0, $slide(50)->leastMm(), 1e-9);
        self::assertEqualsWithDelta(18.05551, $slide(20)->leastMm(), 1e-5);
        // A rim of 200 beside a support 104 off: 4 all round.
        self::assertEqualsWithDelta(
            4.0,
            (new Clearance(
                Travel::Still,
                0.0,
                200.0,
                new Range(0, 0),
                Neighbour::Wall,
                104.0,
                null,
                0.0,
                0.0,
            ))->leastMm(),
            1e-9,
        );
    }

    /**
     * Nothing on the whole travel is nearer than what is given, by brute force over 2,000 made-up cases; and where it
     * fouls is inside, its borders just clear.
     */
    public function test_nothing_is_nearer(): void
    {
        mt_srand(3);
        $any = static fn (float $a, float $b): float => $a + (($b - $a) * mt_rand()) / mt_getrandmax();
        for ($i = 0; $i < 2000; $i++) {
            $from = $any(-360, 360);
            $wall = $i % 3 === 0;
            $c = new Clearance(
                $i % 2 === 0 ? Travel::Swing : Travel::Slide,
                $any(5, 150),
                $any(2, 60),
                new Range($from, $from + $any(0, 300)),
                $wall ? Neighbour::Wall : Neighbour::Round,
                $wall && $i % 5 < 2 ? null : $any(-200, 200),
                $wall && $i % 5 >= 2 ? null : $any(-200, 200),
                $any(0, 40),
                0.0,
            );
            $brute = min(
                array_map(
                    static fn (int $k): float => $c->gapAt($c->travel->min + ($c->travel->width() * $k) / 400),
                    range(0, 400),
                ),
            );
            self::assertLessThanOrEqual($brute + 1e-9, $c->leastMm());
            self::assertGreaterThan($brute - 1.5, $c->leastMm());
            $fouls = $c->fouls(0.0);
            self::assertSame($c->leastMm() >= -1e-9, $fouls === null);
            if ($fouls !== null && $fouls->min > $c->travel->min) {
                self::assertGreaterThanOrEqual(-1e-9, $c->gapAt($fouls->min));
            }
        }
    }

    /**
     * By hand: a slide 10 wide whose middle runs 6 beside a pin of 10. They meet where √(x² + 6²) < 10, from −8 to 8;
     * for 2 more of room √(12² − 6²) = 10.3923 to both sides. What is given borders it, by no more than a 720th of the travel.
     */
    public function test_from_where_to_where_it_fouls(): void
    {
        foreach ([[-50.0, 50.0], [-5.0, 50.0], [-50.0, 5.0], [-5.0, 5.0]] as [$from, $to]) {
            foreach ([0.0 => 8.0, 2.0 => 10.392305] as $room => $half) {
                $fouls = (new Clearance(Travel::Slide, 6.0, 10.0, new Range($from, $to), Neighbour::Round, 0.0, 0.0, 10.0, 0.0))->fouls((float) $room);
                self::assertNotNull($fouls);
                [$low, $high] = [max($from, -$half), min($to, $half)];
                $step = ($to - $from) / 720 + 1e-9;
                self::assertTrue($fouls->min <= $low && $fouls->min >= max($from, $low - $step), "{$fouls->min} for {$low}");
                self::assertTrue($fouls->max >= $high && $fouls->max <= min($to, $high + $step), "{$fouls->max} for {$high}");
            }
        }
    }

    /** Between rounds half of both diameters is taken off, at a wall half of the one that moves. */
    public function test_what_is_taken_off(): void
    {
        $formula = static fn (Clearance $c): string => $c->working(0.0)->steps[2]->formula;
        self::assertStringContainsString('both diameters', $formula(self::swing(0, 90, 72, 96)));
        self::assertStringContainsString('half the diameter', $formula(self::swing(30, 80, 105, null, Neighbour::Wall)));
    }

    /**
     * By hand: still, a rim of 200 ± 0.2 and a wall at 104 ± 0.2: half of 0.2 and 0.2 in square, √(0.1² + 0.2²) =
     * 0.2236. The chance of 3.7 is then Φ(0.3 / 0.1118) = 0.99635.
     */
    public function test_doubt_and_chance(): void
    {
        $rim = new Clearance(Travel::Still, 0.0, 200.0, new Range(0, 0), Neighbour::Wall, 104.0, null, 0.0, 0.2);
        self::assertEqualsWithDelta(0.223607, $rim->u95Mm(), 1e-6);
        self::assertEqualsWithDelta(0.996354, $rim->chance(3.7), 1e-5);
        self::assertEqualsWithDelta(0.5, $rim->chance(4.0), 1e-9);
        // Short of 4.7 by 0.7 and 2.782 standard deviations, with which the chance is 0.9973 (the normal table).
        self::assertEqualsWithDelta(0.7 + 2.782 * 0.1118034, $rim->shortMm(4.7), 1e-6);
        self::assertEqualsWithDelta(
            0.9973,
            (new Clearance(
                Travel::Still,
                0.0,
                200.0,
                new Range(0, 0),
                Neighbour::Wall,
                104.0 + $rim->shortMm(4.7),
                null,
                0.0,
                0.2,
            ))->chance(4.7),
            1e-5,
        );
        // A lever's arm at right angles to the way to its neighbour matters nothing, along it fully.
        self::assertEqualsWithDelta(
            0.1 * sqrt(1 + 1 + 0.25 + 0.25),
            self::swing(0, 90, 72, 96, doubt: 0.1)->u95Mm(),
            1e-4,
        );
    }

    public function test_refusals(): void
    {
        foreach (
            [
                'mover' => static fn (): Clearance => new Clearance(
                    Travel::Still,
                    0,
                    0,
                    new Range(0, 0),
                    Neighbour::Wall,
                    1.0,
                    null,
                    0,
                    0,
                ),
                'arm' => static fn (): Clearance => new Clearance(
                    Travel::Swing,
                    -1,
                    5,
                    new Range(0, 0),
                    Neighbour::Wall,
                    1.0,
                    null,
                    0,
                    0,
                ),
                'to_deg' => static fn (): Clearance => new Clearance(
                    Travel::Swing,
                    10,
                    5,
                    new Range(0, 400),
                    Neighbour::Wall,
                    1.0,
                    null,
                    0,
                    0,
                ),
                'x' => static fn (): Clearance => new Clearance(
                    Travel::Still,
                    0,
                    5,
                    new Range(0, 0),
                    Neighbour::Wall,
                    1.0,
                    2.0,
                    0,
                    0,
                ),
                'doubt' => static fn (): Clearance => new Clearance(
                    Travel::Still,
                    0,
                    5,
                    new Range(0, 0),
                    Neighbour::Wall,
                    1.0,
                    null,
                    0,
                    -1,
                ),
            ] as $field => $make
        ) {
            try {
                $make();
                self::fail($field);
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }
}
