<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Measure\FromPicture;
use Oldpart\Core\Measure\GaugeCheck;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Nominal;
use Oldpart\Core\Measure\NominalKind;
use Oldpart\Core\Measure\Parallel;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\Slips;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Measure\Warmth;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Measuring at the ends of what is taken, and where a remark begins. */
final class MeasureEdgesTest extends TestCase
{
    /** @param  list<float>  $sizes */
    private static function readings(array $sizes, SurfaceKind $kind = SurfaceKind::Shaft): Readings
    {
        return new Readings($kind, array_map(static fn (float $mm): Reading => new Reading($mm), $sizes), new Instrument(0.001), new Warmth());
    }

    /** @return iterable<string, array{callable(): mixed, bool}> */
    public static function ends(): iterable
    {
        $warm = static fn (float $c): callable => static fn () => (new Readings(SurfaceKind::Shaft, [new Reading(30.0, partC: $c)], new Instrument(0.001)))->found();
        $gauge = static fn (float $c): callable => static fn () => (new Readings(SurfaceKind::Shaft, [new Reading(30.0, gaugeC: $c)], new Instrument(0.001)))->found();
        foreach ([-60.0, 400.0] as $at) {
            yield "part at {$at}" => [$warm($at), true];
            yield "gauge at {$at}" => [$gauge($at), true];
            yield "part past {$at}" => [$warm($at * 1.001), false];
            yield "gauge past {$at}" => [$gauge($at * 1.001), false];
        }
        yield 'two metres' => [static fn () => Nominal::of(NominalKind::Shaft, 2000.0, 0.1, false), true];
        yield 'over two metres' => [static fn () => Nominal::of(NominalKind::Shaft, 2000.1, 0.1, false), false];
        yield 'no size' => [static fn () => Nominal::of(NominalKind::Shaft, 0.0, 0.0, false), false];
        yield 'a doubt as large as it' => [static fn () => Nominal::of(NominalKind::Shaft, 5.0, 5.0, false), true];
        yield 'a doubt larger than it' => [static fn () => Nominal::of(NominalKind::Shaft, 5.0, 5.01, false), false];
        $circle = static fn (float $wide): callable => static fn () => (new FromPicture([['pixels' => 800, 'mm' => 160]], 2.0))->circle([0, 0], [$wide / 2, $wide / 2], [$wide, 0]);
        yield 'taps eight pixels apart' => [$circle(8.4), true];
        yield 'taps closer than that' => [$circle(7.6), false];
    }

    /** @param  callable(): mixed  $do */
    #[DataProvider('ends')]
    public function test_the_ends_of_what_is_taken(callable $do, bool $taken): void
    {
        if (! $taken) {
            $this->expectException(BadInput::class);
        }
        self::assertNotNull($do());
    }

    /** A gauge of 25 to 50 measures 25 and 50; a bore gauge of 18 down to 60 deep goes that deep. */
    public function test_what_a_gauge_can_measure(): void
    {
        $tool = new Instrument(0.001, fromMm: 25.0, toMm: 50.0, fits: ['shaft', 'bore'], smallestBoreMm: 30.0, reachMm: 60.0);
        $shaft = static fn (float $mm): bool => $tool->canMeasure(SurfaceKind::Shaft, $mm);
        self::assertSame([true, true, false, false], [$shaft(25.0), $shaft(50.0), $shaft(24.99), $shaft(50.01)]);
        $bore = static fn (float $mm, float $deep): bool => $tool->canMeasure(SurfaceKind::Bore, $mm, $deep);
        self::assertSame([true, false, true, false], [$bore(30.0, 0.0), $bore(29.9, 0.0), $bore(40.0, 60.0), $bore(40.0, 60.1)]);
        self::assertFalse($tool->canMeasure(SurfaceKind::Length, 30.0));
    }

