<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Catalogue;

use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Fit\PlainBearing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What is typical of a metal has a scatter, so no formula pins it down: it is held to typical figures of handbooks, from
 * memory, written down a second time here, so that a slip of the pen in the table shows.
 */
final class TypicalFiguresTest extends TestCase
{
    /**
     * E GPa, ν, expansion 1e-6/K, density kg/m³, specific heat J/kgK, conductivity W/mK, yield and tensile MPa, heat to °C.
     *
     * @return list<array{string, ?float, ?float, ?float, ?float, ?float, ?float, ?float, ?float, ?float}>
     */
    public static function metals(): array
    {
        return [
            ['low-carbon steel, cold drawn', 205, 0.29, 11.7, 7870, 480, 51, 350, 420, 300],
            ['leaded free-cutting steel', 205, 0.29, 11.7, 7870, 480, 51, 380, 450, 250],
            ['medium-carbon steel, normalised', 205, 0.29, 11.5, 7850, 480, 49, 370, 620, 300],
            ['alloy steel, quenched and tempered', 207, 0.29, 11.7, 7850, 475, 42, 700, 900, 250],
            ['bearing or tool steel, hardened', 207, 0.29, 11.9, 7810, 475, 43, 1700, 2000, 120],
            ['stainless, austenitic', 193, 0.29, 16.5, 8000, 500, 16, 215, 520, 300],
            ['grey cast iron, ordinary', 100, 0.24, 10.5, 7150, 490, 50, null, 180, 250],
            ['grey cast iron, good (or continuous cast bar)', 115, 0.25, 10.8, 7200, 490, 48, null, 250, 250],
            ['ductile iron', 169, 0.28, 11.0, 7100, 460, 36, 300, 450, 300],
            ['malleable iron', 170, 0.26, 11.5, 7300, 510, 45, 220, 350, 300],
            ['leaded tin bronze (bearing)', 100, 0.34, 18.0, 8900, 380, 59, 125, 240, 200],
            ['tin bronze', 105, 0.34, 18.0, 8800, 380, 63, 150, 310, 200],
            ['aluminium bronze', 115, 0.33, 16.2, 7600, 375, 50, 250, 590, 250],
            ['sintered bronze, oil-filled', 60, 0.20, 18.0, 6600, 400, 30, 75, 120, 80],
            ['free-cutting brass', 97, 0.34, 20.5, 8500, 380, 115, 140, 340, 200],
            ['aluminium alloy, wrought, aged', 69, 0.33, 23.5, 2700, 896, 167, 270, 310, 150],
            ['aluminium casting alloy', 71, 0.33, 21.5, 2680, 963, 150, 130, 220, 150],
            ['white metal, tin base', 53, 0.35, 23.0, 7380, 230, 55, 45, 80, null],
            ['white metal, lead base', 29, 0.36, 25.0, 9700, 150, 25, 25, 70, null],
            ['acetal', 2.9, 0.38, 110, 1410, 1470, 0.3, 65, 70, 60],
            ['nylon', 2.8, 0.39, 85, 1140, 1670, 0.25, 60, 75, 60],
            ['unknown steel', 205, 0.29, 11.7, 7850, 480, 50, 200, 330, 200],
            ['unknown iron casting', 90, 0.25, 10.5, 7100, 490, 45, null, 120, 200],
            ['unknown aluminium', 69, 0.33, 23, 2700, 900, 130, 70, 120, 120],
            ['hardwood', 11, null, 5, 700, 1700, 0.2, null, null, null],
        ];
    }

    #[DataProvider('metals')]
    public function test_each_metal(string $name, ?float ...$wanted): void
    {
        $metal = Material::named($name);
        $alpha = $metal->alphaPerK === null ? null : round(1e6 * $metal->alphaPerK, 6);
        self::assertSame($wanted, [
            $metal->eGpa, $metal->nu, $alpha, $metal->densityKgM3, $metal->specificHeatJKgK, $metal->conductivityWmK,
            $metal->yieldMpa, $metal->tensileMpa, $metal->heatToC,
        ]);
    }

    public function test_there_are_no_others(): void
    {
        self::assertEqualsCanonicalizing(array_column(self::metals(), 0), array_map(static fn (Material $m): string => $m->name, Material::all()));
    }

