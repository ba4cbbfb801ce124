<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Making\LoggedCut;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use PHPUnit\Framework\TestCase;

/** Every surface of what is made has its number: asked for by a joint, by itself, or free. */
final class RestOfPartTest extends TestCase
{
    /** @param  array<string, mixed>  $surface */
    private static function with(SampleJob $job, array $surface): SampleJob
    {
        $bush = array_values(array_filter(
            $job->facts['surfaces'],
            static fn (array $s): bool => $s['name'] === 'Bush outside',
        ))[0];
        $job->facts['surfaces'][] = [
            ...$bush,
            'id' => 'rim',
            'name' => 'Rim',
            'kind' => 'shaft',
            'size' => ['typed' => '50', 'unit' => 'mm'],
            'criticality' => 'clearance',
            'source' => null,
            'demand' => null,
            ...$surface,
        ];

        return $job;
    }

    private static function entry(SampleJob $job, string $label = 'Rim'): MakeEntry
    {
        foreach (JobAnswers::of($job->build())->make as $entry) {
            if ($entry->label === $label) {
                return $entry;
            }
        }
        self::fail("no {$label}");
    }

    /** @return array<string, mixed> */
    private static function asks(string $kind, ?string $plus = null, ?string $minus = null, ?string $class = null): array
    {
        $mm = static fn (?string $t): ?array => $t === null ? null : ['typed' => $t, 'unit' => 'mm'];

        return ['demand' => ['kind' => $kind, 'plus' => $mm($plus), 'minus' => $mm($minus), 'class' => $class]];
    }

    /** ISO 2768-1: 50 is ±0.3 in class m, ±0.15 in f; what is taken because nothing is said, is said. */
    public function test_what_nobody_asks_for_is_free_and_says_so(): void
    {
        $free = self::entry(self::with(SampleJob::measured(), []));
        self::assertEqualsWithDelta([49.7, 50.3], [$free->band?->lowerMm, $free->band?->upperMm], 1e-9);
        self::assertTrue($free->rest && $free->free);
        self::assertStringContainsString('Nothing says what it may be', $free->remarks[0]->mm);
        $fine = self::entry(self::with(SampleJob::measured(), self::asks('free', class: 'f')));
        self::assertEqualsWithDelta([49.85, 50.15], [$fine->band?->lowerMm, $fine->band?->upperMm], 1e-9);
        self::assertStringStartsWith('Free: ±', $fine->remarks[0]->mm);
        $matters = self::entry(self::with(SampleJob::measured(), ['criticality' => 'critical']));
        self::assertFalse($matters->free, 'what matters is measured, and somebody says its limits');
        self::assertStringContainsString('say its limits at Survey', $matters->remarks[0]->mm);
        $comes = self::entry(self::with(SampleJob::measured(), ['criticality' => 'as it comes']));
        self::assertSame([null, true], [$comes->band, $comes->free]);
        self::assertStringContainsString('about 50.000 mm', $comes->remarks[0]->mm);
        $guess = self::entry(self::with(SampleJob::measured(), ['source' => 'guess']));
        self::assertStringContainsString('look again before you cut', $guess->remarks[0]->mm);
    }

    public function test_limits_of_its_own(): void
    {
        $band = static function (array $surface): array {
            $entry = self::entry(self::with(SampleJob::measured(), $surface));

            return [$entry->band?->lowerMm, $entry->band?->upperMm, $entry->free];
        };
        self::assertEqualsWithDelta([49.9, 50.05, false], $band(self::asks('limits', '0.05', '0.1')), 1e-9);
        self::assertEqualsWithDelta([49.7, 50.0, false], $band(self::asks('not-over')), 1e-9);
        self::assertEqualsWithDelta([50.0, 50.8, false], $band(self::asks('not-under', class: 'c')), 1e-9);
        self::assertSame([null, null, true], $band(self::asks('as-it-comes')));
        self::assertSame([null, null, false], $band(self::asks('limits')), 'limits of nothing are none');
        self::assertSame([null, null, false], $band(self::asks('limits', '0.1', '50')), 'nothing is smaller than nothing');
        $says = self::entry(self::with(SampleJob::measured(), self::asks('limits', '0.05', '0.1')))->remarks[0]->mm;
        self::assertSame('Its own limits: 50.000 mm, over it by 0.050 mm, under it by 0.100 mm at most.', $says);
        self::assertSame([null, null, false], $band(['size' => null]), 'without a size it asks for one');
    }

