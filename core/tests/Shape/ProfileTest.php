<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Shape;

use Oldpart\Core\Shape\Chamfer;
use Oldpart\Core\Shape\Outline;
use Oldpart\Core\Shape\Profile;
use Oldpart\Core\Shape\Segment;
use Oldpart\Core\Shape\SurfaceType;
use PHPUnit\Framework\TestCase;

/** Volumes, surfaces and centres of mass against the closed forms of solid geometry. */
final class ProfileTest extends TestCase
{
    private static function cylinder(float $from, float $to, float $diameter): Segment
    {
        return new Segment($from, $to, $diameter / 2, $diameter / 2);
    }

    /** π r² h; 2 π r h + 2 π r²; h/2. */
    public function test_a_cylinder(): void
    {
        $p = Profile::of([self::cylinder(5, 45, 20)], []);
        self::assertEqualsWithDelta(M_PI * 100 * 40, $p->volumeMm3(), 1e-6);
        self::assertEqualsWithDelta(2 * M_PI * 10 * 40 + 2 * M_PI * 100, $p->surfaceMm2(), 1e-6);
        self::assertEqualsWithDelta(25.0, $p->centreMm(), 1e-9);
        self::assertFalse($p->isHollow());
    }

    /** Tube: π (R² − r²) h, inside and outside flank, two rings. */
    public function test_a_tube(): void
    {
        $p = Profile::of([self::cylinder(0, 30, 40)], [self::cylinder(0, 30, 25)]);
        self::assertEqualsWithDelta(M_PI * (400 - 156.25) * 30, $p->volumeMm3(), 1e-6);
        self::assertEqualsWithDelta(
            M_PI * 40 * 30 + M_PI * 25 * 30 + 2 * M_PI * (400 - 156.25),
            $p->surfaceMm2(),
            1e-6,
        );
        self::assertTrue($p->isHollow());
    }

    /** Full cone: π r² h / 3, centre a quarter of the height from the base, flank π r s. */
    public function test_a_cone(): void
    {
        $p = Profile::of([new Segment(0, 24, 7, 0)], []);
        self::assertEqualsWithDelta((M_PI * 49 * 24) / 3, $p->volumeMm3(), 1e-6);
        self::assertEqualsWithDelta(6.0, $p->centreMm(), 1e-9);
        self::assertEqualsWithDelta(M_PI * 7 * 25 + M_PI * 49, $p->surfaceMm2(), 1e-6);
    }

    /** A blind bore ends inside: two pieces added and subtracted by hand. */
    public function test_a_stepped_part_with_a_blind_bore(): void
    {
        $p = Profile::of([self::cylinder(0, 10, 60), self::cylinder(10, 50, 30)], [self::cylinder(0, 20, 12)]);
        $volume = M_PI * (900 * 10 + 225 * 40 - 36 * 20);
        self::assertEqualsWithDelta($volume, $p->volumeMm3(), 1e-6);
        self::assertEqualsWithDelta(
            (M_PI * (900 * 10 * 5 + 225 * 40 * 30 - 36 * 20 * 10)) / $volume,
            $p->centreMm(),
            1e-9,
        );
        // Ends π(30² − 6²) and π15², step π(30² − 15²), bottom π6², flanks.
        self::assertEqualsWithDelta(
            M_PI * (864 + 225 + 675 + 36 + 60 * 10 + 30 * 40 + 12 * 20),
            $p->surfaceMm2(),
            1e-6,
        );
    }

    /** Where two stretches overlap the larger outside counts, a groove the smaller. */
    public function test_overlaps_and_grooves(): void
    {
        $flange = Profile::of([self::cylinder(0, 40, 30), self::cylinder(0, 5, 50)], []);
        self::assertEqualsWithDelta(M_PI * (625 * 5 + 225 * 35), $flange->volumeMm3(), 1e-6);
        $groove = Profile::of([self::cylinder(0, 40, 30), new Segment(10, 13, 12, 12, cutsOutside: true)], []);
        self::assertEqualsWithDelta(M_PI * (225 * 37 + 144 * 3), $groove->volumeMm3(), 1e-6);
    }

    /** A 45° chamfer takes the ring π c² (R − c/3) off (Pappus: area c²/2 at R − c/3). */
    public function test_chamfers(): void
    {
        $plain = M_PI * 225 * 40;
        foreach ([0.0, 40.0] as $end) {
            $p = Profile::of([self::cylinder(0, 40, 30)], [], [new Chamfer($end, 2, false)]);
            self::assertEqualsWithDelta($plain - M_PI * 4 * (15 - 2 / 3), $p->volumeMm3(), 1e-6, "at {$end}");
        }
        $inside = Profile::of([self::cylinder(0, 40, 30)], [self::cylinder(0, 40, 16)], [new Chamfer(0, 1.5, true)]);
        self::assertEqualsWithDelta(M_PI * (225 - 64) * 40 - M_PI * 2.25 * (8 + 0.5), $inside->volumeMm3(), 1e-6);
    }

    /** An offset bore takes away as much as a centred one. */
    public function test_an_eccentric_bore(): void
    {
        $p = Profile::of([self::cylinder(0, 20, 80)], [new Segment(0, 20, 20, 20, offsetMm: 6)]);
        self::assertEqualsWithDelta(M_PI * (1600 - 400) * 20, $p->volumeMm3(), 1e-6);
        self::assertEqualsWithDelta(20.0, $p->thicknessAtMm(30), 1e-9);
        self::assertEqualsWithDelta(0.0, $p->thicknessAtMm(45), 1e-9);
    }