    /** Nobody knows less of a metal than the unknown one of its family: it is the weakest and stands the least heat, but for what is known to stand less. */
    public function test_an_unknown_metal_is_taken_as_the_weakest(): void
    {
        foreach (['steel' => 'unknown steel', 'cast iron' => 'unknown iron casting', 'aluminium' => 'unknown aluminium'] as $family => $unknown) {
            $least = Material::named($unknown);
            foreach (Material::all() as $metal) {
                if ($metal->family === $family) {
                    self::assertLessThanOrEqual($metal->tensileMpa, $least->tensileMpa, $metal->name);
                    $metal->yieldMpa === null || self::assertLessThanOrEqual($metal->yieldMpa, $least->yieldMpa ?? 0.0, $metal->name);
                }
            }
        }
    }

    /** Pressed together: common practice, no source; what is not listed has all that is. */
    public function test_friction(): void
    {
        $rows = array_map(static fn (array $r): array => [...$r['pair'], $r['state'], $r['low'], $r['high']], Table::rows('friction'));
        self::assertEqualsCanonicalizing([
            ['steel', 'steel', 'oiled', 0.08, 0.12], ['steel', 'steel', 'dry', 0.12, 0.2], ['steel', 'cast iron', 'oiled', 0.1, 0.15],
            ['steel', 'bronze', 'oiled', 0.06, 0.12], ['cast iron', 'bronze', 'oiled', 0.06, 0.12], ['steel', 'aluminium', 'oiled', 0.05, 0.1],
        ], $rows);
        $unlisted = Friction::between(Material::named('acetal'), Material::named('hardwood'));
        self::assertSame([min(array_column($rows, 3)), max(array_column($rows, 4))], [$unlisted->low, $unlisted->high]);
    }

    /**
     * What a plain bearing stands, from handbooks' tables in psi, ft/min and psi·ft/min, from memory: sintered bronze 2000,
     * 1200, 50 000; leaded tin bronze 3500, 750, 75 000; acetal and nylon 1000, 600, 3000. One psi is 6.895 kPa.
     */
    public function test_what_plain_bearings_stand(): void
    {
        $psi = 0.006895;
        $ftMin = 0.3048 / 60;
        foreach ([
            'sintered bronze, oil-filled' => [2000, 1200, 50000], 'leaded tin bronze (bearing)' => [3500, 750, 75000],
            'tin bronze' => [4000, 500, 50000], 'aluminium bronze' => [4500, 300, 50000],
            'acetal' => [1000, 600, 3000], 'nylon' => [1000, 600, 3000],
        ] as $metal => [$p, $v, $pv]) {
            $limits = PlainBearing::of(30.0, 30.0, 100.0, 100.0, $metal)->limits ?? [];
            self::assertEqualsWithDelta($p * $psi, $limits['p_mpa'] ?? 0, 0.025 * $p * $psi, $metal);
            self::assertEqualsWithDelta($v * $ftMin, $limits['v_m_s'] ?? 0, 0.025 * $v * $ftMin, $metal);
            // The table has plastics to a tenth.
            self::assertEqualsWithDelta($pv * $psi * $ftMin, $limits['pv'] ?? 0, max(0.0055, 0.02 * $pv * $psi * $ftMin), $metal);
        }
    }

    /** Peak to valley by how it was made, µm: common practice, no source; drilled from Ra 3.2 to 6.3 by five. */
    public function test_how_rough(): void
    {
        foreach ([
            'turned' => [10, 25], 'bored' => [10, 16], 'reamed' => [4, 10], 'ground' => [2, 4], 'honed' => [1, 2],
            'drilled' => [5 * 3.2, 5 * 6.3 + 0.5],
        ] as $how => $rz) {
            $row = array_column(Table::rows('finishes'), 'rz_um', 'code')[$how];
            self::assertEquals($rz, $row, $how);
        }
    }

