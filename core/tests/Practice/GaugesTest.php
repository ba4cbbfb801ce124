<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Gauge\TrueShape;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Practice\Deed;
use Oldpart\Core\Practice\Dice;
use Oldpart\Core\Practice\Seen;
use Oldpart\Core\Practice\TrueSurface;
use Oldpart\Core\Practice\Workshop;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the simulated gauges show, against what is said of them. */
final class GaugesTest extends TestCase
{
    /** Of a chi-square of 199 degrees of freedom, one in two thousand lies below and above these. Source: tables of chi-square (Wilson and Hilferty). */
    private const CHI = [138.0, 273.0];

    /** @return list<array{string, SurfaceKind, float}> */
    public static function gauges(): array
    {
        return [
            ['outside-micrometer', SurfaceKind::Shaft, 22.0],
            ['telescoping', SurfaceKind::Bore, 28.0],
            ['three-point', SurfaceKind::Bore, 28.0],
            ['dial-bore', SurfaceKind::Bore, 28.0],
            ['calliper', SurfaceKind::Length, 40.0],
            // Its flat jaws on a chord read small, by w²/(2 d).
            ['calliper', SurfaceKind::Bore, 8.0],
            ['depth-micrometer', SurfaceKind::Length, 40.0],
        ];
    }

    /** The scatter is the stated one: feel, repeatability, and the last digit as an even spread (JCGM 100, 4.3.7). */
    #[DataProvider('gauges')]
    public function test_a_gauge_scatters_as_it_is_said_to(string $code, SurfaceKind $kind, float $mm): void
    {
        $tool = Instrument::named($code);
        $stated = sqrt($tool->repeatabilityMm ** 2 + $tool->feelMm ** 2 + $tool->resolutionMm ** 2 / 12);
        $shown = [];
        $bench = Benches::lesson('warm-part');
        for ($i = 0; $i < 200; $i++) {
            // Between its marks, so that the last digit falls evenly.
            $shape = new TrueShape($mm + $i * 0.0137);
            $shown[] = $this->seen($bench, $tool, new TrueSurface('s', 'p', $kind, $shape), [], $i)->shownMm - $shape->sizeMm;
        }
        $mean = array_sum($shown) / 200;
        $chi = array_sum(array_map(static fn (float $x): float => (($x - $mean) / $stated) ** 2, $shown));
        self::assertGreaterThan(self::CHI[0], $chi);
        self::assertLessThan(self::CHI[1], $chi);
        // What it is off all the time is within what it may be, and, of one set on a master, what that is unsure by.
        $error = $bench->shop->truth->gaugeErrors[$code];
        $jaws = $kind === SurfaceKind::Bore ? $tool->jawShiftMm($kind, $mm)->middle() : 0.0;
        self::assertEqualsWithDelta($error - $jaws, $mean, 4 * $stated / sqrt(200));
        self::assertLessThanOrEqual($tool->mpeMm + 2 * $tool->masterUMm + 1e-9, abs($error));
    }

    /** 100 mm of steel, 10 degrees warm, is 11.7 µm longer (11.7e-6 per degree, the handbooks' mean for plain steel). */
    public function test_a_warm_part_reads_large_by_its_expansion(): void
    {
        $bench = Benches::lesson('warm-part');
        $tool = new Instrument(0.0001, code: 'blocks', toMm: 200);
        $surface = new TrueSurface('s', 'p', SurfaceKind::Shaft, new TrueShape(100.0));
        $cold = $this->seen($bench, $tool, $surface, [], 1)->shownMm;
        $warm = $this->seen($bench, $tool, $surface, [], 1, 30.0);
        self::assertEqualsWithDelta(0.0117, $warm->shownMm - $cold, 1e-4);
        self::assertEqualsWithDelta(0.0117, $warm->warmMm, 1e-6);
    }

    /** Across a bore at 5° to square it is 1/cos 5° longer: 28 mm read 28.107. */
    public function test_a_tilted_gauge_reads_a_bore_large(): void
    {
        $bench = Benches::lesson('warm-part');
        $tool = new Instrument(0.0001, code: 'sticks', toMm: 200);
        $surface = new TrueSurface('s', 'p', SurfaceKind::Bore, new TrueShape(28.0));
        self::assertEqualsWithDelta(28.107, $this->seen($bench, $tool, $surface, ['tilt_deg' => 5], 1)->shownMm, 0.0005);
        self::assertEqualsWithDelta(28.0, $this->seen($bench, $tool, $surface, [], 1)->shownMm, 0.0005);
    }