    /** The bush's outside is asked for by its press fit and for itself: the band is where both agree, inside each. */
    public function test_demands_agree_or_are_both_named(): void
    {
        $job = SampleJob::measured();
        $joint = self::entry($job, 'Bush outside')->band;
        self::assertNotNull($joint);
        $own = static function (SampleJob $job, float $size, string $plus, string $minus): SampleJob {
            foreach ($job->facts['surfaces'] as &$surface) {
                if ($surface['name'] === 'Bush outside') {
                    $surface = [...$surface, ...self::asks('limits', $plus, $minus)];
                    $surface['size'] = ['typed' => number_format($size, 4, '.', ''), 'unit' => 'mm'];
                }
            }
            unset($surface);

            return $job;
        };
        $narrow = self::entry($own(SampleJob::measured(), round($joint->middleMm(), 3), '0.001', '0.5'), 'Bush outside');
        self::assertEqualsWithDelta($joint->lowerMm, $narrow->band->lowerMm ?? 0, 1e-9);
        self::assertEqualsWithDelta(round($joint->middleMm(), 3) + 0.001, $narrow->band->upperMm ?? 0, 1e-9);
        self::assertFalse($narrow->rest);
        $apart = self::entry($own(SampleJob::measured(), 29.0, '0.01', '0.01'), 'Bush outside');
        self::assertNull($apart->band);
        self::assertStringContainsString('“Bush in housing” asks for', $apart->blocked->mm ?? '');
        self::assertStringContainsString('28.990 to 29.010', $apart->blocked->mm ?? '');
    }

    /** It is cut and judged as any other; free and never measured, it does not hold the hand-over up. */
    public function test_the_rest_has_its_log_and_its_row(): void
    {
        $job = self::with(SampleJob::measured(), self::asks('limits', '0.05', '0.05'));
        $job->cut('Rim', 'only', null, '50.02');
        self::assertSame('inside', self::entry($job)->verdict);
        $rows = static fn (SampleJob $job): array => array_column(
            json_decode((string) json_encode(JobAnswers::of($job->build())->handOver), true)['sizes'],
            'verdict',
            'label',
        );
        self::assertSame('inside', $rows($job)['Rim']);
        self::assertSame('free', $rows(self::with(SampleJob::measured(), []))['Rim']);
        self::assertNull($rows(self::with(SampleJob::measured(), self::asks('not-over')))['Rim']);
        // Only what nobody measured and nobody decided about is counted as free and not measured.
        $free = self::with(SampleJob::measured(), []);
        $says = static fn (SampleJob $job): string => json_decode((string) json_encode(JobAnswers::of($job->build())->handOver), true)['says'];
        self::assertStringContainsString('1 free and not measured', $says($free));
        $free->facts['concessions'][] = [
            'id' => 'd1', 'surface' => 'rim', 'phase' => 'only', 'joint' => null, 'loop' => null, 'cut' => null,
            'decision' => 'not measured', 'by' => 'the bench', 'why' => 'it clears by far', 'at' => null,
        ];
        self::assertStringContainsString('1 handed over unmeasured', $says($free));
        self::assertStringNotContainsString('free and not measured', $says($free));
    }

    /** What nobody fits anything to is aimed at the middle: 52.0 now, 50.0 wanted, 2.0 left. */
    public function test_the_rest_is_aimed_at_its_middle(): void
    {
        $job = self::with(SampleJob::measured(), [])->cut('Rim', 'only', null, '52.000');
        foreach (JobAnswers::of($job->build())->making as $cut) {
            if ($cut->entry->label === 'Rim') {
                self::assertEqualsWithDelta(2.0, $cut->next->leftMm ?? 0, 0.002);
                $shown = $cut->entry->jsonSerialize();
                self::assertSame(['50.000', 'anywhere from 49.700 to 50.300'], [$shown['aim']->mm, $shown['limit']->mm]);
            }
        }
    }

    public function test_a_cut_where_nothing_is_made_is_refused(): void
    {
        $job = SampleJob::measured()->cut('Housing bore', 'only', null, '30.1');
        $facts = $job->build();
        $this->expectException(BadInput::class);
        $this->expectExceptionMessage('“Housing bore” has no number to cut to');
        LoggedCut::check($facts, JobAnswers::of($facts)->make, $facts->cuts[0]->id);
    }

    /** While a stop stands, no size of the rest is said either. */
    public function test_a_stop_withholds_the_rest(): void
    {
        $job = self::with(SampleJob::measured(), []);
        $job->facts['take_in']['gates'] = ['pressure'];
        self::assertNull(self::entry($job)->band);
        self::assertStringNotContainsString('49.7', (string) json_encode(JobAnswers::of($job->build())));
    }
}
