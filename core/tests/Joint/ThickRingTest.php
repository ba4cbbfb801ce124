<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Joint\NestedRings;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Joint\ThickRing;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** Rings under pressure against limits that any textbook on strength of materials gives. */
final class ThickRingTest extends TestCase
{
    private static function fit(float $d, float $bore, float $od): PressFit
    {
        $steel = new Material('steel', 'steel', 207, 0.29, 11.7e-6, 350, 420, false);

        return new PressFit($d, $bore, $od, 20, new Range(0.01, 0.01), $steel, $steel);
    }

    /** Thin ring: hoop = p r / t, within t/2r. Barlow; any strength of materials. */
    public function test_a_thin_ring(): void
    {
        foreach ([0.5, 1.0, 2.0] as $wall) {
            self::assertEqualsWithDelta(50 / $wall, ThickRing::outerRatio(self::fit(100, 0, 100 + 2 * $wall)), 1.0);
            self::assertEqualsWithDelta(
                -50 / $wall,
                ThickRing::innerBoreHoop(self::fit(100, 100 - 2 * $wall, 150), 1.0),
                1.05,
            );
        }
    }

    /** A hole in an endless plate: hoop = p at its edge, so the ratio goes to 1. */
    public function test_an_endless_hub(): void
    {
        self::assertEqualsWithDelta(1.0, ThickRing::outerRatio(self::fit(20, 0, 20000)), 1e-5);
        self::assertEqualsWithDelta(
            1.0,
            ThickRing::innerRatio(self::fit(20, 0, 40)),
            1e-12,
            'a solid plug: the same all round',
        );
    }

    /** A pinhole doubles the stress at its edge (Kirsch for equal pressure all round: 2 p). */
    public function test_a_pinhole_doubles_the_stress(): void
    {
        self::assertEqualsWithDelta(-2.0, ThickRing::innerBoreHoop(self::fit(50, 0.05, 80), 1.0), 1e-4);
    }

    /**
     * The hoop stress over the wall balances the pressure: ∫ σ dr from bore to outside = p d/2 (statics of half a
     * ring).
     */
    public function test_half_a_ring_is_in_balance(): void
    {
        foreach ([[30.0, 40.0], [30.0, 60.0], [50.0, 100.0]] as [$d, $od]) {
            $fit = self::fit($d, 0, $od);
            $p = 10.0;
            // Lamé: σ = A + B/r², with σ(bore) = p·ratio and radial −p there: A = (σ + (−p))/2 at the bore.
            $hoop = $p * ThickRing::outerRatio($fit);
            $a = ($hoop - $p) / 2;
            $b = (($hoop + $p) / 2) * ($d / 2) ** 2;
            $force = ($a * ($od - $d)) / 2 + $b * (2 / $d - 2 / $od);
            self::assertEqualsWithDelta(($p * $d) / 2, $force, 1e-9);
            // At the outside the hoop strain alone makes the growth: σ(outside)/E · D.
            $outside = $a + $b / ($od / 2) ** 2;
            self::assertEqualsWithDelta(($outside / 207e3) * $od, ThickRing::outerGrowth($fit, $p), 1e-12);
        }
    }

    /** Von Mises of hoop s and radial −p without axial stress: √(s² + s p + p²); at equal s and p that is p √3. */
    public function test_von_mises(): void
    {
        self::assertEqualsWithDelta(10 * sqrt(3), ThickRing::outerMises(self::fit(20, 0, 20000), 10), 1e-3);
        self::assertEqualsWithDelta(
            10.0,
            ThickRing::innerMises(self::fit(20, 0, 40), 10),
            1e-12,
            'equal all round in the plane: p',
        );
    }

    /** Everything is linear in the pressure, and a stiffer pair presses harder for the same interference. */
    public function test_linear_and_stiffer(): void
    {
        $fit = self::fit(30, 20, 60);
        foreach (
            [
                ThickRing::innerBoreHoop(...),
                ThickRing::boreClosing(...),
                ThickRing::outerGrowth(...),
                ThickRing::outerMises(...),
                ThickRing::innerMises(...),
            ] as $of
        ) {
            self::assertEqualsWithDelta(3 * $of($fit, 5.0), $of($fit, 15.0), 1e-9);
        }
        self::assertGreaterThan(
            ThickRing::stiffness(self::fit(30, 26, 60)),
            ThickRing::stiffness($fit),
            'a thicker bush',
        );
        self::assertGreaterThan(
            ThickRing::stiffness($fit),
            ThickRing::stiffness(self::fit(30, 20, 90)),
            'a thicker hub',
        );
        // Twice the size at the same interference: half the pressure (p ∝ δ/d).
        self::assertEqualsWithDelta(ThickRing::stiffness($fit) / 2, ThickRing::stiffness(self::fit(60, 40, 120)), 1e-9);
    }

