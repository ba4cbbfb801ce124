<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Catalogue;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Drills;
use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\SurfaceKind;
use PHPUnit\Framework\TestCase;

/** Tables typed from memory, held against what else pins them down. */
final class TablesTest extends TestCase
{
    public function test_every_table_names_its_source(): void
    {
        foreach (glob(dirname(__DIR__, 2).'/data/*.json') ?: [] as $file) {
            self::assertNotSame('', Table::source(basename($file, '.json')), $file);
        }
    }

    /** ANSI B94.11M: number drills fall from 0.228 (1) to 0.0135 (80), letters rise from 0.234 (A) to 0.413 (Z). */
    public function test_drills_fall_and_rise(): void
    {
        for ($n = 2; $n <= 80; $n++) {
            self::assertLessThan(Drills::number($n - 1)->mm, Drills::number($n)->mm, "number {$n}");
        }
        for ($l = 'B'; $l !== 'Z'; $l++) {
            self::assertGreaterThan(Drills::letter(chr(ord($l) - 1))->mm, Drills::letter($l)->mm, "letter {$l}");
        }
        self::assertEqualsWithDelta(0.228, Drills::number(1)->in(), 1e-9);
        self::assertEqualsWithDelta(0.0135, Drills::number(80)->in(), 1e-9);
        self::assertEqualsWithDelta(0.25, Drills::letter('E')->in(), 1e-9, 'letter E is the quarter inch');
        self::assertGreaterThan(Drills::number(1)->mm, Drills::letter('A')->mm, 'letters go on where numbers end');
    }

    /**
     * Which metals are judged by tensile strength alone: grey iron, unknown castings, hardened bearing or tool steel
     * (common practice, no source).
     */
    public function test_the_brittle_ones(): void
    {
        $brittle = array_values(
            array_map(
                static fn (Material $m): string => $m->name,
                array_filter(Material::all(), static fn (Material $m): bool => $m->brittle),
            ),
        );
        self::assertSame(
            [
                'bearing or tool steel, hardened',
                'grey cast iron, ordinary',
                'grey cast iron, good (or continuous cast bar)',
                'unknown iron casting',
            ],
            $brittle,
        );
    }

    /** Physics any handbook agrees on: stiffness of steel about 205 GPa, and stiff metals grow less with heat. */
    public function test_materials_are_plausible(): void
    {
        foreach (Material::all() as $material) {
            self::assertGreaterThan(0, $material->eGpa, $material->name);
            self::assertLessThan(220, $material->eGpa, $material->name);
            self::assertGreaterThan(1e-6, $material->alphaPerK, $material->name);
            self::assertLessThan(2e-4, $material->alphaPerK, $material->name);
            if ($material->yieldMpa !== null && $material->tensileMpa !== null) {
                self::assertLessThan($material->tensileMpa, $material->yieldMpa, $material->name);
            }
            if ($material->brittle && $material->family === 'cast iron') {
                self::assertNull($material->yieldMpa, $material->name.' has no yield point');
            }
            if ($material->family === 'steel') {
                self::assertEqualsWithDelta(205, $material->eGpa, 13, $material->name);
            }
        }
        self::assertGreaterThan(
            Material::named('low-carbon steel, cold drawn')->alphaPerK,
            Material::named('leaded tin bronze (bearing)')->alphaPerK,
        );
        self::assertGreaterThan(
            Material::named('leaded tin bronze (bearing)')->alphaPerK,
            Material::named('aluminium casting alloy')->alphaPerK,
        );
    }

    public function test_an_unknown_metal_counts_as_weaker_than_a_known_one(): void
    {
        self::assertLessThan(
            Material::named('low-carbon steel, cold drawn')->yieldMpa,
            Material::named('unknown steel')->yieldMpa,
        );
        self::assertLessThan(
            Material::named('grey cast iron, ordinary')->tensileMpa,
            Material::named('unknown iron casting')->tensileMpa,
        );
    }

    public function test_friction_is_found_either_way_round(): void
    {
        $bronze = Material::named('tin bronze');
        $iron = Material::named('grey cast iron, ordinary');
        $steel = Material::named('unknown steel');
        self::assertEquals(Friction::between($bronze, $iron), Friction::between($iron, $bronze));
        // Steel on cast iron, oiled: 0.10 to 0.15 (common practice, no source).
        self::assertSame([0.1, 0.15], [Friction::between($steel, $iron)->low, Friction::between($steel, $iron)->high]);
        $odd = Friction::between(Material::named('acetal'), $bronze);
        self::assertStringContainsString('not listed', $odd->source);
        self::assertLessThan($odd->high, $odd->low);
    }

    public function test_an_unnamed_material_is_refused_by_field(): void
    {
        try {
            Material::named('moon dust', 'parts.1.material');
            self::fail('should have been refused');
        } catch (BadInput $bad) {
            self::assertSame('parts.1.material', $bad->field);
        }
    }

    /**
     * A better class of instrument is surer: three-point before telescoping, micrometer before calliper (common
     * practice).
     */
    public function test_instruments_rank_as_the_trade_ranks_them(): void
    {
        $sure = static fn (string $code): float => Instrument::named($code)->bestU95Mm(25.0);
        self::assertLessThan($sure('telescoping'), $sure('three-point'));
        self::assertLessThan($sure('calliper'), $sure('outside-micrometer'));
        self::assertLessThan($sure('rule'), $sure('calliper'));
        self::assertFalse(Instrument::named('outside-micrometer')->canMeasure(SurfaceKind::Bore, 30));
        self::assertFalse(Instrument::named('three-point')->canMeasure(SurfaceKind::Bore, 5), 'it does not enter');
        self::assertTrue(Instrument::named('three-point')->canMeasure(SurfaceKind::Bore, 30));
    }

    /** ANSI/ASME B94.11M, twist drills, in thousandths of an inch; from memory. */
    public function test_number_and_letter_drills(): void
    {
        $numbers = [
            228.0,
            221.0,
            213.0,
            209.0,
            205.5,
            204.0,
            201.0,
            199.0,
            196.0,
            193.5,
            191.0,
            189.0,
            185.0,
            182.0,
            180.0,
            177.0,
            173.0,
            169.5,
            166.0,
            161.0,
            159.0,
            157.0,
            154.0,
            152.0,
            149.5,
            147.0,
            144.0,
            140.5,
            136.0,
            128.5,
            120.0,
            116.0,
            113.0,
            111.0,
            110.0,
            106.5,
            104.0,
            101.5,
            99.5,
            98.0,
            96.0,
            93.5,
            89.0,
            86.0,
            82.0,
            81.0,
            78.5,
            76.0,
            73.0,
            70.0,
        ];
        foreach ($numbers as $i => $thou) {
            self::assertEqualsWithDelta($thou, Drills::number($i + 1)->in() * 1000, 1e-6, '#'.($i + 1));
        }
        $letters = [
            'A' => 234,
            'B' => 238,
            'C' => 242,
            'D' => 246,
            'E' => 250,
            'F' => 257,
            'G' => 261,
            'H' => 266,
            'I' => 272,
            'J' => 277,
            'K' => 281,
            'L' => 290,
            'M' => 295,
            'N' => 302,
            'O' => 316,
            'P' => 323,
            'Q' => 332,
            'R' => 339,
            'S' => 348,
            'T' => 358,
            'U' => 368,
            'V' => 377,
            'W' => 386,
            'X' => 397,
            'Y' => 404,
            'Z' => 413,
        ];
        foreach ($letters as $letter => $thou) {
            self::assertEqualsWithDelta($thou, Drills::letter($letter)->in() * 1000, 1e-6, $letter);
        }
    }
}
