<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Job\Evaluator;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\PinPair;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Tests\Job\SampleJob;
use PHPUnit\Framework\TestCase;

/** Readings by a go and a no-go pin, and sums of readings. */
final class PinsAndSumsTest extends TestCase
{
    public function test_a_pair_is_its_middle_and_how_far_apart(): void
    {
        foreach (['12.675 go 12.700', '12.675 go 12.700 no-go', '12,675 GO 12,7 no go', '12.675 mm go 0.5 in'] as $typed) {
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
        $found = (new Readings(SurfaceKind::Bore, [new Reading(12.6875, 'mouth', '0', 20.0, 20.0, null, 0.025)], Instrument::named('pins')))->found();
        self::assertEqualsWithDelta(12.6875, $found->meanMm, 1e-9);
        self::assertEqualsWithDelta(0.014855, $found->u95Mm, 1e-6);
        self::assertSame('last digit', $found->budget[0]->source);
    }

    /**
     * A depth as over-all less a part, each read once: u doubles in square (JCGM 100:2008, 5.1.2). By hand for an outside
     * micrometer, r 0.001, MPE 0.004, repeatability 0.001: 2 √2 √(0.001²/12 + 0.004²/3 + 0.001²) = 0.007165 mm.
     */
    public function test_a_sum_counts_its_gauge_for_each_reading(): void
    {
        $tool = Instrument::named('outside-micrometer');
        $u = static fn (int $terms): float => (new Readings(SurfaceKind::Length, [new Reading(40.0, '1', '0', 20.0, 20.0, null, null, $terms)], $tool))->found()->u95Mm;
        self::assertEqualsWithDelta(0.007165, $u(2), 1e-6);
        self::assertEqualsWithDelta(0.007165 / sqrt(2), $u(1), 1e-6);
        foreach (['1.574' => 1, '1-5/16' => 1, '3.1875-1.062' => 2, '(3.1875+1.062)/2' => 2, '1+2+3' => 3, '27/64' => 1, 'M12' => 1, '2*1.5' => 1] as $typed => $terms) {
            self::assertSame($terms, LengthReader::read((string) $typed, Unit::Inch)->terms, (string) $typed);
        }
    }

    /** The pair goes all the way through a job; nothing but a reading is typed so. */
    public function test_a_pair_in_a_job(): void
    {
        $job = (new SampleJob)->answered()->materials()->read('Shaft journal', '22.200', 'outside-micrometer', 'middle', '0');
        $job->facts['readings'][0]['value'] = ['typed' => '22.19 go 22.21', 'unit' => 'mm'];
        foreach ((new Evaluator)->evaluate($job->build())->surfaces as $surface) {
            if ($surface->surface->name === 'Shaft journal') {
                self::assertEqualsWithDelta(22.2, $surface->found->meanMm ?? 0, 1e-3);
                self::assertContains('between-pins', array_map(static fn (Note $n): string => $n->code, $surface->notes));
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
        $pieces = ['12.7', ' go ', 'go', ' no-go', '1/2', ' ', 'in', 'mm', '-', '+', '(', ',', '”', "\xff", '9e9', 'thou', '#7', 'GO '];
        for ($i = 0; $i < 5000; $i++) {
            $typed = implode('', array_map(static fn (): string => $pieces[mt_rand(0, count($pieces) - 1)], range(0, mt_rand(0, 7))));
            try {
                $read = PinPair::read($typed, Unit::Inch);
                self::assertTrue($read === null || ($read->betweenMm > 0 && $read->betweenMm <= 1 && $read->length->mm >= 0), $typed);
            } catch (BadInput $bad) {
                self::assertGreaterThan(20, strlen($bad->getMessage()));
            }
        }
    }

    /** Two pairs of one bore: the wider pair decides how sure it is, the narrower a gauge's last digit. */
    public function test_the_widest_pair_decides(): void
    {
        $u = static fn (float ...$between): float => (new Readings(SurfaceKind::Bore, array_map(static fn (float $b): Reading => new Reading(12.7, '1', '0', 20.0, 20.0, null, $b), array_values($between)), new Instrument(0.05)))->found()->u95Mm;
        self::assertEqualsWithDelta(2 * 0.02 / sqrt(12), $u(0.02), 1e-9);
        self::assertEqualsWithDelta($u(0.03), $u(0.01, 0.03), 1e-9);
    }
}
