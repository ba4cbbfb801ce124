<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use PHPUnit\Framework\TestCase;

/** Handing over says no more than its rows, and what was decided stands beside what it was decided about. */
final class DecisionsTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function over(SampleJob $job): array
    {
        return json_decode(json_encode(JobAnswers::of($job->build()), JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR)['hand_over'];
    }

    /** @return array<string, mixed> */
    private static function row(SampleJob $job, string $label): array
    {
        return array_column(self::over($job)['sizes'], null, 'label')[$label];
    }

    /** @param  array<string, mixed>  $more */
    private static function decided(SampleJob $job, array $more): SampleJob
    {
        $job->facts['concessions'][] = [
            'id' => 'd'.count($job->facts['concessions'] ?? []),
            'surface' => null,
            'phase' => 'only',
            'joint' => null,
            'loop' => null,
            'cut' => null,
            'by' => 'the bench',
            'why' => 'it only has to clear',
            'at' => null,
            ...$more,
        ];

        return $job;
    }

    /** Only a bush and its outside: cut too small. */
    private static function small(): SampleJob
    {
        $job = SampleJob::measured();
        $job->facts['joints'] = array_values(
            array_filter($job->facts['joints'], static fn (array $j): bool => $j['name'] === 'Bush in housing'),
        );
        $job->facts['surfaces'] = array_values(
            array_filter(
                $job->facts['surfaces'],
                static fn (array $s): bool => ! in_array($s['name'], ['Bush bore', 'Bush length', 'Lead-in chamfer'], true),
            ),
        );
        $job->joint('Bush in housing', ['along' => null]);

        return $job->cut('Bush outside', 'only', null, '29.900');
    }

    public function test_outside_its_limits_asks_and_takes_a_decision(): void
    {
        $job = self::small();
        self::assertSame('below', self::row($job, 'Bush outside')['verdict']);
        self::assertSame('accepted', self::row($job, 'Bush outside')['choices'][0]['decision']);
        self::assertStringContainsString('are outside what was asked', self::over($job)['says']);
        self::assertFalse(self::over($job)['good']);
        $bush = $job->surface('Bush outside');
        $cut = $job->facts['cuts'][0]['id'];
        self::decided($job, ['surface' => $bush, 'cut' => $cut, 'decision' => 'accepted']);
        self::assertSame('accepted as it is, by the bench: it only has to clear', self::row($job, 'Bush outside')['decided']['says']);
        self::assertStringContainsString('One is outside', self::over($job)['says'], 'the fit is not decided yet');
        self::decided($job, ['joint' => $job->facts['joints'][0]['id'], 'decision' => 'accepted']);
        self::assertTrue(self::over($job)['good']);
        self::assertSame('Nothing left open. 2 accepted as it is.', self::over($job)['says']);
        self::assertSame('below', self::row($job, 'Bush outside')['verdict'], 'it stays what it is');
    }

    /** Cut again, it is another size: what was accepted was the one before. */
    public function test_a_decision_is_for_the_size_it_was_given_for(): void
    {
        $job = self::small();
        $bush = $job->surface('Bush outside');
        self::decided($job, ['surface' => $bush, 'cut' => $job->facts['cuts'][0]['id'], 'decision' => 'accepted']);
        $job->cut('Bush outside', 'only', '0.1', '29.800');
        self::assertNull(self::row($job, 'Bush outside')['decided']);
    }

    /** Handed over on purpose: unmade for somebody else, or unmeasured; made inside, there is nothing to decide. */
    public function test_unmade_on_purpose(): void
    {
        // Wide enough for a micrometer to tell.
        $job = self::small()->joint('Bush in housing', [
            'least' => ['typed' => '-0.10', 'unit' => 'mm'],
            'most' => ['typed' => '0', 'unit' => 'mm'],
        ]);
        $job->facts['cuts'] = [];
        $bush = $job->surface('Bush outside');
        self::assertSame(['by others', 'not measured'], array_column(self::row($job, 'Bush outside')['choices'], 'decision'));
        self::assertStringContainsString('1 of 1 still open', self::over($job)['says']);
        self::decided($job, ['surface' => $bush, 'decision' => 'by others']);
        self::assertStringContainsString('1 left to others', self::over($job)['says']);
        self::assertTrue(self::over($job)['good']);
        $band = JobAnswers::of($job->build())->make[0]->band;
        self::assertNotNull($band);
        $job->cut('Bush outside', 'only', null, (string) round($band->middleMm(), 4));
        self::assertSame('inside', self::row($job, 'Bush outside')['verdict']);
        self::assertNull(self::row($job, 'Bush outside')['decided']);
        self::assertSame([], self::row($job, 'Bush outside')['choices']);
    }

    /** What still has metal on it is not outside, it is not finished. */
    public function test_metal_left_is_open_not_wrong(): void
    {
        $job = self::small();
        $job->facts['cuts'] = [];
        $job->cut('Bush outside', 'only', null, '31.000');
        $row = self::row($job, 'Bush outside');
        self::assertSame([null, 'metal still on it'], [$row['verdict'], $row['verdict_says']]);
        self::assertStringContainsString('still open', self::over($job)['says']);
    }
}
