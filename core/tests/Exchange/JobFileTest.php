<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Tests\Evaluate\SampleJob;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class JobFileTest extends TestCase
{
    public function test_round_trips_without_loss(): void
    {
        $facts = SampleJob::measured()
            ->cut('Bush outside', 'only', '0.2', '30.3')
            ->cut('Bush outside', 'only', null, '30.02')
            ->build();
        $text = JobFile::write($facts);
        $again = JobFile::read($text);
        self::assertSame($text, JobFile::write($again));
        self::assertEquals($facts, $again);
        self::assertSame(json_encode(JobAnswers::of($facts)), json_encode(JobAnswers::of($again)));
    }

    public function test_what_was_typed_is_in_the_file(): void
    {
        $job = (new SampleJob())->read('Housing bore', '1-3/16', 'calliper');
        $reading = JobFile::toArray(JobFile::read(JobFile::write($job->build())))['readings'][0];
        self::assertSame(['1-3/16', 'mm'], [$reading['value']['typed'], $reading['value']['unit']]);
        self::assertEqualsWithDelta(30.1625, $reading['value']['mm'], 1e-9);
    }

    /** @return iterable<string, array{callable(array<string, mixed>): mixed, string}> */
    public static function damage(): iterable
    {
        yield 'not the format' => [static fn (array $f): array => [...$f, 'format' => 'other'], 'format'];
        yield 'a newer version' => [static fn (array $f): array => [...$f, 'version' => 4], 'version'];
        yield 'an unknown key' => [static fn (array $f): array => [...$f, 'extra' => 1], 'file'];
        yield 'a part lost' => [
            static function (array $f): array {
                unset($f['parts']);

                return $f;
            },
            'file',
        ];
        yield 'mm changed by hand' => [
            static function (array $f): array {
                $f['readings'][0]['value']['mm'] = 31.0;

                return $f;
            },
            'readings.0.value',
        ];
        yield 'an unreadable size' => [
            static function (array $f): array {
                $f['readings'][0]['value'] = ['typed' => 'big', 'unit' => 'mm'];

                return $f;
            },
            'readings.0.value',
        ];
        yield 'a dangling surface' => [
            static function (array $f): array {
                $f['readings'][0]['surface'] = 'gone';

                return $f;
            },
            'readings.0.surface',
        ];
        yield 'a strange kind of surface' => [
            static function (array $f): array {
                $f['surfaces'][0]['kind'] = 'cone';

                return $f;
            },
            'surfaces.0.kind',
        ];
    }

    /** @param  callable(array<string, mixed>): mixed  $damage */
    #[DataProvider('damage')]
    public function test_a_damaged_file_is_refused_by_field(callable $damage, string $field): void
    {
        $text = json_encode($damage(JobFile::toArray(SampleJob::measured()->build())), JSON_THROW_ON_ERROR);
        try {
            JobFile::read($text);
            self::fail('should have been refused');
        } catch (BadInput $bad) {
            self::assertSame($field, $bad->field);
            self::assertGreaterThan(20, strlen($bad->getMessage()));
        }
    }

    public function test_other_texts_are_refused(): void
    {
        foreach (['', 'hello', '[]', '3', 'null', '{}', str_repeat(' ', JobFile::MAX_BYTES + 1)] as $text) {
            try {
                JobFile::read($text);
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertStringNotContainsString('Exception', $bad->getMessage());
            }
        }
    }
}
