<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Joint\Body;
use Oldpart\Core\Joint\Bond;
use Oldpart\Core\Joint\Chance;
use Oldpart\Core\Joint\DropIn;
use Oldpart\Core\Joint\Expansion;
use Oldpart\Core\Joint\InUse;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Joint\Shrink;
use Oldpart\Core\Joint\ThreadShear;
use Oldpart\Core\Number\Normal;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\TestCase;

/** Heat and cold, speed, bonds, threads and chances of a joint. */
final class HeatAndChanceTest extends TestCase
{
    /** @return array<string, list<array<string, mixed>>> */
    private static function reference(): array
    {
        return json_decode(
            (string) file_get_contents(__DIR__.'/../reference/drop_in_scipy.json'),
            true,
            32,
            JSON_THROW_ON_ERROR,
        );
    }

    private static function steel(string $name = 'medium-carbon steel, normalised'): Material
    {
        return Material::named($name);
    }

    /** By hand: steel 60 mm, 60 µm tight, d/1000 = 60 µm of room wanted: 0.12/(11.5e-6 · 60) = 173.9 K over 20 °C. */
    public function test_how_hot(): void
    {
        $shrink = Shrink::of(60, 0.06, self::steel(), self::steel(), 20);
        self::assertEqualsWithDelta(193.9, $shrink->heatOuterToC, 0.05);
        self::assertTrue($shrink->heatAllowed);
        self::assertNull($shrink->chillInnerToC, 'liquid nitrogen shrinks steel 60 mm by 0.112 mm only');
        self::assertEqualsWithDelta(
            0.02,
            Shrink::of(10, 0.01, self::steel(), self::steel(), 20)->clearanceMm,
            1e-12,
            'at least 0.02 mm',
        );
        $hard = Shrink::of(25, 0.03, self::steel(), self::steel('bearing or tool steel, hardened'), 20);
        self::assertFalse($hard->heatAllowed, 'hardened steel stands 120 °C');
        self::assertContains('too-hot', array_map(static fn (Note $n): string => $n->code, $hard->notes));
    }

    /** By hand, in a warm room: 5 µm on 60 mm at α 11.5e-6 is 7.25 K below the room's 35 °C, still above 20. */
    public function test_how_cold_in_a_warm_room(): void
    {
        $shrink = Shrink::of(60, 0.005, self::steel(), self::steel(), 35, 0.0);
        self::assertEqualsWithDelta(27.75, (float) $shrink->chillInnerToC, 0.005);
        self::assertEqualsWithDelta(42.25, $shrink->heatOuterToC, 0.005);
    }

    /**
     * Mean contraction toward −196 °C: steel 8.8, bronze 14, aluminium 18 e-6/K (general handbook knowledge); within 6
     * %. A household freezer gives steel about 0.00045 in per inch (common practice).
     */
    public function test_how_cold(): void
    {
        foreach ([[11.7e-6, 8.8e-6], [18e-6, 14e-6], [23.5e-6, 18e-6]] as [$warm, $cold]) {
            self::assertEqualsWithDelta($cold * 216, -Expansion::strain($warm, -196), 0.06 * $cold * 216);
        }
        self::assertEqualsWithDelta(0.00045, Expansion::strain(11.7e-6, 20) - Expansion::strain(11.7e-6, -18), 0.00003);
        foreach ([0.0001, 0.0008, 0.0015] as $strain) {
            $at = Expansion::chilledBy(11.7e-6, $strain);
            self::assertEqualsWithDelta(-$strain, Expansion::strain(11.7e-6, (float) $at), 1e-12);
        }
        self::assertNull(Expansion::chilledBy(11.7e-6, 0.0025));
        $shrink = Shrink::of(30, 0.02, self::steel('aluminium alloy, wrought, aged'), self::steel(), 20);
        self::assertNotNull($shrink->chillInnerToC);
        // What a source leaves to do: the more it shrinks the less is left, and the cooler the other may stay.
        for ($i = 1; $i < 3; $i++) {
            self::assertLessThanOrEqual($shrink->cold[$i - 1]['left_mm'], $shrink->cold[$i]['left_mm']);
            self::assertLessThanOrEqual($shrink->cold[$i - 1]['heat_outer_to_c'], $shrink->cold[$i]['heat_outer_to_c']);
        }
    }

