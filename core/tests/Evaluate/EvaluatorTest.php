<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\WayOut;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Answer\StageAnswer;
use Oldpart\Core\Evaluate\Evaluator;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use PHPUnit\Framework\TestCase;

final class EvaluatorTest extends TestCase
{
    private static function answers(SampleJob $job): JobAnswers
    {
        return JobAnswers::of($job->build());
    }

    private static function entry(JobAnswers $answers, string $label): MakeEntry
    {
        foreach ($answers->make as $entry) {
            if ($entry->label === $label) {
                return $entry;
            }
        }
        self::fail(
            "no “{$label}” on the make card: ".
                implode(', ', array_map(static fn (MakeEntry $e): string => $e->label, $answers->make)),
        );
    }

    /**
     * H7/p6 at 30 mm is 1 to 35 µm tight (ISO 286-2: +21/0 and +35/+22). The bore is read 30.000 six times alike in six
     * spots with a gauge of ±4 µm, 2 µm repeatability, 1 µm digit, 2 µm master, 1 K doubt; U of the mean by hand.
     */
    public function test_the_outside_is_made_to_the_measured_bore(): void
    {
        $temperature = (30 / sqrt(3)) * sqrt(10.5e-6 ** 2 + 11.7e-6 ** 2);
        // Six readings alike leave nothing over: of the gauge's own figure, worth two readings, two fifths stay.
        $scatter = ((0.002 ** 2 + 0.001 ** 2 / 12) * 2) / (3 + 2);
        $u = 2 * sqrt($scatter / 6 + 0.004 ** 2 / 3 + 0.001 ** 2 + $temperature ** 2);
        $band = self::entry(self::answers(SampleJob::measured()), 'Bush outside')->band;
        self::assertEqualsWithDelta(30.0 + 0.001 + $u, $band?->lowerMm, 1e-6);
        self::assertEqualsWithDelta(30.0 + 0.035 - $u, $band?->upperMm, 1e-6);
    }

    /** The bore before pressing is the bore after, moved by the closing at either end of the interference (Lamé). */
    public function test_the_bore_before_pressing_allows_for_closing(): void
    {
        $answers = self::answers(SampleJob::measured());
        $after = self::entry($answers, 'Bush bore, after pressing')->band;
        $before = self::entry($answers, 'Bush bore, before pressing')->band;
        $press = $answers->joints[0]->press;
        self::assertNotNull($after);
        self::assertNotNull($before);
        self::assertNotNull($press);
        // By hand for 35 µm: p from Lamé with d_i the middle of the running band, then Δ = 2 p d² d_i/(E (d² − d_i²)).
        [$d, $di, $do] = [30.0, $after->middleMm(), 60.0 - 0.0];
        $p =
            0.035 /
            ($d *
                ((($do ** 2 + $d ** 2) / ($do ** 2 - $d ** 2) + 0.24) / 100e3 +
                    (($d ** 2 + $di ** 2) / ($d ** 2 - $di ** 2) - 0.34) / 100e3));
        $closing = (2 * $p * $d ** 2 * $di) / (100e3 * ($d ** 2 - $di ** 2));
        self::assertEqualsWithDelta($closing, $press->boreClosingMm->max, 2e-5);
        self::assertEqualsWithDelta($after->lowerMm + $press->boreClosingMm->max, $before->lowerMm, 1e-9);
        self::assertEqualsWithDelta($after->upperMm + $press->boreClosingMm->min, $before->upperMm, 1e-9);
    }

    /**
     * How a gauge repeats on one bore tells how it repeats on another: read three times at one spot 0.01 apart, it repeats
     * to 0.01 at two degrees of freedom, and the other bore is less sure than by one that repeats exactly. JCGM 100, 4.2.
     */
    public function test_how_a_gauge_repeats_elsewhere_counts_here(): void
    {
        $u = static function (string ...$read): float {
            $job = SampleJob::measured()->change('Bush bore', ['part' => array_column(SampleJob::measured()->facts['parts'], 'id', 'name')['Shaft']]);
            foreach ($read as $typed) {
                $job->read('Bush bore', $typed, 'three-point', 'near end', '0');
            }

            return (new Evaluator())->outcome($job->build())->found[$job->surface('Housing bore')]->u95MeanMm;
        };
        self::assertGreaterThan($u('22.000', '22.000', '22.000') + 0.005, $u('22.010', '21.990', '22.000'));
    }

