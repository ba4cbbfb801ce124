<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Answer\SurfaceAnswer;
use Oldpart\Core\Evaluate\Shapes\JudgedPart;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use PHPUnit\Framework\TestCase;

/** Datums, weights, quotes and letters of a whole job. */
final class SurveyTest extends TestCase
{
    private static function answers(SampleJob $job): JobAnswers
    {
        return JobAnswers::of($job->build());
    }

    /** @param  array<string, mixed>  $changes */
    private static function with(SampleJob $job, string $list, string $name, array $changes): SampleJob
    {
        foreach ($job->facts[$list] as &$thing) {
            $thing = $thing['name'] === $name ? [...$thing, ...$changes] : $thing;
        }

        return $job;
    }

    /** A worn bore is no datum; when nothing else is left the survey says so (common practice, no source). */
    public function test_datums(): void
    {
        $job = new SampleJob();
        $names = array_map(static fn ($s): string => $s->name, self::answers($job)->survey->datums->candidates);
        self::assertContains('Boss outside', $names);
        self::assertNotContains('Housing bore', $names, 'it is worn');
        self::with($job, 'surfaces', 'Boss outside', ['condition' => 'damaged']);
        $datums = self::answers($job)->survey->datums;
        self::assertTrue($datums->none);
        self::assertSame('no-datum', $datums->notes[0]->code);
        self::with($job, 'surfaces', 'Housing bore', ['datum' => true]);
        self::assertContains(
            'worn-datum',
            array_map(static fn ($n): string => $n->code, self::answers($job)->survey->datums->notes),
        );
    }

    /** A steel bar 120 × 300 mm weighs π/4 · 1.2² · 3 dm³ · 7.87 = 26.7 kg: over 20 kg a crane or a helper. */
    public function test_weight_and_the_lifting_caution(): void
    {
        $shaft = static fn (string $size): SampleJob => self::with(
            self::with(new SampleJob(), 'parts', 'Shaft', ['material' => 'low-carbon steel, cold drawn']),
            'surfaces',
            'Shaft journal',
            [
                'size' => ['typed' => $size, 'unit' => 'mm'],
                'long' => ['typed' => '300', 'unit' => 'mm'],
                'at' => ['typed' => '0', 'unit' => 'mm'],
                'source' => 'drawing',
            ],
        );
        $heavy = self::answers($shaft('120'))->survey->parts[1];
        self::assertEqualsWithDelta((M_PI / 4) * 1.2 ** 2 * 3 * 7.87, $heavy->body['mass_kg'] ?? 0, 1e-6);
        self::assertContains('heavy', array_map(static fn ($n): string => $n->code, $heavy->notes));
        self::assertContains(
            'lift-weight',
            array_map(static fn ($c): string => $c->code, self::answers($shaft('120'))->assembly->cautions),
        );
        self::assertNotContains(
            'heavy',
            array_map(static fn ($n): string => $n->code, self::answers($shaft('100'))->survey->parts[1]->notes),
        );
        self::assertNull(self::answers(new SampleJob())->survey->parts[1]->body, 'nothing is weighed from a sketch');
        // The housing's bore, outside and length are measured: π/4 (6² − 3²) · 4 cm³ of iron at 7.15.
        $housing = self::answers(SampleJob::measured())->survey->parts[0]->body;
        self::assertEqualsWithDelta((M_PI / 4) * (36 - 9) * 4 * 7.15e-3, $housing['mass_kg'] ?? 0, 1e-6);
        $unsure = self::with(SampleJob::measured(), 'surfaces', 'Boss outside', ['long' => null, 'at' => null]);
        $unsure->facts['readings'] = array_values(
            array_filter(
                $unsure->facts['readings'],
                static fn (array $r): bool => $r['surface'] !== $unsure->surface('Housing length'),
            ),
        );
        self::assertNull(self::answers($unsure)->survey->parts[0]->body, 'its length is only sketched');
    }