    /** Squeezed, a micrometer reads a shaft small and a bore large; barely touching, the other way round. */
    public function test_how_it_is_held_shows(): void
    {
        $bench = Benches::lesson('warm-part');
        $tool = new Instrument(0.0001, feelMm: 0.01, code: 'sticks', toMm: 200);
        foreach ([[SurfaceKind::Shaft, -1], [SurfaceKind::Bore, 1]] as [$kind, $sign]) {
            $surface = new TrueSurface('s', 'p', $kind, new TrueShape(28.0));
            self::assertGreaterThan(0.01, $sign * $this->seen($bench, $tool, $surface, ['feel' => 1], 1)->heldMm);
            self::assertLessThan(-0.01, $sign * $this->seen($bench, $tool, $surface, ['feel' => -1], 1)->heldMm);
            self::assertSame(0.0, abs($this->seen($bench, $tool, $surface, [], 1)->heldMm));
        }
    }

    /** A burr at the mouth of a bore makes it small there, at the end of a shaft large; not in the middle, not once it is off. */
    public function test_a_burr_is_under_the_gauge_at_the_ends_only(): void
    {
        $bench = Benches::lesson('warm-part');
        $tool = new Instrument(0.0001, code: 'sticks', toMm: 200);
        foreach ([[SurfaceKind::Bore, -0.03], [SurfaceKind::Shaft, 0.03]] as [$kind, $burr]) {
            $surface = new TrueSurface('s', 'p', $kind, new TrueShape(28.0), burrMm: 0.03);
            self::assertEqualsWithDelta($burr, $this->seen($bench, $tool, $surface, ['along' => 0.0], 1)->burrMm, 1e-9);
            self::assertEqualsWithDelta($burr, $this->seen($bench, $tool, $surface, ['along' => 1.0], 1)->burrMm, 1e-9);
            self::assertSame(0.0, $this->seen($bench, $tool, $surface, ['along' => 0.5], 1)->burrMm);
            self::assertSame(0.0, $this->seen($bench, $tool, $surface, ['along' => 0.0], 1, 20.0, true)->burrMm);
        }
    }

    /** An eighth of the way from each end a burr is out of the gauge's way. */
    public function test_how_far_a_burr_reaches(): void
    {
        $bench = Benches::lesson('warm-part');
        $tool = new Instrument(0.0001, code: 'sticks', toMm: 200);
        $surface = new TrueSurface('s', 'p', SurfaceKind::Shaft, new TrueShape(28.0), burrMm: 0.03);
        foreach ([[0.11, 0.03], [0.13, 0.0], [0.87, 0.0], [0.89, 0.03]] as [$along, $burr]) {
            self::assertEqualsWithDelta($burr, $this->seen($bench, $tool, $surface, ['along' => $along], 1)->burrMm, 1e-9);
        }
    }

    /** Squeezed fully a gauge is off by two and a half times its feel; one without a feel by 5 µm. */
    public function test_how_much_a_squeeze_shows(): void
    {
        $bench = Benches::lesson('warm-part');
        $surface = new TrueSurface('s', 'p', SurfaceKind::Shaft, new TrueShape(28.0));
        foreach ([[0.01, -0.025], [0.0, -0.005], [0.001, -0.005], [0.003, -0.0075]] as [$feel, $off]) {
            $tool = new Instrument(0.0001, feelMm: $feel, code: 'sticks', toMm: 200);
            self::assertEqualsWithDelta($off, $this->seen($bench, $tool, $surface, ['feel' => 1], 1)->heldMm, 1e-9);
            self::assertEqualsWithDelta(-$off / 2, $this->seen($bench, $tool, $surface, ['feel' => -0.5], 1)->heldMm, 1e-9);
        }
    }

    /** The other face adds what it is away; a flat jaw on a chord takes off; all of it is told apart. */
    public function test_what_a_reading_is_made_up_of(): void
    {
        $bench = Benches::lesson('warm-part');
        $tool = new Instrument(0.0001, code: 'sticks', toMm: 200);
        $surface = new TrueSurface('s', 'p', SurfaceKind::Length, new TrueShape(40.0), otherFaceMm: 3.2);
        $seen = $this->seen($bench, $tool, $surface, ['other_face' => true], 1);
        self::assertSame(3.2, $seen->faceMm);
        self::assertEqualsWithDelta(43.2, $seen->shownMm, 0.001);
        self::assertSame(0.0, $this->seen($bench, $tool, $surface, [], 1)->faceMm);
        self::assertEqualsWithDelta(40 * 11.7e-6, $seen->perKelvinMm, 1e-9);
        self::assertSame([40.0, 0.0], [$seen->trueMm, $seen->formMm]);
        // A gauge never shows less than nothing.
        $none = new TrueSurface('s', 'p', SurfaceKind::Length, new TrueShape(0.0));
        self::assertGreaterThanOrEqual(0.0, $this->seen($bench, $tool, $none, ['feel' => 1], 1)->shownMm);
    }

