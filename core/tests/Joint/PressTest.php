<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Joint;

use Eris\Generator;
use Eris\TestTrait;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Joint\Roughness;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

final class PressTest extends TestCase
{
    use TestTrait;

    private static function steel(): Material
    {
        return new Material('steel', 'steel', 207, 0.29, 11.7e-6, 350, 420, false);
    }

    /**
     * Shigley, equal materials, solid shaft: p = E δ (d_o² − d²)/(2 d d_o²); 50 in 100, δ 0.050: 77.6 MPa, hub hoop
     * 129.4 MPa.
     */
    public function test_the_textbook_joint(): void
    {
        $press = Press::of(
            new PressFit(
                50,
                0,
                100,
                40,
                new Range(0.05, 0.05),
                self::steel(),
                self::steel(),
                new Friction(0.1, 0.1, 'by hand'),
            ),
        );
        self::assertEqualsWithDelta(77.6, $press->pressureMpa->max, 0.05);
        self::assertEqualsWithDelta(129.4, $press->outerHoopMpa->max, 0.05);
        self::assertNull($press->innerBoreHoopMpa);
        self::assertEqualsWithDelta(0.0, $press->boreClosingMm->max, 1e-12);
        // Statics: F = μ p π d L = 0.1 · 77.625 · π · 50 · 40, T = F · 25 mm.
        self::assertEqualsWithDelta(48773, $press->pressForceN, 40);
        self::assertEqualsWithDelta(48.773 * 25, $press->holdTorqueNm->min, 1);
    }

    /** Axisymmetric finite elements, CalculiX 2.20 (tests/reference/press_fit_ccx.py); displacements within 1 %. */
    public function test_agrees_with_finite_elements(): void
    {
        /** @var array{cases: list<array<string, float>>} $reference */
        $reference = json_decode((string) file_get_contents(__DIR__.'/../reference/press_fit_ccx.json'), true);
        self::assertCount(7, $reference['cases']);
        foreach ($reference['cases'] as $c) {
            $material = static fn (float $e, float $nu): Material => new Material(
                '',
                'unlisted',
                $e / 1000,
                $nu,
                null,
                null,
                null,
                false,
            );
            $press = Press::of(
                new PressFit(
                    $c['d'],
                    $c['di'],
                    $c['do'],
                    $c['length'],
                    new Range($c['delta'], $c['delta']),
                    $material($c['Ei'], $c['ni']),
                    $material($c['Eo'], $c['no']),
                ),
            );
            self::assertEqualsWithDelta(
                $c['bore_closing_mm'],
                $press->boreClosingMm->max,
                max(1e-9, 0.01 * $c['bore_closing_mm']),
            );
            self::assertEqualsWithDelta(
                $c['outer_growth_mm'],
                $press->outerGrowthMm->max,
                0.01 * $c['outer_growth_mm'],
            );
            self::assertEqualsWithDelta($c['pressure_mpa'], $press->pressureMpa->max, 0.01 * $c['pressure_mpa']);
        }
    }

    /** More interference never gives less pressure, holding or closing, and never a better factor. */
    public function test_more_interference_never_gives_less(): void
    {
        $this->forAll(
            Generator\choose(0, 40),
            Generator\choose(0, 40),
            Generator\choose(5, 25),
            Generator\choose(35, 90),
        )->then(function (int $a, int $b, int $bore, int $od): void {
            [$less, $more] = [min($a, $b) / 1000, max($a, $b) / 1000];
            $at = static fn (float $delta): Press => Press::of(
                new PressFit(
                    30,
                    $bore,
                    $od,
                    20,
                    new Range(0, $delta),
                    Material::named('tin bronze'),
                    Material::named('grey cast iron, ordinary'),
                ),
            );
            [$first, $second] = [$at($less), $at($more)];
            self::assertGreaterThanOrEqual($first->pressureMpa->max, $second->pressureMpa->max);
            self::assertGreaterThanOrEqual($first->pressForceN, $second->pressForceN);
            self::assertGreaterThanOrEqual($first->boreClosingMm->max, $second->boreClosingMm->max);
            self::assertLessThanOrEqual($first->outerFactor ?? INF, $second->outerFactor ?? INF);
        });
    }

    /**
     * The two parts together give way by exactly the interference: what the ring grows and the plug shrinks at the
     * joint.
     */
    public function test_the_parts_meet(): void
    {
        $fit = new PressFit(30, 20, 60, 25, new Range(0.03, 0.03), Material::named('tin bronze'), self::steel());
        $p = Press::of($fit)->pressureMpa->max;
        // Lamé: hub bore grows p d/E (ratio + ν), bush outside shrinks p d/E (ratio − ν).
        $grows = (($p * 30) / 207e3) * ((3600 + 900) / (3600 - 900) + 0.29);
        $shrinks = (($p * 30) / 105e3) * ((900 + 400) / (900 - 400) - 0.34);
        self::assertEqualsWithDelta(0.03, $grows + $shrinks, 1e-9);
    }