    /**
     * What its hardness was found to be goes before what such a steel mostly is: 55 HRC is ground; at 200 HB, below what
     * ISO 18265 gives a Rockwell number for, it was annealed and is cut and welded like any other.
     */
    public function test_a_hardness_that_was_taken_counts(): void
    {
        $codes = static fn (?array $hardness): array => array_map(
            static fn (Note $n): string => $n->code,
            array_values(array_filter(
                self::answers(self::with(new SampleJob(), 'parts', 'Shaft', ['material' => 'bearing or tool steel, hardened', 'hardness' => $hardness]))->survey->parts,
                static fn (JudgedPart $p): bool => $p->part->name === 'Shaft',
            ))[0]->notes,
        );
        self::assertContains('grind-only', $codes(null));
        self::assertContains('grind-only', $codes(['scale' => 'HRC', 'value' => 55, 'where' => '']));
        self::assertNotContains('grind-only', $codes(['scale' => 'HRC', 'value' => 15, 'where' => '']));
        self::assertNotContains('grind-only', $codes(['scale' => 'HB', 'value' => 200, 'where' => '']));
    }

    /** Criticality sets how many readings are asked for and with what (common practice, no source). */
    public function test_criticality_asks(): void
    {
        $asks = static fn (string $criticality): array => array_column(
            array_map(
                static fn ($s): array => [
                    'id' => $s->surface->name,
                    ...(new SurfaceAnswer($s))->jsonSerialize()['asks'],
                ],
                self::answers(
                    self::with(new SampleJob(), 'surfaces', 'Shaft journal', [
                        'criticality' => $criticality,
                        'stations' => [],
                        'angles' => [],
                    ]),
                )->surfaces,
            ),
            null,
            'id',
        )['Shaft journal'];
        $spots = static fn (array $a): int => count($a['stations']) * count($a['angles']);
        self::assertSame(12, $spots($asks('critical')));
        self::assertSame(4, $spots($asks('fit')));
        self::assertSame(1, $spots($asks('clearance')));
        self::assertSame(
            ['outside-micrometer', 'calliper', 'rule'],
            [$asks('critical')['instrument'], $asks('clearance')['instrument'], $asks('as it comes')['instrument']],
        );
    }

    public function test_a_quote_and_its_letter(): void
    {
        $job = SampleJob::measured();
        $job->facts['take_in']['quantity'] = 4;
        $job->facts['take_in']['reference'] = 'order 17';
        $quote = self::answers($job)->quote;
        // The kind's own list: 55 min set-up, 65 min a piece.
        self::assertEqualsWithDelta((55 + 4 * 65) / 60, $quote->quote->hours->min, 1e-9);
        self::assertStringContainsString('order 17', $quote->letter());
        self::assertStringContainsString('4 pieces', $quote->letter());
        self::assertContains('casting', array_map(static fn ($r): string => $r->code, $quote->risks));
        self::assertStringNotContainsString('for want of a weight', $quote->letter());
        self::assertStringContainsString(
            'for want of a weight: bearing bronze bar',
            self::answers(new SampleJob())->quote->letter(),
            'what is not priced is said',
        );
        $job->facts['costs'][0]['mass_kg'] = 0.5;
        // 0.5 kg at 18 a kg, four pieces.
        self::assertEqualsWithDelta(36.0, self::answers($job)->quote->quote->costs, 1e-9);
        $job->facts['quote'] = [
            'bought_price' => 5.0,
            'bought_lead_days' => 10,
            'alternative' => '',
            'decided' => null,
            'reason' => '',
            'first_of_its_kind' => false,
        ];
        $declined = self::answers($job)->quote;
        self::assertSame('decline', $declined->verdict()->value);
        self::assertStringContainsString('We decline', $declined->letter());
        self::assertStringContainsString('10 days', $declined->letter());
        $job->facts['quote']['decided'] = 'take';
        self::assertSame('take', self::answers($job)->quote->verdict()->value, 'the user has the last word');
        self::assertSame('decline', self::answers($job)->quote->advised->verdict->value);
    }

    public function test_declining_is_an_end(): void
    {
        $job = new SampleJob();
        $job->facts['quote'] = [
            'bought_price' => null,
            'bought_lead_days' => null,
            'alternative' => '',
            'decided' => 'decline',
            'reason' => 'no time',
            'first_of_its_kind' => true,
        ];
        $answers = self::answers($job);
        self::assertStringContainsString('Declined', $answers->next->says->in);
        self::assertSame('declined', $answers->stages[0]->says);
    }

