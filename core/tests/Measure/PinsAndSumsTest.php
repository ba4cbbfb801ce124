<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Comparison;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\PinPair;
use Oldpart\Core\Quantity\ReadingReader;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Tests\Evaluate\SampleJob;
use PHPUnit\Framework\TestCase;

/** Readings by a go and a no-go pin, and sums of readings. */
final class PinsAndSumsTest extends TestCase
{
    public function test_a_pair_is_its_middle_and_how_far_apart(): void
    {
        foreach (
            ['12.675 go 12.700', '12.675 go 12.700 no-go', '12,675 GO 12,7 no go', '12.675 mm go 0.5 in'] as $typed
        ) {
            $read = PinPair::read($typed, Unit::Millimetre);
            self::assertEqualsWithDelta(12.6875, $read->length->mm ?? 0, 1e-9, $typed);
            self::assertEqualsWithDelta(0.025, $read->betweenMm ?? 0, 1e-9, $typed);
            self::assertSame($typed, $read?->typed);
        }
        self::assertNull(PinPair::read('12.675', Unit::Millimetre));
        self::assertNull(PinPair::read('', Unit::Millimetre));
    }

    public function test_what_is_no_pair_is_refused(): void
    {
        foreach (['12.7 go 12.7', '12.7 go 17.2', '12.7 go smudge', 'x go 12.7', '12.7 go 12.72 go 12.74'] as $typed) {
            try {
                PinPair::read($typed, Unit::Millimetre);
                self::fail("“{$typed}” was taken.");
            } catch (BadInput $bad) {
                self::assertSame('text', $bad->field);
            }
        }
    }

    /**
     * Uniform between limits 2a apart: u = 2a/√12 (JCGM 100:2008, 4.3.7). By hand for pins 0.025 mm apart, each good to
     * 0.0025 mm, repeatability 0.001 mm: 2 √(0.025²/12 + 0.0025²/3 + 0.001²) = 0.014855 mm.
     */
    public function test_anywhere_between_the_two_is_as_likely(): void
    {
        $found = (new Readings(
            SurfaceKind::Bore,
            [new Reading(12.6875, 'mouth', '0', 20.0, 20.0, null, 0.025)],
            Instrument::named('pins'),
        ))->found();
        self::assertEqualsWithDelta(12.6875, $found->meanMm, 1e-9);
        self::assertEqualsWithDelta(0.014855, $found->u95Mm, 1e-6);
        self::assertSame('last digit', $found->budget()[0]->source);
    }

    /**
     * How often a gauge counts in a sum, by hand for an outside micrometer, r 0.001, MPE 0.004, repeatability 0.001,
     * from u² = Σ cᵢ² u(xᵢ)² (JCGM 100:2008, 5.1.2), the permissible error taken as going the same way where that is
     * worse (5.2.2): a depth as over-all less a part, 2 √(2 (0.001²/12 + 0.004²/3 + 0.001²)) = 0.007165 mm; a mean of
     * two, whose errors of one gauge do not shrink, 2 √(½ 0.001²/12 + 0.004²/3 + ½ 0.001²) = 0.004848 mm; a centre
     * distance as the outside less half of each hole, factor √1.5, 2 √(1.5 · 0.0000064167) = 0.006205 mm; a pile of
     * two, the error twice, 2 √(2 · 0.001²/12 + 4 · 0.004²/3 + 2 · 0.001²) = 0.009695 mm.
     */
    public function test_a_sum_counts_its_gauge_by_how_often_each_size_stands_in_it(): void
    {
        $tool = Instrument::named('outside-micrometer');
        $u = static function (string $typed) use ($tool): float {
            $read = LengthReader::read($typed, Unit::Millimetre);

            return (new Readings(
                SurfaceKind::Length,
                [new Reading($read->length->mm, '1', '0', 20.0, 20.0, null, null, $read->weights)],
                $tool,
            ))->found()->u95Mm;
        };
        self::assertEqualsWithDelta(0.007165, $u('60.5-20.5'), 1e-6);
        self::assertEqualsWithDelta(0.007165 / sqrt(2), $u('40'), 1e-6);
        self::assertEqualsWithDelta(0.004848, $u('(40+40.002)/2'), 1e-6);
        self::assertEqualsWithDelta(0.006205, $u('60-(10+12)/2'), 1e-6);
        self::assertEqualsWithDelta(0.009695, $u('20+20'), 1e-6);
    }