    /** Half a millimetre over its limits it is still being turned: the press and the bore are as they were asked for. */
    public function test_what_is_still_being_cut_says_nothing_of_what_it_will_be(): void
    {
        $of = static function (?string $outside): array {
            $job = SampleJob::measured();
            $answers = JobAnswers::of(($outside === null ? $job : $job->cut('Bush outside', 'only', null, $outside))->build());
            $press = array_values(array_filter(array_column($answers->joints, 'press')))[0];
            $bores = array_filter($answers->make, static fn (MakeEntry $e): bool => str_starts_with($e->label, 'Bush bore'));

            return [$press->effectiveMm, array_map(static fn (MakeEntry $e): array => [$e->label, $e->band, $e->remarks], array_values($bores))];
        };
        self::assertEquals($of(null), $of('30.500'));
        self::assertCount(2, $of('30.500')[1], 'before pressing, and after');
        self::assertNotEquals($of(null), $of('30.015'), 'made');
    }

    /** A boss that is to be turned down to 50 backs the press as one of 50 from the first cut on, not as the 59 it still has. */
    public function test_a_boss_still_being_turned_down_backs_as_it_will_be(): void
    {
        $wall = static function (?string $turned): float {
            $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
            $job = SampleJob::measured()->change('Boss outside', [
                'work' => 'cut',
                'size' => $mm('50'),
                'demand' => ['kind' => 'limits', 'plus' => $mm('0.1'), 'minus' => $mm('0.1'), 'class' => null],
            ]);
            $answers = JobAnswers::of(($turned === null ? $job : $job->cut('Boss outside', 'only', null, $turned))->build());

            return array_values(array_filter(array_column($answers->joints, 'press')))[0]->fit->outerOdMm;
        };
        self::assertEqualsWithDelta(50.0, $wall(null), 1e-9);
        self::assertEqualsWithDelta(50.0, $wall('59'), 1e-9);
        self::assertEqualsWithDelta(49.95, $wall('49.95'), 1e-3);
    }

    /**
     * Once the outside is cut its own size decides the closing: the range narrows, and the band before pressing widens.
     */
    public function test_a_cut_outside_narrows_the_closing(): void
    {
        $planned = self::answers(SampleJob::measured());
        $made = self::answers(SampleJob::measured()->cut('Bush outside', 'only', null, '30.020'));
        $range = static fn (JobAnswers $a): float => $a->joints[0]->press?->boreClosingMm->width() ?? 0.0;
        self::assertLessThan($range($planned), $range($made));
        self::assertGreaterThan(
            self::entry($planned, 'Bush bore, before pressing')->band?->widthMm(),
            self::entry($made, 'Bush bore, before pressing')->band?->widthMm(),
        );
        self::assertSame('inside', self::entry($made, 'Bush outside')->verdict);
    }