    /** Files of the first version are read: what they did not know yet is left open, what they knew is kept. */
    public function test_an_older_file_is_read(): void
    {
        $text = (string) file_get_contents(__DIR__.'/../files/first-version.job.json');
        $facts = JobFile::read($text);
        $old = json_decode($text, true, 64, JSON_THROW_ON_ERROR);
        self::assertSame('the works engineer', $facts->takeIn->acceptance()?->by);
        self::assertCount(count($old['readings']), $facts->readings);
        self::assertSame($old['surfaces'][0]['name'], $facts->surfaces[0]->name);
        self::assertEquals($facts, JobFile::read(JobFile::write($facts)));
        self::assertInstanceOf(JobFacts::class, $facts);
    }

    /** A file of this version is what it was, with what was decided and how it was read. */
    public function test_a_file_of_the_third_version_is_read(): void
    {
        $text = (string) file_get_contents(__DIR__.'/../files/third-version.job.json');
        $facts = JobFile::read($text);
        self::assertSame('The felt of the guard gives 0.02; nothing else runs on it.', $facts->concessions[0]->why);
        $written = JobFile::toArray($facts);
        // Said of shapes since; nothing was said of them then.
        foreach (['surfaces' => ['shape' => null, 'treated' => null, 'hardness' => null, 'centred_on' => null], 'readings' => ['what' => '', 'by' => null], 'parts' => ['both_hands' => false], 'operations' => ['spent_min' => null, 'running_since' => null], 'cuts' => ['piece' => 1, 'clean' => true, 'by' => null], 'ticks' => ['failed' => false, 'by' => null], 'trials' => ['by' => null], 'pushes' => ['by' => null]] as $list => $since) {
            foreach ($written[$list] as $i => $row) {
                self::assertEquals($since, array_intersect_key($row, $since));
                $written[$list][$i] = array_diff_key($row, $since);
            }
        }
        self::assertSame(['', ''], [$written['shop']['taps'], $written['shop']['dies']]);
        self::assertSame([[], '', '', 'mm'], [$written['shop']['machines'], $written['shop']['drills'], $written['shop']['reamers'], $written['shop']['tool_unit']]);
        self::assertNull($written['hand_over']['service_on']);
        unset($written['hand_over']['service_on']);
        $since = array_flip(['taps', 'dies', 'machines', 'drills', 'reamers', 'tool_unit', 'polishes_last']);
        $written['shop'] = array_diff_key($written['shop'], $since);
        self::assertSame([[], null, null, null, null], [$written['reckonings'], $written['plan'], $written['batch'], $written['assembly'], $written['practice']], 'these came later');
        unset($written['reckonings'], $written['plan'], $written['batch'], $written['assembly'], $written['practice']);
        self::assertEquals(json_decode($text, true, 64, JSON_THROW_ON_ERROR), $written);
    }

    /** Files of the second version, as it was written: nothing was decided or tried then, and everything else is kept. */
    public function test_a_file_of_the_second_version_is_read(): void
    {
        $text = (string) file_get_contents(__DIR__.'/../files/second-version.job.json');
        $facts = JobFile::read($text);
        $old = json_decode($text, true, 64, JSON_THROW_ON_ERROR);
        self::assertSame(2, $old['version']);
        self::assertSame([[], []], [$facts->concessions, $facts->trials]);
        $new = JobFile::toArray($facts);
        self::assertSame(3, $new['version']);
        foreach (['surfaces' => ['work', 'sure', 'shape', 'treated', 'hardness', 'centred_on'], 'readings' => ['state', 'what', 'by'], 'joints' => ['first'], 'cuts' => ['piece', 'clean', 'by'], 'parts' => ['both_hands']] as $list => $fresh) {
            $kept = array_map(static fn (array $row): array => array_diff_key($row, array_flip($fresh)), $new[$list]);
            self::assertEquals($old[$list], $kept, $list);
        }
        self::assertEquals($facts, JobFile::read(JobFile::write($facts)));
    }
}
