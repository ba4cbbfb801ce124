<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Tests\Evaluate\SampleJob;
use PHPUnit\Framework\TestCase;

/** Case 20 of an outside audit: what a job may hold goes out as a file and comes in again. */
final class LimitsTest extends TestCase
{
    private static function withReadings(int $count): string
    {
        $job = new SampleJob();
        $job->read('Housing bore', '30.000', 'three-point');
        $one = $job->facts['readings'][0];
        $job->facts['readings'] = array_map(
            static fn (int $i): array => [...$one, 'id' => "r{$i}", 'remark' => str_repeat('x', 40)],
            range(1, $count),
        );

        return JobFile::write($job->build());
    }

    public function test_20_six_thousand_readings_come_back(): void
    {
        self::assertCount(6001, JobFile::read(self::withReadings(6001))->readings);
        self::assertSame(10000, JobFile::most('readings'));
    }

    public function test_20_more_than_a_job_takes_is_refused_in_words(): void
    {
        $this->expectException(BadInput::class);
        $this->expectExceptionMessage('more than a job takes');
        JobFile::read(self::withReadings(10001));
    }

    public function test_15_moments_in_a_file_are_real(): void
    {
        foreach (['2026-02-30T10:00:00Z', 'yesterday', '2026-02-03'] as $moment) {
            $job = (new SampleJob())->read('Housing bore', '30.000', 'three-point');
            $file = str_replace('"taken_at": null', '"taken_at": "'.$moment.'"', JobFile::write($job->build()));
            try {
                JobFile::read($file);
                self::fail($moment);
            } catch (BadInput $bad) {
                self::assertSame('readings.0.taken_at', $bad->field);
                self::assertStringContainsString('2026-11-24T09:30:00Z', $bad->getMessage());
            }
        }
    }
}