    /** Two bosses with air between are two runs, and nothing is counted in the gap. */
    public function test_a_gap(): void
    {
        $p = Profile::of(
            [self::cylinder(0, 30, 80), self::cylinder(110, 140, 80)],
            [self::cylinder(0, 30, 50), self::cylinder(110, 140, 50)],
        );
        self::assertCount(2, $p->runs());
        self::assertEqualsWithDelta(2 * M_PI * (1600 - 625) * 30, $p->volumeMm3(), 1e-6);
        self::assertEqualsWithDelta(70.0, $p->centreMm(), 1e-9);
    }

    /** Splitting a stretch in two changes nothing; a hollower part never weighs more. */
    public function test_properties(): void
    {
        mt_srand(20261124);
        for ($i = 0; $i < 200; $i++) {
            $r = static fn (float $a, float $b): float => $a + (($b - $a) * mt_rand()) / mt_getrandmax();
            [$l, $d1, $d2, $bore] = [$r(5, 200), $r(20, 100), $r(20, 100), $r(1, 18)];
            $cut = $r(0.1, 0.9) * $l;
            $whole = new Segment(0, $l, $d1 / 2, $d2 / 2);
            $a = Profile::of([$whole], [self::cylinder(0, $l, $bore)]);
            $b = Profile::of(
                [new Segment(0, $cut, $d1 / 2, $whole->at($cut)), new Segment($cut, $l, $whole->at($cut), $d2 / 2)],
                [self::cylinder(0, $l, $bore)],
            );
            self::assertEqualsWithDelta($a->volumeMm3(), $b->volumeMm3(), 1e-6 * $a->volumeMm3());
            self::assertEqualsWithDelta($a->surfaceMm2(), $b->surfaceMm2(), 1e-6 * $a->surfaceMm2());
            self::assertEqualsWithDelta($a->centreMm(), $b->centreMm(), 1e-6 * $l);
            self::assertGreaterThan(
                Profile::of([$whole], [self::cylinder(0, $l, $bore * 1.05)])->volumeMm3(),
                $a->volumeMm3(),
            );
        }
    }

    /** Two discs of different size with nothing between them: each has both its faces. */
    public function test_two_pieces_apart(): void
    {
        $p = Profile::of([self::cylinder(0, 10, 40), self::cylinder(15, 35, 20)], []);
        self::assertEqualsWithDelta(M_PI * (2 * 400 + 40 * 10 + 2 * 100 + 20 * 20), $p->surfaceMm2(), 1e-6);
        self::assertEqualsWithDelta(M_PI * (400 * 10 + 100 * 20), $p->volumeMm3(), 1e-6);
    }

    public function test_nothing_is_nothing(): void
    {
        $p = Profile::of([], []);
        self::assertTrue($p->isEmpty());
        self::assertSame([0.0, 0.0, 0.0], [$p->volumeMm3(), $p->surfaceMm2(), $p->centreMm()]);
        self::assertSame([], Outline::round([]));
    }

    /** The line round two equal circles is twice the distance and once the circle long (belt round two pulleys). */
    public function test_outline_round_two_bosses(): void
    {
        $outline = Outline::round([[0, 0, 10], [50, 0, 10]]);
        $length = 0.0;
        foreach ($outline as $i => [$x, $y]) {
            [$nx, $ny] = $outline[($i + 1) % count($outline)];
            $length += hypot($nx - $x, $ny - $y);
        }
        self::assertEqualsWithDelta(2 * 50 + 2 * M_PI * 10, $length, 0.1);
    }

    /** Where stretches overlap the larger counts, whichever comes first; a bore off its axis may leave no wall. */
    public function test_what_overlaps(): void
    {
        foreach ([[40, 30], [30, 40]] as [$first, $second]) {
            $p = Profile::of([self::cylinder(0, 20, $first), self::cylinder(10, 30, $second)], []);
            $alone = $first === 40 ? M_PI * (400 * 20 + 225 * 10) : M_PI * (225 * 10 + 400 * 20);
            self::assertEqualsWithDelta($alone, $p->volumeMm3(), 1e-6);
        }
        $inside = Profile::of([self::cylinder(0, 10, 40)], [self::cylinder(0, 10, 12), self::cylinder(0, 10, 20)]);
        self::assertEqualsWithDelta(M_PI * (400 - 100) * 10, $inside->volumeMm3(), 1e-6);
        // Radius 15 in radius 20, 6 off its axis: it breaks through, and nothing is left to draw.
        self::assertTrue(Profile::of([self::cylinder(0, 10, 40)], [new Segment(0, 10, 15, 15, 6)])->isEmpty());
        self::assertFalse(Profile::of([self::cylinder(0, 10, 40)], [new Segment(0, 10, 15, 15, 4)])->isEmpty());
        // A part in two pieces has two runs.
        self::assertCount(2, Profile::of([self::cylinder(0, 10, 40), self::cylinder(20, 30, 40)], [])->runs());
        self::assertCount(1, Profile::of([self::cylinder(0, 10, 40), self::cylinder(10, 30, 20)], [])->runs());
    }

    /** A step of a segment without length is its start. */
    public function test_a_segment_without_length(): void
    {
        self::assertSame(4.0, (new Segment(5, 5, 4, 9))->at(5));
        self::assertSame(6.5, (new Segment(0, 10, 4, 9))->at(5));
        self::assertTrue(SurfaceType::Bore->hasFinish());
        self::assertTrue(SurfaceType::Shaft->hasFinish());
    }
}