    /**
     * A thin ring has given all round at σ_y t/r (Barlow); a thick one always bears more than its first yield, less
     * than the elastic numbers claim beyond.
     */
    public function test_a_ring_that_has_given(): void
    {
        self::assertEqualsWithDelta((350 * 1) / 50, ThickRing::plasticPressure(self::fit(100, 0, 102)), 0.1);
        foreach ([40.0, 60.0, 120.0] as $od) {
            $fit = self::fit(30, 0, $od);
            // Tresca's first yield: p (ratio + 1) = σ_y.
            self::assertGreaterThan(350 / (ThickRing::outerRatio($fit) + 1), ThickRing::plasticPressure($fit));
        }
    }

    /**
     * Nothing is NaN or infinite over a hundred thousand joints drawn at random, and every number has its sign
     * (seeded).
     */
    public function test_a_hundred_thousand_joints(): void
    {
        mt_srand(20261125);
        $even = static fn (float $from, float $to): float => $from + (($to - $from) * mt_rand()) / mt_getrandmax();
        $bad = 0;
        for ($i = 0; $i < 100000; $i++) {
            $d = $even(2, 500);
            $material = static fn (): Material => new Material(
                '',
                'steel',
                $even(1, 400),
                $even(0, 0.49),
                1e-5,
                $even(5, 2000),
                $even(10, 2500),
                mt_rand(0, 1) === 1,
                $even(500, 20000),
            );
            $fit = new PressFit(
                $d,
                mt_rand(0, 1) * $even(0, 0.99 * $d),
                $d * $even(1.01, 5),
                $even(1, 500),
                new Range(0.0, $even(0, 0.01 * $d)),
                $material(),
                $material(),
            );
            $pressure = $fit->interferenceMm->max * ThickRing::stiffness($fit);
            foreach (
                [
                    $pressure,
                    ThickRing::outerRatio($fit) - 1,
                    ThickRing::innerRatio($fit),
                    ThickRing::boreClosing($fit, $pressure),
                    ThickRing::outerGrowth($fit, $pressure),
                    ThickRing::outerMises($fit, $pressure),
                    ThickRing::innerMises($fit, $pressure),
                    -ThickRing::innerBoreHoop($fit, $pressure),
                ] as $value
            ) {
                $bad += (int) (! is_finite($value) || $value < 0);
            }
            // From Lamé: a ring squeezed from outside closes at its bore by at most 1/√(1 − ν²) of what its outside
            // gives, and that is part of δ.
            $bad +=
                (int) (ThickRing::boreClosing($fit, $pressure) >
                    $fit->interferenceMm->max / sqrt(1 - (float) $fit->inner->nu ** 2) + 1e-9);
        }
        self::assertSame(0, $bad);
    }

    /**
     * Two rings deep. A liner of the housing's own metal, in without interference, is housing: the bush sees one ring
     * to the outside. A liner alone is the two-part joint. And what a bush does in a stiff housing it does less in a
     * thin liner that can give.
     */
    public function test_two_rings_deep(): void
    {
        $steel = new Material('steel', 'steel', 207, 0.29, 11.7e-6, 350, 420, false);
        $bronze = Material::named('leaded tin bronze (bearing)');
        $single = new PressFit(30, 22, 80, 20, new Range(0.03, 0.03), $bronze, $steel);
        $pressure = 0.03 * ThickRing::stiffness($single);
        $nested = NestedRings::of([22, 30, 45, 80], 0.03, 0.0, [$bronze, $steel, $steel]);
        self::assertEqualsWithDelta($pressure, $nested->innerPressureMpa, 1e-9 * $pressure);
        self::assertEqualsWithDelta(ThickRing::boreClosing($single, $pressure), $nested->boreClosingMm, 1e-12);
        // The pressure passed on at 45 is Lamé's radial stress there: A − B/r².
        $a = ($pressure * 30 ** 2) / (80 ** 2 - 30 ** 2);
        self::assertEqualsWithDelta(($a * 80 ** 2) / 45 ** 2 - $a, $nested->outerPressureMpa, 1e-9);
        // No bush to speak of: the liner in the housing by itself.
        $liner = new PressFit(45, 30, 80, 20, new Range(0.04, 0.04), $steel, $steel);
        $alone = NestedRings::of([29.9, 30, 45, 80], 0.0, 0.04, [$bronze, $steel, $steel]);
        self::assertEqualsWithDelta(0.04 * ThickRing::stiffness($liner), $alone->outerPressureMpa, 0.01);
        self::assertEqualsWithDelta(
            ThickRing::boreClosing($liner, 0.04 * ThickRing::stiffness($liner)),
            $alone->linerClosingMm,
            1e-9,
        );
        $free = new PressFit(30, 22, 45, 20, new Range(0.03, 0.03), $bronze, $steel);
        self::assertGreaterThan(
            0.03 * ThickRing::stiffness($free),
            $nested->innerPressureMpa,
            'the housing behind it stiffens the liner',
        );
        foreach (
            [
                [[22, 30, 28, 80], $bronze],
                [[22, 30, 45, 80], new Material('bare', 'unlisted', 100, null, null, null, null, false)],
                [[22, 30, 45, 80], new Material('bare', 'unlisted', 0, 0.3, null, null, null, false)],
            ] as [$diameters, $bush]
        ) {
            try {
                NestedRings::of($diameters, 0.03, 0.0, [$bush, $steel, $steel]);
                self::fail('it was taken');
            } catch (BadInput $bad) {
                self::assertContains($bad->field, ['diameters_mm', 'materials']);
            }
        }
    }