    /** Two points see an oval, three do not; three see three lobes, two do not (facts of the trade). */
    public function test_two_points_and_three_see_different_forms(): void
    {
        $bench = Benches::lesson('warm-part');
        $two = new Instrument(0.0001, code: 'sticks', toMm: 200);
        $three = new Instrument(0.0001, code: 'three-point', toMm: 200);
        $oval = new TrueSurface('s', 'p', SurfaceKind::Bore, new TrueShape(28.0, ovalityMm: 0.04));
        self::assertEqualsWithDelta(0.02, $this->seen($bench, $two, $oval, ['angle_deg' => 0], 1)->formMm, 1e-9);
        self::assertEqualsWithDelta(-0.02, $this->seen($bench, $two, $oval, ['angle_deg' => 90], 1)->formMm, 1e-9);
        self::assertEqualsWithDelta(0.0, $this->seen($bench, $three, $oval, ['angle_deg' => 90], 1)->formMm, 1e-9);
        $lobed = new TrueSurface('s', 'p', SurfaceKind::Bore, new TrueShape(28.0, lobesMm: 0.01));
        self::assertEqualsWithDelta(0.0, $this->seen($bench, $two, $lobed, ['angle_deg' => 60], 1)->formMm, 1e-9);
        self::assertEqualsWithDelta(0.02, $this->seen($bench, $three, $lobed, ['angle_deg' => 0], 1)->formMm, 1e-9);
    }

    /** An indicator swings by twice what the centre is off. */
    public function test_an_indicator_shows_twice_the_offset(): void
    {
        $bench = Benches::lesson('full-swing');
        $shown = $bench->do(['kind' => 'read', 'surface' => $bench->surface('Bearing seat, offset'), 'instrument' => 'dial-indicator']);
        self::assertEqualsWithDelta(8.12, $shown->number('mm'), 0.03);
    }

    /** On a surface that is true to its centre an indicator shows half of its ovality; and it scatters as it is said to. */
    public function test_an_indicator_shows_form_and_scatters(): void
    {
        $bench = Benches::lesson('warm-part');
        $tool = new Instrument(0.001, repeatabilityMm: 0.002, code: 'dial', travelMm: 10.0);
        $surface = new TrueSurface('s', 'p', SurfaceKind::Shaft, new TrueShape(28.0, ovalityMm: 0.2), offCentreMm: 0.5);
        $shown = array_map(fn (int $i): float => $this->seen($bench, $tool, $surface, [], $i)->shownMm, range(1, 200));
        $mean = array_sum($shown) / 200;
        self::assertEqualsWithDelta(1.1, $mean, 4 * 0.002 / sqrt(200));
        $chi = array_sum(array_map(static fn (float $x): float => (($x - $mean) / sqrt(0.002 ** 2 + 0.001 ** 2 / 12)) ** 2, $shown));
        self::assertGreaterThan(self::CHI[0], $chi);
        self::assertLessThan(self::CHI[1], $chi);
        foreach ($shown as $mm) {
            self::assertEqualsWithDelta(round($mm, 3), $mm, 1e-9);
        }
    }

    /** Tilt shows across a bore; not on a shaft, and not by a gauge that stands on three points. */
    public function test_where_tilt_shows(): void
    {
        $bench = Benches::lesson('warm-part');
        foreach ([['sticks', SurfaceKind::Bore, 28 / cos(deg2rad(5)) - 28], ['sticks', SurfaceKind::Shaft, 0.0], ['three-point', SurfaceKind::Bore, 0.0], ['three-point', SurfaceKind::Shaft, 0.0]] as [$code, $kind, $held]) {
            $tool = new Instrument(0.0001, code: $code, toMm: 200);
            $surface = new TrueSurface('s', 'p', $kind, new TrueShape(28.0));
            self::assertEqualsWithDelta($held, $this->seen($bench, $tool, $surface, ['tilt_deg' => 5], 1)->heldMm, 1e-9);
        }
    }

