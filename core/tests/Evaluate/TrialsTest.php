<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Parts tried together, in a joint and in a loop. */
final class TrialsTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function inch(string $typed): array
    {
        return ['typed' => $typed, 'unit' => 'in'];
    }

    /** A nut on a 3/8-24 stud over a bush of 2.000 in, with a gap of 0.002 to 0.008 in wanted. */
    private static function stack(): SampleJob
    {
        $job = SampleJob::measured()->cut('Bush length', 'only', null, '50.800', 'depth-micrometer');
        $job->facts['joints'] = [];
        $length = static fn (string $name, bool $opens, ?string $size, ?string $surface = null): array => [
            'name' => $name,
            'opens' => $opens,
            'surface' => $surface,
            'size' => $size === null ? null : self::inch($size),
            'plus' => $size === null ? null : self::inch('0.001'),
            'minus' => $size === null ? null : self::inch('0.001'),
            'spread' => 'uniform',
        ];
        $job->facts['loops'] = [
            [
                'id' => 'nut',
                'name' => 'Nut home',
                'least' => self::inch('0.002'),
                'most' => self::inch('0.008'),
                'lengths' => [
                    $length('Stud', true, '2.067'),
                    $length('Bush length', false, null, $job->surface('Bush length')),
                    $length('Washer', false, '0.0625'),
                ],
            ],
        ];

        return $job;
    }

    /** @param  array<string, mixed>  $trial */
    private static function tried(SampleJob $job, array $trial): SampleJob
    {
        $job->facts['trials'][] = [
            'id' => 't'.count($job->facts['trials'] ?? []),
            'joint' => null,
            'loop' => null,
            'cut' => end($job->facts['cuts'])['id'] ?? null,
            'amount' => null,
            'turn' => null,
            'pitch' => null,
            'note' => '',
            'at' => null,
            ...$trial,
        ];

        return $job;
    }

    private static function entry(SampleJob $job, string $label): MakeEntry
    {
        foreach (JobAnswers::of($job->build())->make as $entry) {
            if ($entry->label === $label) {
                return $entry;
            }
        }
        self::fail("no {$label}");
    }

    /** @return array<string, mixed> */
    private static function loop(SampleJob $job): array
    {
        return json_decode(json_encode(JobAnswers::of($job->build()), JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR)['loops'][0];
    }

    /**
     * It binds 1/8 turn from home on 24 threads to the inch: 1/192 in short. To a gap of 0.002 to 0.008 in, 1/192 + 0.002
     * to 1/192 + 0.008 in comes off the face: 0.1831 to 0.3355 mm, and the bush is to be 50.8 less that. By hand.
     */
    public function test_binding_an_eighth_of_a_turn_says_how_much_to_face_off(): void
    {
        $job = self::tried(self::stack(), ['loop' => 'nut', 'seen' => 'binds', 'turn' => 0.125, 'pitch' => self::inch('1/24')]);
        $band = self::entry($job, 'Bush length')->band;
        $short = 25.4 / 192;
        self::assertEqualsWithDelta(50.8 - $short - 0.2032, $band?->lowerMm, 1e-4);
        self::assertEqualsWithDelta(50.8 - $short - 0.0508, $band?->upperMm, 1e-4);
        $trials = self::loop($job)['trials'];
        self::assertStringContainsString('Take 0.0072 in to 0.0132 in off “Bush length”', $trials['do']['in']);
        self::assertStringContainsString('binds 0.0052 in from home (0.125 of a turn)', $trials['rows'][0]['says']['in']);
        self::assertStringContainsString('The gap is 0.009', $trials['why']['in']);
    }

    /** By how much of a turn it binds is above nothing and no more than a hundred turns; else the field is named. */
    #[TestWith([100.0, null])]
    #[TestWith([0.0, 'trials.0.turn'])]
    #[TestWith([-0.5, 'trials.0.turn'])]
    #[TestWith([100.5, 'trials.0.turn'])]
    public function test_a_turn_that_is_none_is_refused(float $turn, ?string $field): void
    {
        $job = self::tried(self::stack(), ['loop' => 'nut', 'seen' => 'binds', 'turn' => $turn, 'pitch' => self::inch('1/24')]);
        try {
            $job->build();
            self::assertNull($field);
        } catch (BadInput $bad) {
            self::assertSame($field, $bad->field);
        }
    }

    /** A gap that is as wanted is left; one too wide is shimmed or made again, never cut. */
    public function test_a_gap_that_is_seen(): void
    {
        $as = self::tried(self::stack(), ['loop' => 'nut', 'seen' => 'gap', 'amount' => self::inch('0.004')]);
        self::assertStringContainsString('as wanted: leave it', self::loop($as)['trials']['do']['in']);
        $wide = self::tried(self::stack(), ['loop' => 'nut', 'seen' => 'gap', 'amount' => self::inch('0.015')]);
        self::assertStringContainsString('“Bush length” is too short by 0.0070 in to 0.0130 in', self::loop($wide)['trials']['do']['in']);
    }

    /**
     * Diameters: a bore of 30.000 over a pin of 29.950, 0.06 to 0.10 wanted. Tried there are 0.05: it is opened by 0.01 to
     * 0.05. Tried there are 0.13: the bore is 0.03 to 0.07 too large, unless the pin is cut too, which then is too small.
     */
    public function test_a_bore_that_was_tried_is_opened_never_faced(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $of = static function (string $seen, bool $pinToo = false, string $bore = '30.000') use ($mm): SampleJob {
            $job = SampleJob::measured()->change('Housing bore', ['work' => 'cut'])->cut('Housing bore', 'only', null, $bore, 'three-point');
            $job->facts['joints'] = [];
            $length = ['plus' => $mm('0.01'), 'minus' => $mm('0.01'), 'spread' => 'uniform'];
            $job->facts['loops'] = [['id' => 'nut', 'name' => 'Room', 'least' => $mm('0.06'), 'most' => $mm('0.10'), 'lengths' => [
                [...$length, 'name' => 'Housing bore', 'opens' => true, 'surface' => $job->surface('Housing bore'), 'size' => null],
                $pinToo
                    ? [...$length, 'name' => 'Boss outside', 'opens' => false, 'surface' => $job->surface('Boss outside'), 'size' => null]
                    : [...$length, 'name' => 'Pin', 'opens' => false, 'surface' => null, 'size' => $mm('29.95')],
            ]]];
            if ($pinToo) {
                $job->change('Boss outside', ['work' => 'cut']);
            }

            return self::tried($job, ['loop' => 'nut', 'seen' => 'gap', 'amount' => $mm($seen)]);
        };
        $does = static fn (SampleJob $job): string => self::loop($job)['trials']['do']['mm'];
        self::assertSame('Open “Housing bore” by 0.010 mm to 0.050 mm on its diameter, clean, and try again.', $does($of('0.05')));
        $band = self::entry($of('0.05'), 'Housing bore')->band;
        self::assertEqualsWithDelta([30.010, 30.050], [$band?->lowerMm, $band?->upperMm], 1e-6);
        // Across the axis its diameter counts half, and it is opened by twice as much.
        $half = $of('0.05');
        $half->facts['loops'][0]['lengths'][0]['counts_half'] = true;
        self::assertStringStartsWith('Open “Housing bore” by 0.020 mm to 0.100 mm on its diameter', $does($half));
        self::assertSame('“Housing bore” is too large by 0.030 mm to 0.070 mm: bush it, or make it again.', $does($of('0.13')));
        self::assertSame('“Housing bore” is too large by 0.030 mm to 0.070 mm: bush it, or make it again.', $does($of('0.13', true)));
        $pin = $of('0.05', true);
        $pin->facts['loops'][0]['lengths'] = array_reverse($pin->facts['loops'][0]['lengths']);
        self::assertSame('Take 0.010 mm to 0.050 mm off “Boss outside” on its diameter, clean, and try again.', $does($pin));
        // Where one is too small and the other can be cut, it is the other that is cut.
        $pin->facts['loops'][0]['lengths'][0]['opens'] = true;
        self::assertStringStartsWith('Open “Housing bore” by 0.010 mm to 0.050 mm', $does($pin));
        $pin->facts['loops'][0]['lengths'][1]['opens'] = false;
        self::assertSame('“Boss outside” is too small by 0.010 mm to 0.050 mm: build it up, or make it again.', $does($pin));
    }

    /**
     * Two lengths are ±0.001 in, the bush was read closer: each of the two explains somewhat less than half of a gap that
     * is 0.0005 in wider than 2.067 − 2.000 − 0.0625, and one alone could. By hand.
     */
    public function test_what_explains_it_and_by_how_much(): void
    {
        $job = self::tried(self::stack(), ['loop' => 'nut', 'seen' => 'gap', 'amount' => self::inch('0.005')]);
        $why = self::loop($job)['trials']['why']['in'];
        self::assertMatchesRegularExpression('/explains it best \(4\d of 100 by its doubt\): it would be 0\.0005 in larger/', $why);
    }

    /** Cut since, what was tried says nothing of what it is now. */
    public function test_cut_since_it_has_to_be_tried_again(): void
    {
        $job = self::stack();
        $cut = $job->facts['cuts'][0]['id'];
        self::tried($job, ['loop' => 'nut', 'cut' => $cut, 'seen' => 'binds', 'amount' => self::inch('0.005')]);
        self::assertStringContainsString('Take', self::loop($job)['trials']['do']['in']);
        $uncut = self::stack();
        self::tried($uncut, ['loop' => 'nut', 'cut' => null, 'seen' => 'binds', 'amount' => self::inch('0.005')]);
        self::assertStringContainsString('cut again since', self::loop($uncut)['trials']['do']['in'], 'tried before any cut');
        $job->cut('Bush length', 'only', '0.2', '50.600', 'depth-micrometer');
        self::assertStringContainsString('cut again since', self::loop($job)['trials']['do']['in']);
    }

    /**
     * Two lengths of a joint: a bush made 39.900 to a seat of 40.00, wanted 0.05 to 0.20 short of it, stands proud by 0.030
     * all the same: 0.080 to 0.230 comes off, whatever the depth gauge said. By hand.
     */
    public function test_two_lengths_of_a_joint_tried_together(): void
    {
        $job = SampleJob::measured()
            ->cut('Bush length', 'only', null, '39.900', 'depth-micrometer')
            ->joint('Bush length to housing', [
                'least' => ['typed' => '0.05', 'unit' => 'mm'],
                'most' => ['typed' => '0.20', 'unit' => 'mm'],
            ]);
        $joint = array_column($job->facts['joints'], 'id', 'name')['Bush length to housing'];
        self::tried($job, ['joint' => $joint, 'seen' => 'binds', 'amount' => ['typed' => '0.030', 'unit' => 'mm']]);
        $entry = self::entry($job, 'Bush length');
        self::assertEqualsWithDelta([39.670, 39.820], [$entry->band?->lowerMm, $entry->band?->upperMm], 1e-3);
        self::assertStringContainsString('take 0.080 mm to 0.230 mm off', $entry->remarks[0]->mm ?? '');
        $together = array_column(
            json_decode(json_encode(JobAnswers::of($job->build()), JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR)['joints'],
            'together',
            'id',
        );
        self::assertStringContainsString('The gap is 0.130', $together[$joint]['why']['mm']);
        self::assertNull($together[array_column($job->facts['joints'], 'id', 'name')['Bush in housing']]);
    }

    /** Read with a calliper, a bush can't be told to fit; tried in its hole it can: each trial narrows what the hole is. */
    public function test_a_joint_fitted_by_trial(): void
    {
        $job = SampleJob::measured()->joint('Bush in housing', [
            'least' => ['typed' => '0.005', 'unit' => 'mm'],
            'most' => ['typed' => '0.035', 'unit' => 'mm'],
        ]);
        foreach ($job->facts['readings'] as $i => $r) {
            if ($r['surface'] === $job->surface('Housing bore')) {
                $job->facts['readings'][$i]['instrument'] = 'calliper';
            }
        }
        $says = static fn (SampleJob $job): ?array => array_values(
            array_filter(
                json_decode(json_encode(JobAnswers::of($job->build()), JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR)['joints'],
                static fn (array $j): bool => $j['id'] === array_column($job->facts['joints'], 'id', 'name')['Bush in housing'],
            ),
        )[0]['trials'];
        self::assertStringContainsString('proud by the doubt', $says($job)['says']['mm']);
        self::assertNull($says($job)['mate']);
        $job->cut('Bush outside', 'only', null, '30.040');
        $cut = $job->facts['cuts'][0]['id'];
        $joint = array_column($job->facts['joints'], 'id', 'name')['Bush in housing'];
        self::tried($job, ['joint' => $joint, 'cut' => $cut, 'seen' => 'starts']);
        $after = $says($job);
        self::assertStringContainsString('By the trials the housing bore is 30.03', $after['mate']['mm']);
        self::assertNotNull($after['next_mm']);
        self::assertLessThan(30.04, $after['next_mm']);
        self::assertSame('starts', $after['rows'][0]['says']['mm']);
        // What was tried of another joint says nothing of this one.
        $other = array_column($job->facts['joints'], 'id', 'name')['Shaft in bush'];
        self::tried($job, ['joint' => $other, 'cut' => $cut, 'seen' => 'starts']);
        self::assertSame($after, $says($job));
        // Were it to be pressed throughout, nothing is tried by hand; what was tried before that was said is still shown.
        $tight = ['least' => ['typed' => '-0.035', 'unit' => 'mm'], 'most' => ['typed' => '-0.005', 'unit' => 'mm']];
        self::assertCount(1, $says($job->joint('Bush in housing', $tight))['rows']);
        $job->facts['trials'] = [];
        self::assertNull($says($job));
    }
}