    /** ISO 898-1 (to M16), ISO 3506-1 and SAE J429, in MPa and ksi, from memory. */
    public function test_what_screws_stand(): void
    {
        $proof = array_column(Table::read('bolt-classes')['classes'], 'proof_mpa', 'code');
        foreach (['4.6' => 225, '5.6' => 280, '8.8' => 580, '10.9' => 830, '12.9' => 970, 'a2-70' => 450, 'unmarked' => 225] as $mark => $mpa) {
            self::assertEquals($mpa, $proof[$mark], (string) $mark);
        }
        foreach (['sae-2' => 55, 'sae-5' => 85, 'sae-8' => 120] as $mark => $ksi) {
            self::assertEqualsWithDelta(6.895 * $ksi, $proof[$mark], 0.5, $mark);
        }
        // A class says it itself: the first figure a hundredth of its strength, the second what of it is its yield; proof is 0.9 of that or a little more.
        foreach (['4.6', '5.6', '8.8', '10.9', '12.9'] as $mark) {
            [$strength, $yield] = explode('.', $mark);
            $yields = 100 * (int) $strength * (int) $yield / 10;
            self::assertEqualsWithDelta(0.92 * $yields, $proof[$mark], 0.03 * $yields, $mark);
        }
        // Torque by the nut factor: 0.2 dry, 0.15 oiled, 0.12 with paste, give or take, common practice.
        foreach (['dry' => 0.2, 'oiled' => 0.15, 'paste' => 0.12] as $how => $k) {
            $range = array_column(Table::read('bolt-classes')['lubrication'], 'k', 'code')[$how];
            self::assertEqualsWithDelta($k, array_sum($range) / 2, 1e-9, $how);
            self::assertEqualsWithDelta(0.04, $range[1] - $range[0], 1e-9, $how);
        }
    }

    /** ISO 18265 table A.1: to 650 HV its Brinell is 0.95 of its Vickers, to the nearest whole one above 100. */
    public function test_brinell_goes_with_vickers(): void
    {
        foreach (Table::rows('hardness') as [, $hv, $hb]) {
            if ($hv <= 650) {
                self::assertEqualsWithDelta(0.95 * $hv, $hb, $hv < 100 ? 0.06 : 0.51, "{$hv} HV");
            } else {
                self::assertNull($hb);
            }
        }
    }

    /** Inch pitches of ISO 5296 and round teeth: twice the pitch line's distance over the pulley, in thou, from makers' tables, from memory. */
    public function test_belts(): void
    {
        $belts = array_column(Table::read('belts')['belts'], null, 'label');
        foreach ([
            'MXL' => [0.08, 20], 'XL' => [0.2, 20], 'L' => [0.375, 30], 'H' => [0.5, 54], 'XH' => [0.875, 110], 'XXH' => [1.25, 120],
        ] as $label => [$pitchIn, $thou]) {
            self::assertEqualsWithDelta(25.4 * $pitchIn, $belts[$label]['pitch_mm'], 1e-9, $label);
            self::assertEqualsWithDelta(0.0254 * $thou, $belts[$label]['inside_mm'], 0.0006, $label);
        }
        foreach (['2M' => [2, 20], '3M' => [3, 30], '5M' => [5, 45], '8M' => [8, 54], '14M' => [14, 110]] as $label => [$mm, $thou]) {
            self::assertEquals($mm, $belts[$label]['pitch_mm']);
            self::assertEqualsWithDelta(0.0254 * $thou, $belts[$label]['inside_mm'], 0.0006, $label);
        }
        // Flat metric teeth by the pitch: a little under a fifth of it.
        foreach (['T2.5' => 2.5, 'T5' => 5, 'T10' => 10] as $label => $mm) {
            self::assertEquals($mm, $belts[$label]['pitch_mm']);
            self::assertEqualsWithDelta(0.187 * $mm, $belts[$label]['inside_mm'], 0.035 * $mm, $label);
        }
    }

    /** How far a screw goes in, in its own outside: common practice, no source. */
    public function test_how_far_a_screw_goes_in(): void
    {
        self::assertEquals(
            ['steel' => 1.0, 'cast iron' => 1.5, 'bronze' => 1.5, 'aluminium' => 2.0, 'white metal' => 2.0, 'plastic' => 2.0, 'wood' => 4.0],
            Table::read('engagement')['families'],
        );
    }

