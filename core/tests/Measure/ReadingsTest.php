<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Measure\Warmth;
use PHPUnit\Framework\TestCase;

final class ReadingsTest extends TestCase
{
    /** @param  list<Reading>  $readings */
    private static function found(
        SurfaceKind $kind,
        array $readings,
        ?Instrument $instrument = null,
        ?Warmth $warmth = null,
    ): FoundSize {
        return (new Readings($kind, $readings, $instrument ?? new Instrument(0.0), $warmth ?? new Warmth()))->found();
    }

    /**
     * Five readings of one spot with s = 2 µm and no other source: U95 = 2.776 · 2/√5 = 2.48 µm (JCGM 100:2008, table
     * G.2).
     */
    public function test_five_repeats_with_nothing_else(): void
    {
        // Deviations 0, ±2, ±2 µm: Σd² = 16, s² = 16/4.
        $found = self::found(
            SurfaceKind::Shaft,
            array_map(static fn (float $d): Reading => new Reading(25 + $d / 1000), [0, 2, -2, 2, -2]),
        );
        self::assertEqualsWithDelta(0.002, $found->repeatabilityMm, 1e-9);
        self::assertEqualsWithDelta(2.48e-3, $found->u95Mm, 0.005e-3);
        self::assertEqualsWithDelta(4.0, $found->dof, 1e-9);
        self::assertEqualsWithDelta(2.776, $found->k, 0.001);
    }

    /** A 36 mm steel part at 45 °C read with a gauge at 20 °C reads 0.0105 mm large (α 11.7e-6: 36 · 11.7e-6 · 25). */
    public function test_a_warm_part_reads_large(): void
    {
        $found = self::found(SurfaceKind::Shaft, [new Reading(36.0105, partC: 45, gaugeC: 20)]);
        self::assertEqualsWithDelta(36.0, $found->meanMm, 0.0001);
    }

    public function test_part_and_gauge_equally_warm_and_alike_need_no_correction(): void
    {
        self::assertEqualsWithDelta(
            36.0,
            self::found(SurfaceKind::Shaft, [new Reading(36.0, partC: 31)])->meanMm,
            1e-9,
        );
    }

    /** Spots are averaged first, stations next; sizes worked by hand. */
    public function test_form_of_a_bore(): void
    {
        $found = self::found(SurfaceKind::Bore, [
            new Reading(30.01, '1', '0'),
            new Reading(30.012, '1', '0'),
            new Reading(30.021, '1', '90'),
            new Reading(30.002, '2', '0'),
            new Reading(30.006, '2', '90'),
        ]);
        self::assertEqualsWithDelta((30.016 + 30.004) / 2, $found->meanMm, 1e-9);
        self::assertEqualsWithDelta(30.002, $found->matingMm, 1e-9, 'the smallest spot of a bore');
        self::assertEqualsWithDelta(30.021, $found->looseMm, 1e-9);
        self::assertEqualsWithDelta(0.01, $found->ovalityMm, 1e-9);
        self::assertEqualsWithDelta(-0.012, $found->taperMm, 1e-9, 'last station less first');
    }

    public function test_a_shaft_mates_at_its_largest_and_form_unseen_is_null(): void
    {
        $found = self::found(SurfaceKind::Shaft, [new Reading(25.0, '1'), new Reading(25.004, '2')]);
        self::assertEqualsWithDelta(25.004, $found->matingMm, 1e-9);
        self::assertNull($found->ovalityMm);
        self::assertContains('form-unseen', array_map(static fn (Note $n): string => $n->code, $found->notes()));
    }

    /** By hand: √(0.004²/3 + 0.001²/12 + 0.002² + (0.002/2)²) · 2, everything of infinite degrees of freedom. */
    public function test_budget_without_repeats(): void
    {
        $found = self::found(SurfaceKind::Bore, [new Reading(30.0)], new Instrument(0.001, 0.004, 0.002, 0.0, 0.002));
        self::assertEqualsWithDelta(
            2 * sqrt(0.004 ** 2 / 3 + 0.001 ** 2 / 12 + 0.002 ** 2 + 0.001 ** 2),
            $found->u95Mm,
            1e-9,
        );
        self::assertNull($found->dof);
        self::assertEqualsWithDelta(1.0, array_sum(array_map(static fn ($s): float => $s->share, $found->budget())), 1e-9);
    }

    /** Temperature: D α ΔT/√3 for part and gauge each. By hand for 100 mm, 11.7e-6, 2 K. */
    public function test_temperature_doubt(): void
    {
        $found = self::found(SurfaceKind::Shaft, [new Reading(100.0)], null, new Warmth(11.7e-6, 11.7e-6, 2.0));
        self::assertEqualsWithDelta((2 * sqrt(2) * 100 * 11.7e-6 * 2) / sqrt(3), $found->u95Mm, 1e-9);
    }

    public function test_wear_is_told_apart(): void
    {
        $found = self::found(SurfaceKind::Bore, [
            new Reading(30.1, '1', '0', worn: true),
            new Reading(30.0, '2', '0', worn: false),
        ]);
        self::assertEqualsWithDelta(30.1, $found->wornMeanMm, 1e-9);
        self::assertEqualsWithDelta(30.0, $found->unwornMeanMm, 1e-9);
    }