    public function test_what_makes_no_sense_is_refused_by_name(): void
    {
        $bare = new Material('bare', 'unlisted', 200, 0.3, null, null, null, false);
        foreach (
            [
                ['d_mm', static fn () => Shrink::of(0, 0.01, self::steel(), self::steel(), 20)],
                ['interference_max_mm', static fn () => Shrink::of(30, -0.01, self::steel(), self::steel(), 20)],
                ['interference_max_mm', static fn () => Shrink::of(30, 4, self::steel(), self::steel(), 20)],
                ['room_c', static fn () => Shrink::of(30, 0.01, self::steel(), self::steel(), 90)],
                ['clearance_mm', static fn () => Shrink::of(30, 0.01, self::steel(), self::steel(), 20, -1)],
                ['inner.alpha_per_k', static fn () => Shrink::of(30, 0.01, $bare, self::steel(), 20)],
                ['outer.alpha_per_k', static fn () => Shrink::of(30, 0.01, self::steel(), $bare, 20)],
                ['volume_mm3', static fn () => new Body(self::steel(), 0, 1, 20)],
                ['material', static fn () => new Body($bare, 1, 1, 20)],
                ['pitch_mm', static fn () => new ThreadShear(10, 9)],
                ['pitch_mm', static fn () => new ThreadShear(INF, 1.5)],
                ['pitch_mm', static fn () => new ThreadShear(0, -1)],
                ['pitch_mm', static fn () => new ThreadShear(10, NAN)],
                ['pitch_mm', static fn () => new ThreadShear(10, 0)],
                ['tensile_mpa', static fn () => (new ThreadShear(10, 1.5))->engagementMm(0, 400)],
                ['tensile_mpa', static fn () => (new ThreadShear(10, 1.5))->engagementMm(800, 0)],
                ['d_mm', static fn () => Bond::of(0, 1, new Range(0, 0.1))],
                ['interference_mm', static fn () => new Chance(0.1, 0.0, 0.01)],
            ] as [$field, $run]
        ) {
            try {
                $run();
                self::fail("{$field} was taken");
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }

    /**
     * Two lumps cooling, against scipy's solve_ivp (tests/reference/drop_in_scipy.py): the moment it grips and the gap
     * half way, within 2 %.
     */
    public function test_how_long_until_it_grips(): void
    {
        $checked = 0;
        foreach (self::reference()['drop_in'] as $case) {
            $body = static fn (array $p): Body => Body::ring(
                new Material('', 'unlisted', 200, 0.3, $p[2], null, null, false, $p[0], $p[1]),
                $p[3],
                $p[4],
                $p[5],
                $p[6],
            );
            $drop = new DropIn(
                $case['d'],
                $case['delta'],
                $body($case['inner']),
                $body($case['outer']),
                $case['room'],
                $case['h'],
            );
            self::assertEqualsWithDelta($case['gap_at_start_mm'], $drop->gapAfter(0), 1e-6);
            if ($case['gap_at_start_mm'] <= 0) {
                self::assertSame(0.0, $drop->secondsUntil());

                continue;
            }
            self::assertEqualsWithDelta($case['grips_after_s'], $drop->secondsUntil(), 0.02 * $case['grips_after_s']);
            self::assertEqualsWithDelta(
                $case['gap_half_way_mm'],
                $drop->gapAfter($case['grips_after_s'] / 2),
                0.02 * $case['gap_half_way_mm'],
            );
            $before = INF;
            foreach ($drop->curve() as [$seconds, $gap]) {
                self::assertLessThanOrEqual($before, $gap, 'the gap only closes');
                $before = $gap;
            }
            $checked++;
        }
        self::assertGreaterThanOrEqual(2, $checked);
    }

    /**
     * A bronze bush in aluminium loosens with heat, in cast iron it tightens (common practice); by hand 30 mm, 30 µm:
     * (21.5 − 18)e-6 · 30 gives 286 K.
     */
    public function test_in_use(): void
    {
        $bronze = Material::named('leaded tin bronze (bearing)');
        $aluminium = Material::named('aluminium casting alloy');
        $iron = Material::named('grey cast iron, ordinary');
        self::assertLessThan(0.03, InUse::interferenceAt(30, 0.03, $bronze, $aluminium, 100, 100));
        self::assertGreaterThan(0.03, InUse::interferenceAt(30, 0.03, $bronze, $iron, 100, 100));
        self::assertEqualsWithDelta(20 + 0.03 / (3.5e-6 * 30), InUse::goneAtC(30, 0.03, $bronze, $aluminium), 0.1);
        self::assertNull(InUse::goneAtC(30, 0.03, $bronze, $iron));
        self::assertEqualsWithDelta(
            0.0,
            InUse::interferenceAt(
                30,
                0.03,
                $bronze,
                $aluminium,
                (float) InUse::goneAtC(30, 0.03, $bronze, $aluminium),
                (float) InUse::goneAtC(30, 0.03, $bronze, $aluminium),
            ),
            1e-9,
        );
    }

    /**
     * Rotating discs (Timoshenko): a solid disc of one metal grows at its rim by ρω²b³(1 − ν)/(4E). A hub of the same
     * metal on a solid shaft: the fit is gone when the sum of both is, worked by hand for steel 50 in 100 with 50 µm.
     */
    public function test_speed_that_lets_go(): void
    {
        $steel = new Material('steel', 'steel', 207, 0.29, 11.7e-6, 350, 420, false, 7850);
        $fit = new PressFit(50, 0, 100, 40, new Range(0.05, 0.05), $steel, $steel);
        [$b, $c] = [0.025, 0.05];
        $loss = ((2 * 7850 * $b) / (4 * 207e9)) * (3.29 * $c ** 2 + 0.71 * $b ** 2 - 0.71 * $b ** 2) * 1000;
        self::assertEqualsWithDelta($loss, InUse::lossPerSpeedSquared($fit), 1e-6 * $loss);
        self::assertEqualsWithDelta((sqrt(0.05 / $loss) * 60) / (2 * M_PI), InUse::goneAtRpm($fit, 0.05), 1);
        self::assertNull(InUse::goneAtRpm($fit, 0.0));
    }

    /**
     * By hand: 20 × 30 mm is 1885 mm²; a third of 12 to 25 MPa is 7.54 to 15.7 kN, at 10 mm radius 75 to 157 N·m; half
     * when hot.
     */
    public function test_a_bond(): void
    {
        $bond = Bond::of(20, 30, new Range(0.03, 0.08));
        self::assertEqualsWithDelta([7540, 15708], [$bond->holdAxialN->min, $bond->holdAxialN->max], 1);
        self::assertEqualsWithDelta(75.4, $bond->holdTorqueNm->min, 0.05);
        $hot = Bond::of(20, 30, new Range(0.0, 0.3), 150);
        self::assertEqualsWithDelta(3770, $hot->holdAxialN->min, 1);
        self::assertSame(
            ['bond-hot', 'bond-gap', 'bond-clean'],
            array_map(static fn (Note $n): string => $n->code, $hot->notes),
        );
    }

    /**
     * Tensile stress areas as ISO 898-1 prints them, from memory: M6 20.1, M8 36.6, M10 58.0, M12 84.3, M16 157, M20
     * 245 mm². Shear areas on the basic profile: by hand 0.75 π K and 0.875 π D a millimetre (FED-STD-H28, E − K =
     * 0.433 P, D − E = 0.6495 P).
     */
    public function test_threads(): void
    {
        foreach (
            ['6 1' => 20.1, '8 1.25' => 36.6, '10 1.5' => 58.0, '12 1.75' => 84.3, '16 2' => 157, '20 2.5' => 245] as $thread => $area
        ) {
            [$d, $p] = array_map(floatval(...), explode(' ', $thread));
            self::assertEqualsWithDelta($area, (new ThreadShear($d, $p))->stressMm2(), 0.005 * $area);
        }
        $m10 = new ThreadShear(10, 1.5);
        self::assertEqualsWithDelta(0.75 * M_PI * $m10->minorMm, $m10->externalMm2(1), 1e-3);
        self::assertEqualsWithDelta(0.875 * M_PI * 10, $m10->internalMm2(1), 1e-3);
        // Like in like: somewhat under the bolt's own diameter, as nuts are made 0.8 D high; a weak casting wants more.
        self::assertEqualsWithDelta(0.55 * 10, $m10->engagementMm(800, 800), 1.0);
        self::assertGreaterThan(2 * $m10->engagementMm(800, 800), $m10->engagementMm(800, 120));
    }

    /** Against scipy: quad over the uniform, norm.cdf (tests/reference/drop_in_scipy.py). */
    public function test_chances_are_exact(): void
    {
        foreach (self::reference()['normal'] as $row) {
            self::assertEqualsWithDelta(
                $row['below'],
                Normal::below($row['z']),
                1e-9 * max(1.0, abs($row['z'])),
                "z {$row['z']}",
            );
        }
        foreach (self::reference()['chance'] as $row) {
            self::assertEqualsWithDelta(
                $row['below'],
                (new Chance($row['low'], $row['high'], $row['sigma']))->below($row['x']),
                1e-8,
            );
        }
        self::assertEqualsWithDelta(0.25, (new Chance(0, 0.04, 0))->below(0.01), 1e-12);
        self::assertEqualsWithDelta(0.5, (new Chance(0.02, 0.02, 0.003))->below(0.02), 1e-9);
        // It only rises, from nothing to certain.
        $chance = new Chance(0.001, 0.035, 0.004);
        $before = 0.0;
        for ($x = -0.03; $x < 0.07; $x += 0.001) {
            self::assertGreaterThanOrEqual($before, $chance->below($x));
            $before = $chance->below($x);
        }
        self::assertEqualsWithDelta(1.0, $before, 1e-9);
    }

    /**
     * By hand: iron at 120 °C opens 30 mm by 10.5e-6 · 30 · 100 = 31.5 µm, so 1 to 35 µm tight becomes 3.5 tight to
     * 30.5 open.
     */
    public function test_the_gap_at_any_temperatures(): void
    {
        $in = [
            'd_mm' => 30,
            'interference_mm' => ['min' => 0.001, 'max' => 0.035],
            'inner' => ['name' => 'leaded tin bronze (bearing)'],
            'outer' => ['name' => 'grey cast iron, ordinary'],
            'inner_c' => 20,
            'outer_c' => 120,
        ];
        $gap = Sums::run('gap-at', $in)['clearance_mm'];
        self::assertEqualsWithDelta([-0.0035, 0.0305], [$gap['min'], $gap['max']], 1e-9);
        $this->expectException(BadInput::class);
        Sums::run('gap-at', [...$in, 'inner_c' => -300]);
    }
}