    /** By hand: what each size in a sum is multiplied by. */
    public function test_the_weights_of_a_sum(): void
    {
        foreach (
            [
                '1.574' => [1.0],
                '1-5/16' => [1.0],
                '27/64' => [1.0],
                'M12' => [1.0],
                '3.1875-1.062' => [1.0, -1.0],
                '(3.1875+1.062)/2' => [0.5, 0.5],
                '1+2+3' => [1.0, 1.0, 1.0],
                '2*1.5' => [2.0],
                '1.5*2' => [2.0],
                '1/2+3mm' => [1.0, 1.0],
                '10-(1-(2-3))' => [1.0, -1.0, 1.0, -1.0],
                '(1+2)mm/4' => [0.25, 0.25],
            ] as $typed => $weights
        ) {
            self::assertEqualsWithDelta(
                $weights,
                LengthReader::read((string) $typed, Unit::Inch)->weights,
                1e-12,
                (string) $typed,
            );
        }
    }

    /**
     * Set on a master, only repeatability, last digit and the master count (common metrology practice). By hand for a
     * calliper, r 0.01, repeatability 0.01, on a master good to 0.002 (k = 2): 2 √(0.01²/12 + 0.01² + 0.001²) =
     * 0.020913 mm, against 2 √(0.01²/12 + 0.01² + 0.02²/3) = 0.031091 mm without.
     */
    public function test_a_comparison_loses_the_gauges_own_error(): void
    {
        $read = Comparison::read('27.000 set -0.03', Unit::Millimetre);
        self::assertNotNull($read);
        self::assertEqualsWithDelta(26.97, $read->length->mm, 1e-9);
        $u = static fn (?float $master): float => (new Readings(
            SurfaceKind::Shaft,
            [new Reading(26.97, '1', '0', 20.0, 20.0, masterMm: $master)],
            Instrument::named('calliper'),
        ))->found()->u95Mm;
        self::assertEqualsWithDelta(0.020913, $u($read->masterMm), 1e-6);
        self::assertEqualsWithDelta(0.031091, $u(null), 1e-6);
        self::assertEqualsWithDelta(27.0127, Comparison::read('27 mm set 5 tenths', Unit::Inch)->length->mm ?? 0, 1e-9);
        self::assertNull(Comparison::read('27.000', Unit::Millimetre));
        foreach (['27 set 3', '27 set', ' set 1', '27 set x', '0.001 set -0.01', '1 set 0.1 set 0.1'] as $typed) {
            try {
                ReadingReader::read($typed, Unit::Millimetre);
                self::fail("“{$typed}” was taken.");
            } catch (BadInput $bad) {
                self::assertSame('text', $bad->field, $typed);
            }
        }
    }

    /**
     * Two instruments on one surface: each spot is as sure as what read it. A bore read 28.560 with a micrometer-sure
     * gauge at its smallest and largest spot, and by calliper between them: the calliper does not spoil what decides.
     */
    public function test_each_reading_counts_with_its_own_instrument(): void
    {
        $fine = Instrument::named('three-point');
        $rough = Instrument::named('calliper');
        $at = static fn (float $mm, string $station, Instrument $tool): Reading => new Reading(
            $mm,
            $station,
            '0',
            20.0,
            20.0,
            instrument: $tool,
        );
        $u = static fn (Reading ...$readings): float => (new Readings(
            SurfaceKind::Bore,
            array_values($readings),
            $fine,
        ))->found()->u95Mm;
        $alone = $u($at(28.56, '1', $fine), $at(28.58, '3', $fine));
        self::assertEqualsWithDelta(
            $alone,
            $u($at(28.56, '1', $fine), $at(28.57, '2', $rough), $at(28.58, '3', $fine)),
            1e-9,
        );
        self::assertGreaterThan(
            2 * $alone,
            $u($at(28.56, '1', $fine), $at(28.57, '2', $fine), $at(28.59, '3', $rough)),
        );
    }

