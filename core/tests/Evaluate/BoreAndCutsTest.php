<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Eris\Generator;
use Eris\TestTrait;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Answer\MakingAnswer;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Mechanics\PressedSize;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** A bore that closes when it is pressed, and the log of its cuts. */
final class BoreAndCutsTest extends TestCase
{
    use TestTrait;

    private static function answers(SampleJob $job): JobAnswers
    {
        return JobAnswers::of($job->build());
    }

    /** @return list<string> */
    private static function labels(JobAnswers $answers): array
    {
        return array_map(static fn (MakeEntry $e): string => $e->label, $answers->make);
    }

    private static function making(JobAnswers $answers, string $label): CutProgress
    {
        foreach ($answers->making as $making) {
            if ($making->entry->label === $label) {
                return $making;
            }
        }
        self::fail("{$label} is not made here");
    }

    /**
     * By how much it closes is said beside what is cut before; and of a bore that was cut before it turned out that it is
     * finished in place, what it comes to: as it was cut, less the most and the least it closes by.
     */
    public function test_what_a_bore_comes_to_is_said(): void
    {
        $job = SampleJob::measured();
        $press = static fn (JobAnswers $a): Range => array_values(array_filter(array_column($a->joints, 'press')))[0]->boreClosingMm;
        $answers = self::answers($job);
        $closes = $press($answers);
        self::assertLessThan($closes->max, $closes->min);
        self::assertSame(
            sprintf('Closes %.3f to %.3f when pressed.', $closes->min, $closes->max),
            self::making($answers, 'Bush bore, before pressing')->entry->remarks[0]->mm,
        );
        $cut = $job->cut('Bush bore', 'before', null, '22.100', 'three-point')->joint('Shaft in bush', ['finish_in_place' => true]);
        $answers = self::answers($cut);
        $log = self::making($answers, 'Bush bore, before pressing')->log->made();
        self::assertNotNull($log);
        self::assertSame(
            sprintf('As it was cut it comes to %.3f to %.3f once pressed; it is finished in place.', $log->min - $press($answers)->max, $log->max - $press($answers)->min),
            self::making($answers, 'Bush bore, before pressing')->entry->remarks[0]->mm,
        );
    }

    /** Whatever it closes by within the range, a bore cut inside the band before ends inside the band after. */
    public function test_any_closing_ends_inside(): void
    {
        $this->forAll(
            Generator\choose(5, 60),
            Generator\choose(0, 40),
            Generator\choose(0, 30),
            Generator\choose(0, 10),
            Generator\choose(0, 10),
        )->then(function (int $width, int $least, int $spread, int $cut, int $closes): void {
            $after = new Band(25.0, 25.0 + $width / 1000);
            $closing = new Range($least / 1000, ($least + $spread) / 1000);
            $before = PressedSize::before($after, new Range(-$closing->max, -$closing->min));
            if ($before === null) {
                self::assertGreaterThanOrEqual(
                    $width,
                    $spread,
                    'only a closing that varies more than the band leaves none',
                );

                return;
            }
            $bore =
                $before->lowerMm +
                ($before->widthMm() * $cut) / 10 -
                ($closing->min + ($closing->width() * $closes) / 10);
            self::assertGreaterThanOrEqual($after->lowerMm - 1e-9, $bore);
            self::assertLessThanOrEqual($after->upperMm + 1e-9, $bore);
        });
    }

    public function test_finishing_in_place_can_be_asked_for(): void
    {
        self::assertContains('Bush bore, before pressing', self::labels(self::answers(SampleJob::measured())));
        $asked = self::answers(SampleJob::measured()->joint('Shaft in bush', ['finish_in_place' => true]));
        self::assertNotContains('Bush bore, before pressing', self::labels($asked));
    }