    public function test_a_poor_reading_issues_the_best_size_with_its_chance_and_says_what_would_do(): void
    {
        $job = (new SampleJob())
            ->answered()
            ->materials()
            ->read('Housing bore', '30.00', 'calliper')
            ->read('Shaft journal', '22.000', 'outside-micrometer')
            ->read('Boss outside', '60', 'calliper')
            ->read('Housing length', '40.00', 'depth-micrometer');
        $answers = self::answers($job);
        $entry = self::entry($answers, 'Bush outside');
        self::assertNotNull($entry->band);
        self::assertNull($entry->blocked);
        self::assertStringContainsString('cannot be promised with this reading', $entry->remarks[0]->in ?? '');
        $helps = implode(' ', array_map(static fn (WayOut $w): string => $w->says->in, $entry->best->helps ?? []));
        self::assertStringContainsString('Read the housing bore with the three-point', $helps);
        self::assertLessThan(0.98, $entry->best->best->chance ?? 1.0);
        // Pressed, it may come to anything its band and the doubt of its mate leave.
        $joint = $answers->joints[0];
        self::assertNotNull($joint->mateFound);
        self::assertEqualsWithDelta(
            [
                $entry->band->lowerMm - $joint->mateFound->meanMm - $joint->mateFound->sureMeanMm(),
                $entry->band->upperMm - $joint->mateFound->meanMm + $joint->mateFound->sureMeanMm(),
            ],
            [$joint->press?->fit->interferenceMm->min, $joint->press?->fit->interferenceMm->max],
            1e-9,
        );
        self::assertStringContainsString('Bond it instead: 9', $helps);
        self::assertSame('not-good-enough', $answers->joints[0]->goodEnough?->verdict);
        self::assertStringContainsString('again', $answers->next->says->in);
    }

    public function test_thin_wall_is_finished_in_place(): void
    {
        $job = SampleJob::measured();
        $job->facts['readings'] = array_values(
            array_filter(
                $job->facts['readings'],
                fn (array $r): bool => $r['surface'] !== $job->surface('Shaft journal'),
            ),
        );
        $answers = self::answers(
            $job
                ->read('Shaft journal', '28.400', 'outside-micrometer', 'middle', '0')
                ->read('Shaft journal', '28.400', 'outside-micrometer', 'middle', '90'),
        );
        $labels = array_map(static fn (MakeEntry $e): string => $e->label, $answers->make);
        self::assertNotContains('Bush bore, before pressing', $labels);
        self::assertContains('Bush bore, after pressing', $labels);
        self::assertContains('finish-bore-in-place', array_map(static fn ($s): string => $s->code, $answers->plan));
    }

    /** Boilers, brakes and the like: recorded and measured, but no size until someone named accepts responsibility. */
    public function test_a_gate_withholds_every_size(): void
    {
        $job = SampleJob::measured();
        $job->facts['take_in']['gates'] = ['road'];
        $text = json_encode($job->build()->jsonSerialize());
        $answers = self::answers($job);
        self::assertTrue($answers->withheld);
        foreach ($answers->make as $entry) {
            self::assertNull($entry->band, $entry->label);
        }
        self::assertSame([], $answers->plan);
        self::assertSame('gate', $answers->notes[0]->code);
        self::assertStringNotContainsString('"upper_mm"', (string) json_encode($answers));
        self::assertStringNotContainsString('Limits to make', (string) json_encode($answers), 'nor in the working');

        $job->facts['take_in']['acceptances'] = [
            ['by' => 'the works engineer', 'capacity' => '', 'at' => null, 'gates' => ['road']],
        ];
        self::assertNotNull(self::entry(self::answers($job), 'Bush outside')->band);
        self::assertIsString($text);
    }

    public function test_stages_say_what_is_open(): void
    {
        $says = static fn (SampleJob $job): array => array_map(
            static fn (StageAnswer $s): string => $s->says,
            self::answers($job)->stages,
        );
        self::assertSame(
            [
                '2 to answer',
                '3 materials',
                '4 to measure',
                '0 of 3 sized',
                'needs sizes',
                'not begun',
                '11 to tick',
                'open',
            ],
            $says(new SampleJob()),
        );
        self::assertSame(['done', 'done', 'done', '3 joints'], array_slice($says(SampleJob::measured()), 0, 4));
    }

    /** The made outside less the found bore, both doubts in quadrature, worked by hand. */
    public function test_achieved_fit(): void
    {
        $answers = self::answers(SampleJob::measured()->cut('Bush outside', 'only', null, '30.018'));
        /** @var array{fits: list<array{achieved: array{mm: string}, verdict: string}>} $handOver */
        $handOver = json_decode((string) json_encode($answers->handOver), true);
        $cutU = 2 * sqrt(0.001 ** 2 + 0.001 ** 2 / 12 + 0.004 ** 2 / 3);
        $meanU = $answers->joints[0]->mateFound->sureMeanMm() ?? 0.0;
        $u = hypot($cutU, $meanU);
        self::assertSame(sprintf('%.3f to %.3f tight', 0.018 - $u, 0.018 + $u), $handOver['fits'][0]['achieved']['mm']);
        self::assertSame('inside', $handOver['fits'][0]['verdict']);
    }