    /** One turn of an inch thimble is 0.025 in, of a metric one 0.5 mm (common practice). */
    public function test_a_turn_of_the_thimble_is_pointed_out(): void
    {
        $found = self::found(SurfaceKind::Shaft, [
            new Reading(25.4, '1'),
            new Reading(25.401, '2'),
            new Reading(26.035, '3'),
        ]);
        $slips = array_filter($found->notes(), static fn (Note $n): bool => $n->code === 'slip');
        self::assertCount(1, $slips);
        self::assertStringContainsString('0.025 in', reset($slips)->say->in);
    }

    public function test_the_other_unit_is_pointed_out(): void
    {
        $found = self::found(SurfaceKind::Shaft, [new Reading(25.4), new Reading(25.4 * 25.4)]);
        self::assertContains('slip', array_map(static fn (Note $n): string => $n->code, $found->notes()));
    }

    /**
     * Three repeats of its own speak for themselves, s = 2 µm; of one alone the job's others say how this gauge
     * repeats, s = 10 µm (common practice; JCGM 100:2008, 4.2.4).
     */
    public function test_its_own_repeats_before_those_elsewhere(): void
    {
        $elsewhere = static fn (string $code): array => ['squares' => 40 * 0.01 ** 2, 'dof' => 40];
        $set = static fn (float ...$off): FoundSize => (new Readings(
            SurfaceKind::Length,
            array_map(static fn (float $d): Reading => new Reading(25 + $d), array_values($off)),
            Instrument::named('calliper'),
            new Warmth(),
            null,
            $elsewhere,
        ))->found();
        self::assertEqualsWithDelta(0.002, $set(0, 0.002, -0.002)->repeatabilityMm, 1e-9);
        self::assertEqualsWithDelta(0.01, $set(0)->repeatabilityMm, 1e-9);
    }

    /**
     * A size typed as the sum of two scatters √2 times as much, also in the doubt of the mean: 2 √2 · 0.01 (JCGM
     * 100:2008, 5.1.2).
     */
    public function test_a_sum_scatters_more(): void
    {
        $sum = self::found(
            SurfaceKind::Length,
            [new Reading(50, weights: [1.0, 1.0])],
            new Instrument(0.0, repeatabilityMm: 0.01),
        );
        self::assertEqualsWithDelta(2 * M_SQRT2 * 0.01, $sum->u95MeanMm, 1e-9);
        self::assertEqualsWithDelta(2 * M_SQRT2 * 0.01, $sum->u95Mm, 1e-9);
    }

    public function test_refusals(): void
    {
        foreach (
            [
                [[], 'readings'],
                [[new Reading(-1)], 'readings.0.value_mm'],
                [[new Reading(10, partC: 900)], 'readings.0.part_c'],
            ] as [$readings, $field]
        ) {
            try {
                self::found(SurfaceKind::Bore, $readings);
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }

    /** A size that was typed is as sure as was typed, at two standard deviations, and has no form. */
    public function test_a_typed_size(): void
    {
        $typed = FoundSize::typed(SurfaceKind::Bore, 30.0, 0.02);
        self::assertSame([2.0, 0.02, 0.02], [$typed->k, $typed->sureMm(), $typed->sureMeanMm()]);
        self::assertSame([30.0, 30.0], [$typed->smallestMm(), $typed->largestMm()]);
        self::assertSame($typed, $typed->likeliest());
        self::assertSame($typed, $typed->expecting(3));
        self::assertSame([0.01, 0.01], [$typed->withU95(0.01)->u95Mm, $typed->withU95(0.01)->u95MeanMm]);
        self::assertSame([], $typed->deciding());
    }

    /** An instrument that errs by less than nothing, or that nobody knows how much, is refused by the name of its figure. */
    public function test_figures_of_an_instrument(): void
    {
        foreach (['resolutionMm' => 'resolution_mm', 'mpeMm' => 'mpe_mm', 'repeatabilityMm' => 'repeatability_mm', 'feelMm' => 'feel_mm', 'masterUMm' => 'master_u_mm'] as $argument => $field) {
            foreach ([-0.001, NAN, INF] as $value) {
                try {
                    new Instrument(...[...['resolutionMm' => 0.01], $argument => $value]);
                    self::fail("{$field} {$value}");
                } catch (BadInput $bad) {
                    self::assertSame("instrument.{$field}", $bad->field);
                }
            }
            self::assertInstanceOf(Instrument::class, new Instrument(...[...['resolutionMm' => 0.01], $argument => 0.0]));
        }
    }

    /** Two readings are as sure as each other only where nothing that counts differs: gauge, warmth, master, pins. */
    public function test_as_sure_as_another(): void
    {
        $plain = new Reading(30.0, partC: 20.0);
        self::assertTrue($plain->isAsSureAs(new Reading(31.0, partC: 20.0)), 'the size does not count');
        foreach ([
            new Reading(30.0, partC: 25.0), new Reading(30.0, partC: 20.0, gaugeC: 22.0), new Reading(30.0, partC: 20.0, masterMm: 30.0),
            new Reading(30.0, partC: 20.0, betweenMm: 0.01), new Reading(30.0, partC: 20.0, weights: [2.0]),
            new Reading(30.0, partC: 20.0, instrument: new Instrument(0.5)),
        ] as $i => $other) {
            self::assertFalse($plain->isAsSureAs($other), (string) $i);
        }
    }
}