    /** How far each mending goes, on diameter or length: common practice, no source. */
    public function test_how_far_a_mending_goes(): void
    {
        self::assertEquals([
            'knurl' => 0.15, 'plate' => 0.2, 'weld' => null, 'sleeve-shaft' => null, 'sleeve-bore' => null, 'compound' => 0.25,
            'compound-bore' => 0.25, 'shim' => 1.0, 'other-length' => null, 'slot-key' => 2.0,
        ], array_column(Table::rows('deviation-ways'), 'up_to_mm', 'code'));
    }

    /** Depth of what was done to a surface, a side: common practice, no source. */
    public function test_how_deep_a_skin_is(): void
    {
        self::assertEquals([
            'case-hardened' => [0.5, 1.5], 'hardened' => null, 'nitrided' => [0.1, 0.5], 'ground' => null, 'chromed' => [0.02, 0.5],
            'plated' => [0.005, 0.025], 'welded' => null, 'sprayed' => [0.3, 1.5],
        ], array_column(Table::rows('treatments'), 'skin_mm', 'code'));
    }

    /**
     * Where to begin, m/min with high-speed steel and with carbide: common practice, no source. In feet a minute the old
     * rules of the trade: mild steel about 90, cast iron 60, bronze 110, brass 230, aluminium 300.
     */
    public function test_where_to_begin_cutting(): void
    {
        $speeds = [];
        foreach (Table::read('cutting-speeds')['metals'] as $metal) {
            $speeds[$metal['family'] ?? $metal['names'][0]] = [$metal['hss'], $metal['carbide']];
        }
        self::assertEquals([
            'stainless, austenitic' => [[12, 20], [70, 120]], 'bearing or tool steel, hardened' => [null, [40, 80]],
            'alloy steel, quenched and tempered' => [[10, 16], [60, 110]], 'leaded free-cutting steel' => [[35, 50], [120, 220]],
            'free-cutting brass' => [[50, 90], [150, 300]], 'aluminium bronze' => [[15, 25], [60, 120]],
            'sintered bronze, oil-filled' => [[40, 70], [100, 200]], 'steel' => [[22, 32], [90, 160]], 'cast iron' => [[15, 22], [60, 110]],
            'bronze' => [[25, 45], [100, 200]], 'aluminium' => [[60, 120], [200, 400]], 'white metal' => [[60, 90], [100, 200]],
            'plastic' => [[60, 120], [100, 200]],
        ], $speeds);
        foreach (['steel' => 90, 'cast iron' => 60, 'bronze' => 110, 'free-cutting brass' => 230, 'aluminium' => 300] as $metal => $feet) {
            self::assertEqualsWithDelta(0.3048 * $feet, array_sum($speeds[$metal][0]) / 2, 0.1 * $feet * 0.3048, $metal);
        }
    }

    /**
     * What instruments are good for, µm: last digit, limits of error, how well one repeats, the feel it takes, its master. For
     * callipers ISO 13385-1, for micrometers ISO 3611, both from memory; the rest common practice, no source.
     */
    public function test_instruments(): void
    {
        $figures = [
            'rule' => [500, 300, 200, 0, 0],
            'calliper' => [10, 20, 10, 0, 0],
            'outside-micrometer' => [1, 4, 1, 0, 0],
            'indicating-micrometer' => [1, 0, 0.5, 0, 2],
            'telescoping' => [1, 4, 1, 10, 0],
            'small-hole' => [1, 4, 1, 10, 0],
            'three-point' => [1, 4, 2, 0, 2],
            'dial-bore' => [2, 4, 2, 0, 2],
            'depth-micrometer' => [10, 5, 5, 0, 0],
            'pins' => [25.4, 2.5, 1, 0, 0],
            'height-gauge' => [10, 40, 10, 0, 0],
            'dial-indicator' => [2, 8, 2, 0, 0],
            'unchecked-bore' => [10, 50, 20, 0, 0],
        ];
        $rows = array_column(Table::rows('instruments'), null, 'code');
        self::assertEqualsCanonicalizing(array_keys($figures), array_keys($rows));
        foreach ($figures as $code => $micro) {
            $its = array_map(
                static fn (string $figure): float => 1000 * (float) $rows[$code][$figure],
                ['resolution_mm', 'mpe_mm', 'repeatability_mm', 'feel_mm', 'master_u_mm'],
            );
            self::assertEqualsWithDelta($micro, $its, 1e-9, $code);
        }
    }
}