    /** Held to its master a gauge scatters as it repeats, about what it is off. */
    public function test_a_check_scatters(): void
    {
        $tool = Instrument::named('outside-micrometer');
        $off = [];
        for ($seed = 1; $seed <= 200; $seed++) {
            $bench = Benches::lesson('warm-part', $seed);
            $off[] = ($bench->do(['kind' => 'check', 'instrument' => 'outside-micrometer'])->number('mm') ?? 0.0) - $bench->shop->truth->gaugeErrors['outside-micrometer'];
        }
        $stated = sqrt($tool->repeatabilityMm ** 2 + $tool->resolutionMm ** 2 / 12);
        self::assertEqualsWithDelta(0.0, array_sum($off) / 200, 4 * $stated / sqrt(200));
        $chi = array_sum(array_map(static fn (float $x): float => ($x / $stated) ** 2, $off));
        self::assertGreaterThan(self::CHI[0], $chi);
        self::assertLessThan(self::CHI[1], $chi);
    }

    /** On an inch job the marks are inches: tenths of a thou. */
    public function test_an_inch_gauge_has_inch_marks(): void
    {
        $marked = Seen::marked(Instrument::named('outside-micrometer'), Unit::Inch);
        self::assertEqualsWithDelta(0.00254, $marked->resolutionMm, 1e-12);
        self::assertEqualsWithDelta(0.0127, Seen::marked(Instrument::named('calliper'), Unit::Inch)->resolutionMm, 1e-12);
        self::assertSame(0.001, Seen::marked(Instrument::named('outside-micrometer'), Unit::Millimetre)->resolutionMm);
    }

    /** By what a gauge is divided into in millimetres, its sister in inches is: tenths of a thou, half thous, thous, 64ths. */
    public function test_which_inch_marks_a_gauge_has(): void
    {
        foreach ([[0.001, 0.0001], [0.003, 0.0001], [0.005, 0.0005], [0.011, 0.0005], [0.02, 0.001], [0.03, 0.001], [0.05, 1 / 64], [0.5, 1 / 64]] as [$mm, $inch]) {
            $marked = Seen::marked(new Instrument($mm, code: 'sticks', toMm: 200), Unit::Inch);
            self::assertEqualsWithDelta(25.4 * $inch, $marked->resolutionMm, 1e-9, (string) $mm);
            self::assertSame(200.0, $marked->toMm);
        }
        self::assertSame(0.0, Seen::marked(new Instrument(0.0, code: 'sticks', toMm: 200), Unit::Inch)->resolutionMm);
    }

    public function test_a_gauge_that_can_not_read_it_is_refused(): void
    {
        $bench = Benches::lesson('warm-part');
        $this->expectException(BadInput::class);
        $this->expectExceptionMessage('Take another gauge');
        $bench->do(['kind' => 'read', 'surface' => $bench->surface('Housing bore'), 'instrument' => 'outside-micrometer']);
    }

    /** Held to its master, a gauge shows what it is off. */
    public function test_a_check_finds_the_gauge_that_is_off(): void
    {
        $bench = Benches::lesson('worn-gauge');
        $off = $bench->do(['kind' => 'check', 'instrument' => 'three-point'])->number('mm');
        self::assertEqualsWithDelta(0.032, $off, 0.008);
        self::assertEqualsWithDelta(0.0, $bench->do(['kind' => 'check', 'instrument' => 'telescoping'])->number('mm'), 0.005);
    }

    /** What was seen once is not drawn again: the same deeds give the same shop. */
    public function test_what_was_seen_stays(): void
    {
        $bench = Benches::lesson('warm-part');
        $bench->measured('Housing bore', 'three-point');
        $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Bush outside'), 'mm' => 0.4]);
        $again = new Workshop($bench->shop->laid, $bench->shop->truth, array_map(
            static fn (Deed $d): Deed => Deed::read(new Fields($d->jsonSerialize()), $d->result),
            $bench->shop->deeds(),
        ));
        self::assertEquals($bench->shop->surfaces(), $again->surfaces());
        self::assertSame($bench->shop->minutes(), $again->minutes());
        self::assertEqualsWithDelta(
            $bench->shop->celsius($bench->shop->laid->surfaces[4]->part),
            $again->celsius($bench->shop->laid->surfaces[4]->part),
            1e-9,
        );
    }

    /** @param  array<string, mixed>  $held */
    private function seen(
        Benches $bench,
        Instrument $tool,
        TrueSurface $surface,
        array $held,
        int $draw,
        float $celsius = 20.0,
        bool $clean = false,
    ): Seen {
        return Seen::by(
            tool: $tool,
            surface: $surface,
            deed: Deed::read(new Fields([
                'id' => 'd', 'kind' => 'read', 'surface' => 's', 'instrument' => $tool->code, ...$held,
            ])),
            truth: $bench->shop->truth,
            celsius: $celsius,
            clean: $clean,
            dice: new Dice(4711, "draw {$draw}"),
            unit: Unit::Millimetre,
        );
    }
}
