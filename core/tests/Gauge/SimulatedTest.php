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
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The simulated gauges err as they say they do: moments of the distributions, by elementary probability. */
final class SimulatedTest extends TestCase
{
    /**
     * @param  list<float>  $values
     * @return array{float, float} mean and variance
     */
    private static function moments(array $values): array
    {
        $mean = array_sum($values) / count($values);

        return [$mean, array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)) / (count($values) - 1)];
    }

    /** Oval by 0.02: a hundredth more one way, less the other. Three lobes of 0.003: three points ride 0.006 up or down. */
    public function test_the_true_shape(): void
    {
        $shape = new TrueShape(30.0, 0.02, 0.01, 0.003);
        self::assertEqualsWithDelta([30.01, 29.99, 30.0], [$shape->twoPoint(0.5, 0), $shape->twoPoint(0.5, 90), $shape->twoPoint(0.5, 45)], 1e-12);
        self::assertEqualsWithDelta([29.995, 30.005], [$shape->twoPoint(0.0, 45), $shape->twoPoint(1.0, 45)], 1e-12);
        self::assertEqualsWithDelta([30.006, 29.994, 30.0], [$shape->threePoint(0.5, 0), $shape->threePoint(0.5, 60), $shape->threePoint(0.5, 30)], 1e-12);
        // Steel, 11.7 millionths a degree (handbooks).
        self::assertEqualsWithDelta([100.0117, 99.9883], [(new TrueShape(100, temperatureC: 30))->warm(100), (new TrueShape(100, temperatureC: 10))->warm(100)], 1e-9);
    }

    /** The error it carries: even within ±0.03, so 0.03²/3, and the doubt of its master, 0.02 at two deviations, so 0.01². */
    public function test_the_error_a_gauge_carries(): void
    {
        $random = new Randomizer(new Mt19937(11));
        [$mean, $variance] = self::moments(array_map(static fn (): float => (new SimulatedGauge(new Instrument(0.0, mpeMm: 0.03, masterUMm: 0.02), $random))->errorMm, range(1, 6000)));
        self::assertEqualsWithDelta(0.0, $mean, 0.001);
        self::assertEqualsWithDelta(1.0, $variance / (0.03 ** 2 / 3 + 0.01 ** 2), 0.06);
        $bound = array_map(static fn (): float => abs((new SimulatedGauge(new Instrument(0.0, mpeMm: 0.03), $random))->errorMm), range(1, 2000));
        self::assertLessThanOrEqual(0.03, max($bound));
        self::assertGreaterThan(0.029, max($bound));
    }

    /** It scatters by its repeatability and the feel together, √(0.003² + 0.004²), about the truth and its own error. */
    public function test_how_it_scatters(): void
    {
        $gauge = new SimulatedGauge(new Instrument(0.0, repeatabilityMm: 0.003, feelMm: 0.004), new Randomizer(new Mt19937(5)), 0.02);
        $shape = new TrueShape(30.0);
        $read = array_map(static fn (): float => $gauge->read($shape, 0.5, 0.0), range(1, 6000));
        [$mean, $variance] = self::moments($read);
        self::assertEqualsWithDelta(30.02, $mean, 0.0002);
        self::assertEqualsWithDelta(1.0, $variance / 0.005 ** 2, 0.06);
        // 68 of 100 within one deviation, 95 within two (the normal table).
        self::assertEqualsWithDelta(0.683, count(array_filter($read, static fn (float $r): bool => abs($r - 30.02) < 0.005)) / 6000, 0.02);
        self::assertEqualsWithDelta(0.954, count(array_filter($read, static fn (float $r): bool => abs($r - 30.02) < 0.010)) / 6000, 0.01);
        $coarse = new SimulatedGauge(new Instrument(0.05), new Randomizer(new Mt19937(1)), 0.0);
        self::assertEqualsWithDelta([30.0, 30.05], [$coarse->read(new TrueShape(30.02), 0.5, 0), $coarse->read(new TrueShape(30.03), 0.5, 0)], 1e-9);
    }

    /** @return float what a gauge of the rack shows on the average of many */
    private static function mean(Rack $rack, string $request): float
    {
        return self::moments(array_map(static fn (): float => (float) GaugeLine::read((string) $rack->answer($request), Unit::Millimetre)?->length?->mm, range(1, 800)))[0];
    }

    /** On the rack: two points see that the bore is oval by 0.018, three points see its lobes of 0.002 four times over. */
    public function test_what_the_gauges_of_the_rack_see(): void
    {
        $rack = new Rack(3);
        self::assertNull($rack->answer('sextant'));
        self::assertEqualsWithDelta(0.018, self::mean($rack, 'telescoping 0.5 0') - self::mean($rack, 'telescoping 0.5 90'), 0.002);
        self::assertEqualsWithDelta(0.008, self::mean($rack, 'three-point 0.5 0') - self::mean($rack, 'three-point 0.5 60'), 0.0008);
        self::assertEqualsWithDelta(0.0, self::mean($rack, 'three-point 0.5 0') - self::mean($rack, 'three-point 0.5 120'), 0.0008, 'and no oval');
        // Past either end of the part it is held at that end: the calliper's bar tapers by 0.02.
        self::assertEqualsWithDelta(0.02, self::mean($rack, 'calliper 7 45') - self::mean($rack, 'calliper -7 45'), 0.003);
        self::assertEqualsWithDelta(0.0, self::mean($rack, 'calliper 1 45') - self::mean($rack, 'calliper 7 45'), 0.003);
        self::assertEqualsWithDelta(0.0, self::mean($rack, 'calliper') - self::mean($rack, 'calliper 0.5 0'), 0.003, 'where nothing is said: half way, at 0°');
        $warm = array_map(static fn (): float => (float) GaugeLine::read((string) $rack->answer('thermometer'), Unit::Millimetre)?->celsius, range(1, 600));
        self::assertEqualsWithDelta(23.4, array_sum($warm) / 600, 0.03);
        self::assertEqualsWithDelta([23.2, 23.6], [min($warm), max($warm)], 0.051);
    }

    public function test_signs_and_lengths_of_lines(): void
    {
        self::assertSame(['-0.52', '0.52', '0.52'], array_map(static fn (string $line): ?string => GaugeLine::read($line, Unit::Millimetre)?->typed, ['-0000.52 mm', '+0000.52 mm', '0.52 mm']));
        self::assertEqualsWithDelta([-0.52, 0.52, -5.0], [GaugeLine::read('-0.52 mm', Unit::Inch)?->length?->mm, GaugeLine::read('+0.52 mm', Unit::Inch)?->length?->mm, GaugeLine::read('-5.0 C', Unit::Inch)?->celsius], 1e-12);
        // 200 characters may wait for their end; more is no gauge and is let go of.
        foreach ([[195, 1], [196, 0]] as [$blanks, $readings]) {
            $reader = new LineReader();
            self::assertSame([], $reader->feed(str_repeat(' ', $blanks).'+12.5'));
            self::assertCount($readings, $reader->feed(" mm\n"));
            self::assertCount(1, $reader->feed("+3.5 mm\n"));
        }
    }
}