    /**
     * The outer part in a housing of its own metal is one ring to the housing's outside: pressure, pull, closing and
     * the movement at 45 are Lamé's for that ring; in a softer housing less, never less than alone.
     */
    public function test_a_joint_backed_by_a_housing(): void
    {
        $steel = new Material('steel', 'steel', 207, 0.29, 11.7e-6, 350, 420, false);
        $bronze = Material::named('leaded tin bronze (bearing)');
        $alone = Press::of(new PressFit(30, 22, 45, 20, new Range(0.01, 0.03), $bronze, $steel));
        $whole = Press::of(new PressFit(30, 22, 80, 20, new Range(0.01, 0.03), $bronze, $steel));
        $backed = Press::of((new PressFit(30, 22, 45, 20, new Range(0.01, 0.03), $bronze, $steel))->in(80, $steel));
        foreach (['pressureMpa', 'outerHoopMpa', 'boreClosingMm', 'holdTorqueNm'] as $what) {
            self::assertEqualsWithDelta(
                $whole->{$what}->max,
                $backed->{$what}->max,
                1e-9 * $whole->{$what}->max,
                $what,
            );
            self::assertGreaterThan(
                $alone->{$what}->min * ($what === 'outerHoopMpa' ? 0.5 : 1),
                $backed->{$what}->min,
                $what,
            );
        }
        // Movement of a ring at radius r under p inside: (p a²/(b² − a²)) ((1 − ν) r + (1 + ν) b²/r)/E, on diameter
        // twice that.
        $u =
            (((2 * $whole->pressureMpa->max * 15 ** 2) / (40 ** 2 - 15 ** 2)) *
                (0.71 * 22.5 + (1.29 * 40 ** 2) / 22.5)) /
            207000;
        self::assertEqualsWithDelta($u, $backed->outerGrowthMm->max, 1e-9);
        self::assertContains('in-a-housing', array_column($backed->notes, 'code'));
        $soft = Press::of(
            (new PressFit(30, 22, 45, 20, new Range(0.01, 0.03), $bronze, $steel))->in(
                80,
                new Material('soft', 'plastic', 3, 0.35, 1e-4, 50, 60, false),
            ),
        );
        self::assertGreaterThan($alone->pressureMpa->max, $soft->pressureMpa->max);
        self::assertLessThan($backed->pressureMpa->max, $soft->pressureMpa->max);
    }

    /**
     * An outside that steps: alike all along it is a plain ring; else what both hold is added, and the pull where it is
     * greatest decides.
     */
    public function test_a_stepped_outside(): void
    {
        $steel = new Material('steel', 'steel', 207, 0.29, 11.7e-6, 350, 420, false);
        $fit = new PressFit(50, 0, 100, 40, new Range(0.05, 0.05), $steel, $steel, new Friction(0.1, 0.1, 'by hand'));
        $plain = Press::along([$fit->stretch(15, 0, 100), $fit->stretch(25, 0, 100)]);
        // Shigley's joint again: 77.6 MPa, hoop 129.4, F = μ p π d L = 48.77 kN.
        self::assertEqualsWithDelta([77.6, 129.4], [$plain->pressureMpa->max, $plain->outerHoopMpa->max], 0.05);
        self::assertEqualsWithDelta(48773, $plain->pressForceN, 40);
        $stepped = Press::along([$fit->stretch(20, 0, 100), $fit->stretch(20, 0, 60)]);
        // By hand, p = E δ (d_o² − d²)/(2 d d_o²): 77.6 and 31.6, mean 54.6; the hoop at 60 is 31.6 · 6100/1100 = 175.
        self::assertEqualsWithDelta(
            [31.6, 77.6, 175.4],
            [$stepped->pressureMpa->min, $stepped->pressureMpa->max, $stepped->outerHoopMpa->max],
            0.3,
        );
        self::assertEqualsWithDelta(0.1 * 54.6 * M_PI * 50 * 40, $stepped->holdAxialN->min, 80);
        self::assertEqualsWithDelta(60.0, $stepped->fit->outerOdMm, 1e-9, 'the stretch that stands least');
        self::assertEqualsWithDelta(40.0, $stepped->fit->lengthMm, 1e-9);
        self::assertContains('stepped', array_column($stepped->notes, 'code'));
        $this->expectException(BadInput::class);
        $fit->stretch(0, 0, 100);
    }
}
