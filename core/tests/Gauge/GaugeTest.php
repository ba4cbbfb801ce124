<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Gauge;

use Oldpart\Core\Gauge\GaugeLine;
use Oldpart\Core\Gauge\LineReader;
use Oldpart\Core\Gauge\Rack;
use Oldpart\Core\Gauge\SimulatedGauge;
use Oldpart\Core\Gauge\TrueShape;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class GaugeTest extends TestCase
{
    /**
     * Lines as digital gauges commonly send them (common practice, no source), and what they mean in mm.
     *
     * @return iterable<string, array{string, Unit, ?float}>
     */
    public static function lines(): iterable
    {
        yield 'sign, leading noughts, unit' => ['+00027.412 mm', Unit::Inch, 27.412];
        yield 'inches' => ['+1.12470in', Unit::Millimetre, 28.56738];
        yield 'a channel in front' => ['01A+00012.34', Unit::Millimetre, 12.34];
        yield 'a word in front' => ['DIA 28,567', Unit::Millimetre, 28.567];
        yield 'no unit: the gauge is set to inches' => ['0.8745', Unit::Inch, 22.2123];
        yield 'below zero' => ['-0.012 mm', Unit::Millimetre, -0.012];
        yield 'an error message' => ['ERR 3: LOW BAT', Unit::Millimetre, null];
        yield 'a fault code' => ['ERR 3', Unit::Millimetre, null];
        yield 'a fault with a point' => ['E2 3.1', Unit::Millimetre, null];
        yield 'a count' => ['12', Unit::Millimetre, null];
        yield 'a whole number with its unit' => ['12 mm', Unit::Inch, 12.0];
        yield 'nothing' => ['', Unit::Millimetre, null];
        yield 'half a number' => ['+00027.', Unit::Millimetre, null];
        yield 'two numbers' => ['27.41 28.52', Unit::Millimetre, null];
    }

    #[DataProvider('lines')]
    public function test_lines(string $line, Unit $unit, ?float $mm): void
    {
        $reading = GaugeLine::read($line, $unit);
        if ($mm === null) {
            self::assertNull($reading);
        } else {
            self::assertEqualsWithDelta($mm, $reading?->length?->mm, 1e-9);
        }
    }

    public function test_a_temperature_is_none_of_the_sizes(): void
    {
        $reading = GaugeLine::read('+0023.4 C', Unit::Millimetre);
        self::assertEqualsWithDelta(23.4, $reading?->celsius, 1e-9);
        self::assertNull($reading?->length);
    }

    /** However the bytes come in pieces and whatever ends the lines, each reading comes once and in order. */
    public function test_pieces_make_lines(): void
    {
        mt_srand(3);
        foreach (["\r\n", "\n", "\r"] as $end) {
            $sent = [];
            $stream = '';
            for ($i = 0; $i < 40; $i++) {
                $sent[] = sprintf('%.3f', mt_rand(1000, 90000) / 1000);
                $stream .= '+'.$sent[$i].' mm'.$end.($i % 7 === 0 ? 'BAT LOW'.$end : '');
            }
            $reader = new LineReader();
            $got = [];
            while ($stream !== '') {
                $take = mt_rand(1, 9);
                foreach ($reader->feed(substr($stream, 0, $take)) as $reading) {
                    $got[] = sprintf('%.3f', $reading->length->mm ?? 0);
                }
                $stream = (string) substr($stream, $take);
            }
            self::assertSame($sent, $got, json_encode($end) ?: '');
        }
    }

    public function test_a_line_without_end_is_not_a_reading_yet(): void
    {
        $reader = new LineReader();
        self::assertSame([], $reader->feed('+00027.4'));
        self::assertCount(1, $reader->feed("12 mm\n"));
        self::assertSame([], $reader->feed(str_repeat('9', 5000)), 'rubbish is let go');
        self::assertCount(1, $reader->feed("\n+1.5 mm\n"));
    }

    /** What is written is read back the same. */
    public function test_lines_go_round(): void
    {
        foreach ([27.412, 0.0, 0.001, 99999.999, -0.012] as $mm) {
            self::assertEqualsWithDelta(
                $mm,
                GaugeLine::read(SimulatedGauge::line($mm), Unit::Inch)?->length?->mm,
                1e-9,
            );
        }
        self::assertSame('+00027.412 mm', SimulatedGauge::line(27.412));
    }

    /**
     * Two points can't see three lobes: every diameter of such a part is the same; three points 120° apart can (common
     * practice).
     */
    public function test_lobes_hide_from_two_points(): void
    {
        $shape = new TrueShape(30.0, lobesMm: 0.01);
        $two = array_map(static fn (int $angle): float => $shape->twoPoint(0.5, $angle), range(0, 170, 10));
        $three = array_map(static fn (int $angle): float => $shape->threePoint(0.5, $angle), range(0, 170, 10));
        self::assertEqualsWithDelta(0.0, max($two) - min($two), 1e-12);
        self::assertEqualsWithDelta(0.04, max($three) - min($three), 0.001);
        $oval = new TrueShape(30.0, ovalityMm: 0.02, taperMm: 0.01);
        self::assertEqualsWithDelta(0.02, $oval->twoPoint(0.5, 0) - $oval->twoPoint(0.5, 90), 1e-12);
        self::assertEqualsWithDelta(0.01, $oval->twoPoint(1, 0) - $oval->twoPoint(0, 0), 1e-12);
    }

    public function test_the_same_seed_gives_the_same_rack(): void
    {
        foreach (Rack::all() as $gauge) {
            $a = (new Rack(5))->answer("{$gauge['code']} 0.5 45");
            self::assertSame($a, (new Rack(5))->answer("{$gauge['code']} 0.5 45"));
            self::assertNotNull(GaugeLine::read((string) $a, Unit::Millimetre), (string) $a);
        }
        self::assertNull((new Rack())->answer('nobody'));
        self::assertNull((new Rack())->answer(''));
    }

    /** It errs as its kind does: never more than its limits and its scatter allow, and in steps of its last digit. */
    public function test_a_gauge_errs_within_its_kind(): void
    {
        $tool = Instrument::named('outside-micrometer');
        $gauge = new SimulatedGauge($tool, new Randomizer(new Mt19937(9)));
        self::assertLessThanOrEqual($tool->mpeMm, abs($gauge->errorMm));
        $readings = array_map(static fn (): float => $gauge->read(new TrueShape(22.0), 0.5, 0), range(1, 2000));
        $mean = array_sum($readings) / 2000;
        $sd = sqrt(array_sum(array_map(static fn (float $x): float => ($x - $mean) ** 2, $readings)) / 1999);
        self::assertEqualsWithDelta(22.0 + $gauge->errorMm, $mean, (4 * $tool->repeatabilityMm) / sqrt(2000) + 1e-4);
        self::assertEqualsWithDelta(
            hypot($tool->repeatabilityMm, $tool->resolutionMm / sqrt(12)),
            $sd,
            0.1 * $tool->repeatabilityMm,
        );
        foreach ($readings as $reading) {
            self::assertEqualsWithDelta(0.0, fmod($reading + 1e-9, $tool->resolutionMm), 1e-6);
        }
    }
}