    /** DIN 7190-1: δ − 0.8 (Rz_i + Rz_o), never below 0. */
    public function test_roughness_takes_its_share(): void
    {
        $fit = static fn (?float $rz): Press => Press::of(
            new PressFit(
                30,
                0,
                60,
                25,
                new Range(0.005, 0.03),
                self::steel(),
                self::steel(),
                null,
                $rz === null ? null : Roughness::measured($rz),
                $rz === null ? null : Roughness::measured($rz),
            ),
        );
        self::assertEqualsWithDelta(0.03 - 0.8 * 0.012, $fit(6.0)->effectiveMm->max, 1e-9);
        self::assertEqualsWithDelta(0.0, $fit(6.0)->effectiveMm->min, 1e-12);
        self::assertContains('roughness-unknown', self::codes($fit(null)));
        self::assertNotContains('roughness-unknown', self::codes($fit(6.0)));
    }

    public function test_cautions_for_brittle_thin_and_yielding(): void
    {
        $iron = Material::named('grey cast iron, ordinary');
        $bronze = Material::named('leaded tin bronze (bearing)');
        self::assertContains(
            'outer-may-crack',
            self::codes(Press::of(new PressFit(30, 24, 40, 25, new Range(0.05, 0.08), $bronze, $iron))),
        );
        self::assertContains(
            'outer-cracks',
            self::codes(Press::of(new PressFit(30, 0, 40, 25, new Range(0.08, 0.12), self::steel(), $iron))),
        );
        self::assertContains(
            'thin-wall',
            self::codes(Press::of(new PressFit(30, 28.4, 60, 25, new Range(0.0, 0.02), $bronze, $iron))),
        );
        self::assertContains(
            'inner-yields',
            self::codes(Press::of(new PressFit(30, 28, 60, 25, new Range(0.01, 0.09), $bronze, self::steel()))),
        );
        self::assertContains(
            'may-be-loose',
            self::codes(Press::of(new PressFit(30, 24, 60, 25, new Range(-0.002, 0.02), $bronze, $iron))),
        );
        self::assertContains(
            'creep',
            self::codes(
                Press::of(new PressFit(30, 24, 60, 25, new Range(0.01, 0.02), Material::named('acetal'), $iron)),
            ),
        );
    }

    public function test_refusals_name_the_field(): void
    {
        $steel = self::steel();
        $tries = [
            'd_mm' => [0, 0, 60, 25, 0.01],
            'inner_bore_mm' => [30, 31, 60, 25, 0.01],
            'outer_od_mm' => [30, 0, 30, 25, 0.01],
            'length_mm' => [30, 0, 60, 0, 0.01],
            'interference_mm' => [30, 0, 60, 25, 5.0],
        ];
        foreach ($tries as $field => [$d, $di, $do, $l, $i]) {
            try {
                new PressFit($d, $di, $do, $l, new Range(0, $i), $steel, $steel);
                self::fail("{$field} should have been refused");
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }

    /**
     * Linear expansion by hand: an aluminium ring (23.6e-6) on a steel shaft (11.7e-6), 30 mm, is 3.6 µm a 10 K tighter
     * in the cold, as much looser in the warm; a perfectly smooth face takes nothing off.
     */
    public function test_cold_is_no_warmth(): void
    {
        $steel = new Material('steel', 'steel', 207, 0.29, 11.7e-6, 350, 420, false);
        $aluminium = new Material('aluminium', 'aluminium', 70, 0.33, 23.6e-6, 250, 300, false);
        $at = static fn (float $c): ?float => (new PressFit(
            30,
            0,
            60,
            25,
            new Range(0.01, 0.03),
            $steel,
            $aluminium,
            runsAtC: $c,
        ))->warmMm();
        self::assertEqualsWithDelta(
            0.01428,
            $at(-20.0),
            0.06 * 0.01428,
            'metals shrink a little less in the cold than they grow in the warm',
        );
        self::assertEqualsWithDelta(-0.01428, $at(60.0), 1e-6);
        self::assertSame(0.0, $at(20.0));
        self::assertSame(0.0, Roughness::measured(0.0)->rzUm->max);
    }

    /** @return list<string> */
    private static function codes(Press $press): array
    {
        return array_map(static fn (Note $n): string => $n->code, $press->notes);
    }
}