    /** Twenty times as large as the rest is another unit, nineteen times something else; so is a twentieth. */
    public function test_the_other_unit(): void
    {
        $unit = static fn (float $last): bool => array_filter(Slips::in(self::readings([10.0, 10.01, 10.02, $last])), static fn ($s): bool => $s->otherUnit) !== [];
        self::assertSame([true, false, true, false], [$unit(201.0), $unit(199.0), $unit(0.495), $unit(0.505)]);
        self::assertEqualsWithDelta(254.0 / 25.4, Slips::in(self::readings([10.0, 10.01, 10.02, 254.0]))[0]->mendedMm, 1e-9);
        self::assertEqualsWithDelta(0.394 * 25.4, Slips::in(self::readings([10.0, 10.01, 10.02, 0.394]))[0]->mendedMm, 1e-9);
    }

    /** By hand: 0.03 more at one of three places a third of a turn apart is a wedge of twice 2/3 of that, 0.04, toward it. */
    public function test_three_places_make_a_plane(): void
    {
        $spots = static fn (float ...$mm): array => array_map(static fn (int $i): array => ['deg' => 120.0 * $i, 'mm' => $mm[$i]], range(0, 2));
        $face = Parallel::of($spots(10.0, 10.03, 10.0));
        self::assertNotNull($face);
        self::assertEqualsWithDelta([0.04, 120.0], [$face->wedgeMm, $face->thickestDeg], 1e-9);
        self::assertNull($face->offFlatMm, 'three points are always a plane');
        self::assertNull(Parallel::of(array_slice($spots(10.0, 10.03, 10.0), 0, 2)));
    }

    /** Off flat is said where four places or more were read, and not where three were. */
    public function test_off_flat_is_said_where_it_is_known(): void
    {
        $form = static fn (int $places): array => array_column((new Readings(
            SurfaceKind::Length,
            array_map(static fn (int $i): Reading => new Reading(10.0 + 0.01 * ($i % 2), 'face', (string) (360 / $places * $i)), range(0, $places - 1)),
            new Instrument(0.001),
        ))->found()->formInWords(), 'name');
        self::assertContains('off flat', $form(4));
        self::assertNotContains('off flat', $form(3));
        self::assertContains('out of parallel', $form(3));
    }

    /** Read 0.002 over last time and 0.004 over now, it moved by 0.002, not by 0.004. */
    public function test_how_far_a_gauge_drifted(): void
    {
        $check = static fn (float $read, string $at): GaugeCheck => new GaugeCheck($read, 25.0, new \DateTimeImmutable($at));
        $notes = array_column(GaugeCheck::verdict(
            new Instrument(0.001, mpeMm: 0.01),
            [$check(25.002, '2026-06-01'), $check(25.004, '2026-11-01')],
            new \DateTimeImmutable('2026-11-24'),
        ), 'say', 'code');
        self::assertStringContainsString('moved by 0.002 mm', $notes['drift']->mm);
    }

    /** No master, no doubt of one; with one of its own doubt that counts, halved, and where none is known the usual. */
    public function test_a_master_counts_where_there_is_one(): void
    {
        $sources = static fn (Reading $r, Instrument $tool): array => array_column(array_map(static fn ($s): array => ['s' => $s->source, 'u' => $s->uMm], (new Readings(SurfaceKind::Bore, [$r], $tool))->found()->budget()), 'u', 's');
        self::assertArrayNotHasKey('master', array_filter($sources(new Reading(30.0), new Instrument(0.001, mpeMm: 0.004))));
        self::assertEqualsWithDelta(0.0015, $sources(new Reading(30.0, masterMm: 30.0), new Instrument(0.001, mpeMm: 0.004, masterUMm: 0.003))['master'], 1e-9);
        self::assertGreaterThan(0.0, $sources(new Reading(30.0, masterMm: 30.0), new Instrument(0.001, mpeMm: 0.004))['master']);
        self::assertArrayNotHasKey('gauge', array_filter($sources(new Reading(30.0, masterMm: 30.0), new Instrument(0.001, mpeMm: 0.004))));
    }
}
