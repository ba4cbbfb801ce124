<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Catalogue;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Hardness;
use Oldpart\Core\Catalogue\HardnessScale;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Catalogue\MaterialTests;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Making\Workability;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MetalTest extends TestCase
{
    /**
     * ASTM E140 table 1 (non-austenitic steels), from memory: HRC, HV, HB with a tungsten carbide ball. The two
     * standards were made from different trials and agree within about 2 %.
     *
     * @return iterable<string, array{float, float, float}>
     */
    public static function astm(): iterable
    {
        yield 'HRC 60' => [60, 697, 0];
        yield 'HRC 55' => [55, 595, 560];
        yield 'HRC 50' => [50, 513, 481];
        yield 'HRC 45' => [45, 446, 421];
        yield 'HRC 40' => [40, 392, 371];
        yield 'HRC 35' => [35, 345, 327];
        yield 'HRC 30' => [30, 302, 286];
        yield 'HRC 25' => [25, 266, 253];
    }

    #[DataProvider('astm')]
    public function test_hardness_agrees_with_the_other_standard(float $hrc, float $hv, float $hb): void
    {
        $hardness = Hardness::of(HardnessScale::RockwellC, $hrc);
        self::assertEqualsWithDelta($hv, $hardness->hv, 0.025 * $hv);
        if ($hb > 0) {
            self::assertEqualsWithDelta($hb, $hardness->hb, 0.025 * $hb);
        } else {
            self::assertNull($hardness->hb, 'a steel ball is no good there');
        }
        self::assertEqualsWithDelta(
            $hrc,
            Hardness::of(HardnessScale::Vickers, (float) $hardness->hv)->hrc,
            1e-6,
            'and back',
        );
    }

    /** Tensile strength of steel is about 3.4 times its Brinell number, in MPa (common rule; Shigley gives 3.4 HB). */
    public function test_strength_follows_brinell(): void
    {
        for ($hb = 120.0; $hb <= 400; $hb += 20) {
            self::assertEqualsWithDelta(
                3.4 * $hb,
                Hardness::of(HardnessScale::Brinell, $hb)->tensileMpa,
                0.05 * 3.4 * $hb,
            );
        }
    }

    public function test_the_hardness_table_rises_in_every_column(): void
    {
        /** @var list<list<?float>> $rows */
        $rows = Table::rows('hardness');
        for ($column = 0; $column < 4; $column++) {
            $last = 0.0;
            foreach ($rows as $row) {
                if ($row[$column] !== null) {
                    self::assertGreaterThan($last, $row[$column]);
                    $last = $row[$column];
                }
            }
        }
    }

    public function test_hardness_outside_the_table_is_refused(): void
    {
        foreach (
            [
                [HardnessScale::RockwellC, -1.0],
                [HardnessScale::RockwellC, 70.0],
                [HardnessScale::Brinell, 700.0],
                [HardnessScale::Vickers, 10.0],
                [HardnessScale::Vickers, NAN],
            ] as [$scale, $value]
        ) {
            try {
                Hardness::of($scale, $value);
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertStringContainsString($scale->value, $bad->getMessage());
            }
        }
    }

    /**
     * What the tests say of well-known metals (common practice, no source).
     *
     * @return iterable<string, array{array<string, string>, string}>
     */
    public static function metals(): iterable
    {
        yield 'an iron casting: dull, short red sparks, crumbling chips' => [
            ['magnet' => 'strong', 'spark' => 'red', 'ring' => 'dull', 'chip' => 'crumbles'],
            'grey-iron',
        ];
        yield 'a ball race: file skates, bushy sparks' => [
            ['magnet' => 'strong', 'file' => 'skates', 'spark' => 'bushy'],
            'hardened',
        ];
        yield 'mild steel: files easily, long sparks' => [
            ['magnet' => 'strong', 'file' => 'bites', 'spark' => 'long', 'punch' => 'alike'],
            'low-carbon',
        ];
        yield 'no magnet, silver, files, long sparks' => [
            ['magnet' => 'none', 'colour' => 'silver', 'spark' => 'long'],
            'stainless',
        ];
        yield 'no magnet, yellow, short bright chips' => [
            ['magnet' => 'none', 'colour' => 'yellow', 'chip' => 'powder'],
            'brass',
        ];
        yield 'no magnet, brown' => [['magnet' => 'none', 'colour' => 'brown'], 'bronze'];
        yield 'white and light, soft' => [['magnet' => 'none', 'colour' => 'white', 'punch' => 'deeper'], 'aluminium'];
        yield 'heavy, dull white, soft' => [
            ['magnet' => 'none', 'colour' => 'dull-white', 'ring' => 'dull', 'punch' => 'deeper'],
            'white-metal',
        ];
    }

    /** @param  array<string, string>  $shown */
    #[DataProvider('metals')]
    public function test_simple_tests_name_the_metal(array $shown, string $group): void
    {
        $likely = MaterialTests::likely($shown);
        self::assertSame($group, $likely[0]->code);
        self::assertSame('likely', $likely[0]->confidence());
        self::assertLessThanOrEqual(0.95, $likely[0]->share, 'simple tests are never certain');
        self::assertFalse(MaterialTests::disagree($shown));
        Material::named($likely[0]->material);
    }

    public function test_one_test_alone_does_not_settle_it(): void
    {
        $likely = MaterialTests::likely(['magnet' => 'strong']);
        self::assertGreaterThan(2, count($likely));
        self::assertNotSame('likely', $likely[0]->confidence());
        self::assertSame([], MaterialTests::likely([]));
    }

    public function test_results_that_do_not_go_together(): void
    {
        self::assertTrue(MaterialTests::disagree(['magnet' => 'strong', 'colour' => 'yellow', 'spark' => 'none']));
        try {
            MaterialTests::likely(['magnet' => 'purple']);
            self::fail('should have been refused');
        } catch (BadInput $bad) {
            self::assertSame('tests.magnet', $bad->field);
        }
    }

    /** Each with its consequence: grind only, preheat, bond and don't press, never rub (common practice, no source). */
    public function test_what_a_metal_allows(): void
    {
        $codes = static fn (string $name, ?float $hrc = null): array => array_map(
            static fn (Note $n): string => $n->code,
            Workability::of(Material::named($name), $hrc),
        );
        self::assertContains('grind-only', $codes('bearing or tool steel, hardened'));
        self::assertContains('preheat', $codes('medium-carbon steel, normalised'));
        self::assertContains('bond', $codes('grey cast iron, ordinary'));
        self::assertContains('braze', $codes('grey cast iron, ordinary'));
        self::assertContains('never-rub', $codes('stainless, austenitic'));
        self::assertContains('welds', $codes('low-carbon steel, cold drawn'));
        self::assertContains('no-weld', $codes('leaded free-cutting steel'));
        self::assertContains('grind-only', $codes('alloy steel, quenched and tempered', 52.0));
        self::assertNotContains('grind-only', $codes('bearing or tool steel, hardened', 20.0));
        self::assertContains('weld-ask', $codes('unknown steel'));
        $bond = static fn (string $name, ?float $hrc = null): string => array_values(
            array_filter(
                Workability::of(Material::named($name), $hrc),
                static fn (Note $n): bool => $n->code === 'bond',
            ),
        )[0]->say->mm;
        self::assertStringStartsWith('Hard parts can shatter', $bond('alloy steel, quenched and tempered', 55.0));
        self::assertStringStartsWith('Brittle: bond', $bond('grey cast iron, ordinary'));
    }
}