    /** How the hole comes about is said where it is made, not where it is finished once it is pressed in. */
    public function test_the_ladder_stands_where_the_hole_is_made(): void
    {
        $steps = [];
        foreach (self::answers(SampleJob::measured())->making as $making) {
            $answer = json_decode(json_encode(new MakingAnswer($making), JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR);
            $steps[$answer['label']] = count($answer['hole']);
        }
        self::assertGreaterThan(2, $steps['Bush bore, before pressing']);
        self::assertSame([0, 0], [$steps['Bush bore, after pressing'], $steps['Bush outside']]);
    }

    /** Cut before pressing, then it runs hot and is finished in place: what was cut stays on the card, and what it comes to. */
    public function test_what_was_cut_before_is_not_hidden(): void
    {
        $job = SampleJob::measured()->cut('Bush bore', 'before', null, '22.010', 'three-point');
        self::assertContains('Bush bore, before pressing', self::labels(self::answers($job)));
        $job->facts['take_in']['runs_at_c'] = 120.0;
        $hot = self::making(self::answers($job), 'Bush bore, before pressing');
        self::assertNull($hot->entry->band);
        self::assertSame('22.010', $hot->lastSize()->mm ?? '');
        self::assertStringContainsString('once pressed; it is finished in place', $hot->entry->remarks[0]->mm);
        $job->facts['cuts'] = [];
        self::assertNotContains('Bush bore, before pressing', self::labels(self::answers($job)), 'nothing was cut');
    }

    /** Porous bronze is never reamed: it is sized on a mandrel after pressing (common practice, no source). */
    public function test_sintered_bronze_is_sized_in_place(): void
    {
        $answers = self::answers(SampleJob::measured()->materials(bush: 'sintered bronze, oil-filled'));
        self::assertNotContains('Bush bore, before pressing', self::labels($answers));
        $says = implode(' ', array_map(static fn ($s): string => $s->do->mm, $answers->plan));
        self::assertStringContainsString('mandrel', $says);
    }

    public function test_a_missing_material_says_what_is_missing_but_sizes_the_outside(): void
    {
        $job = SampleJob::measured();
        $job->facts['parts'][0]['material'] = null;
        $answers = self::answers($job);
        self::assertNotNull($answers->make[0]->band, 'the size does not depend on it');
        self::assertNull($answers->joints[0]->press);
        self::assertStringContainsString('what the housing is made of', $answers->joints[0]->pressBlocked->in ?? '');
        self::assertSame('survey', $answers->next->stage);
    }

    /** 18e-6 · 30 mm · 30 K = 0.016 mm: a bronze bush read at 50 °C in a 20 °C shop is that much smaller when cool. */
    public function test_a_cut_read_warm_is_corrected_and_cautioned(): void
    {
        $answers = self::answers(
            SampleJob::measured()->cut('Bush outside', 'only', null, '30.030', 'outside-micrometer', 50.0),
        );
        $making = self::making($answers, 'Bush outside');
        self::assertEqualsWithDelta(30.03 - 0.0162, $making->log->sizes()[0], 0.0001);
        $says = static fn (array $notes): string => array_column(array_map(static fn ($n): array => [$n->code, $n->say->mm], $notes), 1, 0)['cut-warm'] ?? '';
        self::assertStringStartsWith('Read warm: it will shrink by 0.016 mm', $says($making->notes()));
        // Read at freezing it is smaller than it will be: 18e-6 · 30 · 20 is 0.011.
        $cold = self::making(self::answers(SampleJob::measured()->cut('Bush outside', 'only', null, '30.030', 'outside-micrometer', 0.0)), 'Bush outside');
        self::assertEqualsWithDelta(30.03 + 0.0108, $cold->log->sizes()[0], 0.0001);
        self::assertStringStartsWith('Read cold: it will grow by 0.011 mm', $says($cold->notes()));
    }

    public function test_the_log_learns_from_what_came_off(): void
    {
        $job = SampleJob::measured()
            ->cut('Bush outside', 'only', null, '30.4300')
            ->cut('Bush outside', 'only', '0.2000', '30.2500');
        $next = self::making(self::answers($job), 'Bush outside')->next;
        // 0.18 came off for 0.20 dialled, so what is left is dialled as left / 0.9.
        self::assertEqualsWithDelta($next?->leftMm / 0.9, $next?->dialMm, 1e-6);
    }

    public function test_a_cut_set_aside_does_not_count(): void
    {
        $job = SampleJob::measured()
            ->cut('Bush outside', 'only', null, '30.020')
            ->cut('Bush outside', 'only', '0.01', '29.900');
        self::assertSame('past', self::making(self::answers($job), 'Bush outside')->next?->state->value);
        $job->facts['cuts'][1]['set_aside'] = 'misread';
        self::assertSame('inside', self::making(self::answers($job), 'Bush outside')->next?->state->value);
    }

    /** ISO 14253-1: a calliper (±0.03 mm) cannot prove a size inside a band a few hundredths wide. */
    public function test_a_calliper_cannot_accept_a_press_size(): void
    {
        $answers = self::answers(SampleJob::measured()->cut('Bush outside', 'only', null, '30.02', 'calliper'));
        self::assertSame(Acceptance::CannotTell, self::making($answers, 'Bush outside')->verdict);
    }

    public function test_a_reading_set_aside_does_not_count(): void
    {
        $job = SampleJob::measured()->read('Housing bore', '30.300', 'three-point', 'mouth', '45');
        self::assertEqualsWithDelta(30.3, self::answers($job)->surfaces[0]->found->looseMm ?? 0, 0.001);
        $job->facts['readings'][count($job->facts['readings']) - 1]['set_aside'] = 'chip in the bore';
        self::assertEqualsWithDelta(30.0, self::answers($job)->surfaces[0]->found->looseMm ?? 0, 0.001);
    }

    /** A wider reading doubt never widens the band to make; where none can be promised, what is given is no promise. */
    public function test_more_doubt_never_allows_more(): void
    {
        $width = static function (string $instrument): float {
            $job = (new SampleJob())
                ->answered()
                ->materials()
                ->read('Housing bore', '30.000', $instrument)
                ->read('Shaft journal', '22', 'outside-micrometer')
                ->read('Boss outside', '60', 'calliper')
                ->read('Housing length', '40', 'depth-micrometer');

            $entry = self::answers($job)->make[0];

            return $entry->best === null ? $entry->band?->widthMm() ?? 0.0 : 0.0;
        };
        self::assertGreaterThan($width('telescoping'), $width('three-point'));
        self::assertGreaterThanOrEqual($width('calliper'), $width('telescoping'));
    }
}