    /** The zero error of a gauge drops out of a difference, and is not there at all where it was set on a master. */
    public function test_a_correction_counts_as_often_as_its_sizes(): void
    {
        foreach (
            ['22.200' => 22.21, '30.2-8' => 22.2, '(22.1+22.3)/2' => 22.21, '22 set 0.2' => 22.2] as $typed => $mm
        ) {
            $job = (new SampleJob())
                ->answered()
                ->materials()
                ->read('Shaft journal', '22.200', 'outside-micrometer', 'middle', '0');
            $job->facts['readings'][0]['value'] = ['typed' => $typed, 'unit' => 'mm'];
            $job->facts['readings'][0]['correction_mm'] = 0.01;
            foreach (JobAnswers::of($job->build())->surfaces as $surface) {
                if ($surface->surface->name === 'Shaft journal') {
                    self::assertEqualsWithDelta($mm, $surface->found->meanMm ?? 0, 1e-4, $typed);
                }
            }
        }
    }

    /** The pair goes all the way through a job; nothing but a reading is typed so. */
    public function test_a_pair_in_a_job(): void
    {
        $job = (new SampleJob())
            ->answered()
            ->materials()
            ->read('Shaft journal', '22.200', 'outside-micrometer', 'middle', '0');
        $job->facts['readings'][0]['value'] = ['typed' => '22.19 go 22.21', 'unit' => 'mm'];
        foreach (JobAnswers::of($job->build())->surfaces as $surface) {
            if ($surface->surface->name === 'Shaft journal') {
                self::assertEqualsWithDelta(22.2, $surface->found->meanMm ?? 0, 1e-3);
                self::assertContains(
                    'between-pins',
                    array_map(static fn (Note $n): string => $n->code, $surface->found?->notes() ?? []),
                );
            }
        }
        $this->expectException(BadInput::class);
        $job->facts['surfaces'][0]['size'] = ['typed' => '22.19 go 22.21', 'unit' => 'mm'];
        $job->build();
    }

    /** Whatever is typed, it is a pair, no pair, or refused in words. */
    public function test_anything_at_all_typed(): void
    {
        mt_srand(20261127);
        $pieces = [
            '12.7',
            ' go ',
            'go',
            ' no-go',
            '1/2',
            ' ',
            'in',
            'mm',
            '-',
            '+',
            '(',
            ',',
            '”',
            "\xff",
            '9e9',
            'thou',
            '#7',
            'GO ',
        ];
        for ($i = 0; $i < 5000; $i++) {
            $typed = implode(
                '',
                array_map(static fn (): string => $pieces[mt_rand(0, count($pieces) - 1)], range(0, mt_rand(0, 7))),
            );
            try {
                $read = PinPair::read($typed, Unit::Inch);
                self::assertTrue(
                    $read === null || ($read->betweenMm > 0 && $read->betweenMm <= 1 && $read->length->mm >= 0),
                    $typed,
                );
            } catch (BadInput $bad) {
                self::assertGreaterThan(20, strlen($bad->getMessage()));
            }
        }
    }

    /** Two pairs of one bore: the wider pair decides how sure it is, the narrower a gauge's last digit. */
    public function test_the_widest_pair_decides(): void
    {
        $u = static fn (float ...$between): float => (new Readings(
            SurfaceKind::Bore,
            array_map(
                static fn (float $b): Reading => new Reading(12.7, '1', '0', 20.0, 20.0, null, $b),
                array_values($between),
            ),
            new Instrument(0.05),
        ))->found()->u95Mm;
        self::assertEqualsWithDelta((2 * 0.02) / sqrt(12), $u(0.02), 1e-9);
        self::assertEqualsWithDelta($u(0.03), $u(0.01, 0.03), 1e-9);
    }
}
