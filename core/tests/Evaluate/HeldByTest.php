<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Exchange\JobFile;
use PHPUnit\Framework\TestCase;

/** What holds a joint beside its fit: the strongest alone is counted, and what is missing is asked for. */
final class HeldByTest extends TestCase
{
    /**
     * @param  list<array<string, mixed>>  $held
     * @param  array<string, mixed>  $joint
     * @return ?array<string, mixed>
     */
    private static function of(array $held, array $joint = [], ?SampleJob $job = null): ?array
    {
        $job ??= SampleJob::measured();
        $blank = [
            'size' => null,
            'size2' => null,
            'long' => null,
            'circle' => null,
            'count' => 1,
            'tighten_nm' => null,
            'half_angle_deg' => null,
            'material' => null,
        ];
        $job->joint('Bush in housing', [
            'held' => array_map(static fn (array $h): array => [...$blank, ...$h], $held),
            ...$joint,
        ]);
        $answers = json_decode(
            json_encode(JobAnswers::of($job->build()), JSON_THROW_ON_ERROR),
            true,
            128,
            JSON_THROW_ON_ERROR,
        );

        return array_column(
            $answers['joints'],
            null,
            'id',
        )[array_column($job->facts['joints'], 'id', 'name')['Bush in housing']]['held'];
    }

    /** @return array{typed: string, unit: string} */
    private static function mm(string $typed): array
    {
        return ['typed' => $typed, 'unit' => 'mm'];
    }

    /**
     * By hand: an M8 at 12 N·m pushes 7.5 kN, and 0.3 of that at half of the bush, the film of a bond below 30 mm,
     * holds 33.7 N·m; two rows of one each hold 67.4 together. A dowel of 6 along 20 of the joint holds far more and
     * alone counts.
     */
    public function test_alike_ones_add_and_the_strongest_counts(): void
    {
        $screw = ['kind' => 'set-screws', 'size' => self::mm('8'), 'tighten_nm' => 12];
        $slip = ['purpose' => 'bonded'];
        $held = self::of([$screw, $screw], $slip);
        self::assertSame(['33 N·m', '33 N·m'], array_column($held['rows'], 'holds'));
        self::assertSame('What counts is the set screws, which give at 67 N·m.', $held['counts']['mm']);
        $held = self::of(
            [$screw, ['kind' => 'dowels', 'size' => self::mm('6'), 'long' => self::mm('20')]],
            [...$slip, 'needs_torque_nm' => 60],
        );
        self::assertStringStartsWith('What counts is the dowels', $held['counts']['mm']);
        self::assertStringContainsString(
            'The set screws come in only once that has slipped or given, and are not added.',
            $held['counts']['mm'],
        );
        self::assertTrue($held['enough']);
        self::assertFalse(
            self::of([$screw], [...$slip, 'needs_torque_nm' => 30])['enough'],
            '33.8 is less than 1.5 times 30',
        );
    }

    public function test_a_press_is_not_added_to_a_pin(): void
    {
        $held = self::of(
            [['kind' => 'cross-pin', 'size' => self::mm('5')]],
            ['purpose' => 'heavy-press'],
            SampleJob::measured()->finished(),
        );
        // A pin of 5 across 30: 0.577 · yield · 19.635 · 30; the press of the sample holds less than that.
        self::assertStringContainsString('he press', $held['counts']['mm']);
        self::assertStringContainsString('not added', $held['counts']['mm']);
    }

    public function test_what_is_missing_is_asked_for(): void
    {
        self::assertNull(self::of([]));
        $ask = static fn (array $held): string => (string) self::of([$held])['rows'][0]['blocked'];
        self::assertSame('Still to say: its width, its height, its length.', $ask(['kind' => 'key']));
        self::assertSame(
            'Still to say: its diameter, the circle they stand on, how tight each is (or the mark on its head).',
            $ask(['kind' => 'bolts']),
        );
        self::assertSame(
            'Still to say: its diameter, how tight each is (or the mark on its head), half the angle of its taper.',
            $ask(['kind' => 'taper-bush']),
        );
        self::assertStringContainsString('above zero', $ask(['kind' => 'cross-pin', 'size' => self::mm('0')]));
        $knurl = self::of([['kind' => 'knurl']]);
        self::assertNull($knurl['rows'][0]['holds']);
        self::assertSame('knurl', $knurl['rows'][0]['notes'][0]['code']);
        $bare = new SampleJob();
        self::assertStringContainsString(
            'what both parts are made of',
            self::of([['kind' => 'weld', 'size' => self::mm('4')]], [], $bare->answered())['rows'][0]['blocked'],
        );
    }

    public function test_it_comes_back_from_a_file_and_a_gate_withholds_it(): void
    {
        $job = SampleJob::measured();
        self::assertNotNull(self::of([['kind' => 'knurl']], [], $job));
        $text = JobFile::write($job->build());
        self::assertSame($text, JobFile::write(JobFile::read($text)));
        $job->facts['take_in']['gates'] = ['road'];
        self::assertNull(self::of([['kind' => 'knurl']], [], $job));
    }
}
