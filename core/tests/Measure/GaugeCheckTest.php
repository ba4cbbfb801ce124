<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Measure\GaugeCheck;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Tests\Evaluate\SampleJob;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is subtracted is what the gauge read over (JCGM 200 correction: compensation for a systematic error). */
final class GaugeCheckTest extends TestCase
{
    private static function check(float $read, float $true, string $at): GaugeCheck
    {
        return new GaugeCheck($read, $true, new \DateTimeImmutable($at));
    }

    /** @return list<string> */
    private static function codes(GaugeCheck ...$checks): array
    {
        return array_map(
            static fn (Note $n): string => $n->code,
            GaugeCheck::verdict(
                Instrument::named('outside-micrometer'),
                array_values($checks),
                new \DateTimeImmutable('2026-11-24'),
            ),
        );
    }

    public function test_the_correction_is_true_less_read(): void
    {
        self::assertEqualsWithDelta(-0.003, self::check(25.003, 25.0, '2026-11-01')->correctionMm(), 1e-9);
        self::assertEqualsWithDelta(0.002, self::check(24.998, 25.0, '2026-11-01')->correctionMm(), 1e-9);
    }

    #[TestWith([1.0])]
    #[TestWith([-1.0])]
    public function test_two_sizes_of_no_one_master_are_refused(float $way): void
    {
        self::check(25.0 + 0.9 * $way, 25.0, '2026-11-01');
        $this->expectException(BadInput::class);
        self::check(25.0 + 2 * $way, 25.0, '2026-11-01');
    }

    public function test_what_the_checks_say(): void
    {
        self::assertSame(['never-checked'], self::codes());
        self::assertSame(['checked'], self::codes(self::check(25.0, 25.0, '2026-11-01')));
        self::assertContains('check-due', self::codes(self::check(25.0, 25.0, '2025-11-01')));
        self::assertNotContains('check-due', self::codes(self::check(25.0, 25.0, '2025-12-01')));
        self::assertContains(
            'drift',
            self::codes(self::check(25.0, 25.0, '2026-05-01'), self::check(25.003, 25.0, '2026-11-01')),
        );
        self::assertContains('beyond-its-limits', self::codes(self::check(25.03, 25.0, '2026-11-01')));
    }

    /**
     * By hand: may err 0.02, repeats to 0.005, shows 0.01: up to 0.02 + 2 · 0.005 + 0.01 = 0.04 is no fault (common
     * practice).
     */
    public function test_how_far_off_is_a_fault(): void
    {
        $tool = new Instrument(0.01, repeatabilityMm: 0.005, mpeMm: 0.02);
        $codes = static fn (GaugeCheck ...$checks): array => array_map(
            static fn (Note $n): string => $n->code,
            GaugeCheck::verdict($tool, array_values($checks), new \DateTimeImmutable('2026-11-24')),
        );
        self::assertSame(['checked'], $codes(self::check(25.039, 25.0, '2026-11-01')));
        self::assertSame(['checked', 'beyond-its-limits'], $codes(self::check(25.041, 25.0, '2026-11-01')));
        self::assertSame(['checked', 'beyond-its-limits'], $codes(self::check(24.959, 25.0, '2026-11-01')));
        self::assertSame(
            ['checked'],
            $codes(self::check(25.0, 25.0, '2026-05-01'), self::check(24.991, 25.0, '2026-11-01')),
            'under one digit is no drift',
        );
        self::assertSame(
            ['checked', 'drift'],
            $codes(self::check(25.0, 25.0, '2026-05-01'), self::check(24.989, 25.0, '2026-11-01')),
        );
        self::assertSame(['checked'], $codes(self::check(25.0, 25.0, '2025-11-24')), 'a year to the day');
        self::assertSame(['checked', 'check-due'], $codes(self::check(25.0, 25.0, '2025-11-23')));
    }

    /** An old error is not said to be corrected for, since it is not. */
    public function test_an_old_check_promises_no_correction(): void
    {
        $say = static fn (string $at): string => json_encode(
            GaugeCheck::verdict(
                Instrument::named('outside-micrometer'),
                [self::check(25.001, 25.0, $at)],
                new \DateTimeImmutable('2026-11-24'),
            ),
            JSON_THROW_ON_ERROR,
        );
        self::assertStringContainsString('are corrected', $say('2026-11-01'));
        self::assertStringNotContainsString('are corrected', $say('2025-09-01'));
    }

    /** Read 22.003 with a gauge that reads 0.003 over: found 22.000, and it says so. */
    public function test_a_corrected_reading(): void
    {
        $job = (new SampleJob())
            ->answered()
            ->materials()
            ->read('Shaft journal', '22.003', 'outside-micrometer', 'middle', '0');
        $job->facts['readings'][0]['correction_mm'] = -0.003;
        foreach (JobAnswers::of($job->build())->surfaces as $surface) {
            if ($surface->surface->name === 'Shaft journal') {
                self::assertEqualsWithDelta(22.0, $surface->found->meanMm ?? 0, 1e-6);
                self::assertContains(
                    'corrected',
                    array_map(static fn (Note $n): string => $n->code, $surface->found?->notes() ?? []),
                );
            }
        }
    }

    /** A gauge that shows 25.003 on 25.000 reads over, one that shows 24.998 under. */
    public function test_which_way_it_is_off(): void
    {
        $says = static fn (GaugeCheck $check): string => GaugeCheck::verdict(new Instrument(0.001), [$check], new \DateTimeImmutable('2026-11-24'))[0]->say->mm;
        self::assertStringStartsWith('Reads 0.003 mm over', $says(self::check(25.003, 25.0, '2026-11-01')));
        self::assertStringStartsWith('Reads 0.002 mm under', $says(self::check(24.998, 25.0, '2026-11-01')));
        self::assertSame('Reads true.', $says(self::check(25.0, 25.0, '2026-11-01')));
    }
}