    public function test_a_warm_reading_is_corrected_and_said(): void
    {
        $job = (new SampleJob())
            ->answered()
            ->materials()
            ->read('Shaft journal', '22.0000', 'outside-micrometer', '1', '0', 45.0);
        $answers = self::answers($job);
        $surface = array_values(
            array_filter($answers->surfaces, static fn ($s): bool => $s->surface->name === 'Shaft journal'),
        )[0];
        // 22 · 11.5e-6 · 25 K = 0.0063 mm smaller when cool.
        self::assertEqualsWithDelta(22.0 - 0.0063, $surface->found->meanMm ?? 0, 0.0001);
        self::assertSame('read-warm', $surface->found?->notes()[0]->code);
    }

    public function test_limits_typed_by_hand_win(): void
    {
        $typed = static fn (string $t): array => ['typed' => $t, 'unit' => 'mm'];
        $job = SampleJob::measured()->joint('Bush in housing', [
            'least' => $typed('-0.040'),
            'most' => $typed('-0.010'),
        ]);
        self::assertSame('limits', self::answers($job)->joints[0]->chosen);
        $job->joint('Bush in housing', ['least' => $typed('-0.010'), 'most' => $typed('-0.040')]);
        try {
            self::answers($job);
            self::fail('should have been refused');
        } catch (BadInput $bad) {
            self::assertSame('joints.0.least', $bad->field);
        }
    }

    public function test_a_reversed_reference_is_refused(): void
    {
        $job = new SampleJob();
        $job->facts['joints'][0]['inner'] = 'nowhere';
        $this->expectException(BadInput::class);
        $job->build();
    }

    /** Half-typed and mistyped sizes are previewed too: every one must answer, whatever it does to the fit. */
    public function test_any_typed_size_answers(): void
    {
        foreach (['0', '0.001', '3', '29.9', '30', '30.01', '31', '300', '19000'] as $typed) {
            foreach (
                [['Bush outside', 'only'], ['Bush bore', 'before'], ['Bush bore', 'after'], ['Bush length', 'only']] as [$surface, $phase]
            ) {
                try {
                    $json = json_encode(
                        self::answers(SampleJob::measured()->cut($surface, $phase, null, $typed)),
                        JSON_THROW_ON_ERROR,
                    );
                    self::assertLessThan(400_000, strlen($json), "{$surface} at {$typed}");
                } catch (BadInput $bad) {
                    self::assertSame('0', $typed, $bad->getMessage());
                }
            }
            try {
                $answers = self::answers(
                    (new SampleJob())
                        ->answered()
                        ->materials()
                        ->read('Housing bore', $typed, 'three-point')
                        ->read('Boss outside', '60', 'calliper')
                        ->read('Housing length', $typed, 'calliper')
                        ->read('Shaft journal', '22', 'outside-micrometer'),
                );
                self::assertJson((string) json_encode($answers, JSON_THROW_ON_ERROR));
            } catch (BadInput $bad) {
                self::assertSame('0', $typed, $bad->getMessage());
            }
        }
    }

    public function test_nothing_known_still_answers(): void
    {
        $answers = self::answers(new SampleJob());
        // Three sizes, and the chamfer of the bush with the rest of the part.
        self::assertSame([false, false, false, true], array_map(static fn (MakeEntry $e): bool => $e->rest, $answers->make));
        self::assertNotNull($answers->pictures->assembly());
        self::assertSame('take-in', $answers->next->stage);
        self::assertStringContainsString(
            'Measure the housing bore',
            self::entry($answers, 'Bush outside')->blocked->in ?? '',
        );
    }
}
