<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Facts\JobFacts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Laying the code out anew changes no answer: compared with what was frozen before, section by section. Outside values
 * are elsewhere.
 */
final class FrozenAnswersTest extends TestCase
{
    /** @return iterable<string, array{string, JobFacts}> */
    public static function jobs(): iterable
    {
        foreach (EachKind::jobs() as $code => $facts) {
            yield $code => [$code, $facts];
        }
    }

    #[DataProvider('jobs')]
    public function test_a_job_of_each_kind_answers_as_before(string $code, JobFacts $facts): void
    {
        $frozen = self::frozen()['jobs'];
        $now = Sections::of(JobAnswers::of($facts));
        $moved = array_keys(
            array_filter(
                $now,
                static fn (string $sum, string $section): bool => ($frozen[$code][$section] ?? null) !== $sum,
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        self::assertSame(
            [],
            $moved,
            'these sections answer otherwise; where that is meant: php core/tests/reference/freeze_answers.php',
        );
    }

    /** The same further on, in each of its states as a whole. */
    public function test_a_job_in_each_state_answers_as_before(): void
    {
        $frozen = self::frozen()['states'];
        $moved = [];
        foreach (JobStates::all() as $name => $facts) {
            $now = Sections::whole($facts);
            if (($frozen[$name] ?? null) !== $now) {
                $moved[] = $name;
            }
        }
        self::assertSame(
            [],
            $moved,
            'these answer otherwise: compare them by php core/tests/reference/print_answers.php "plain-bush, noted"',
        );
        self::assertGreaterThan(150, count($frozen));
    }

    /** @return array{jobs: array<string, array<string, string>>, states: array<string, string>} */
    private static function frozen(): array
    {
        return json_decode((string) file_get_contents(__DIR__.'/../reference/frozen_answers.json'), true, 8, JSON_THROW_ON_ERROR);
    }
}
