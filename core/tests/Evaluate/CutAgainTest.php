<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Found\JudgedSurface;
use Oldpart\Core\Evaluate\Making\AchievedFit;
use Oldpart\Core\Evaluate\Making\CutLog;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** Parts that are there and are cut again, and pairs of them that stay. */
final class CutAgainTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function mm(string $typed): array
    {
        return ['typed' => $typed, 'unit' => 'mm'];
    }

    /** A worn boss bored out for a bush that was bought and read: 34.000 over, its bore 22.02. */
    private static function boss(string $work = 'cut'): SampleJob
    {
        $job = SampleJob::measured()
            ->change('Housing bore', ['work' => $work, 'condition' => 'worn'])
            ->joint('Bush in housing', ['least' => self::mm('-0.045'), 'most' => self::mm('-0.005')]);
        foreach ($job->facts['parts'] as &$part) {
            $part['origin'] = 'found';
        }
        unset($part);
        foreach (['0', '90'] as $angle) {
            $job->read('Bush outside', '34.000', 'outside-micrometer', 'near end', $angle);
            $job->read('Bush bore', '22.020', 'three-point', 'near end', $angle);
        }

        return $job->read('Bush length', '40.00', 'depth-micrometer');
    }

    /** A bush of 30.030 and its bore of 22.020, read beside a housing of 30.000: bought for it, or found in it. */
    private static function bush(string $origin): SampleJob
    {
        $job = self::boss()->change('Housing bore', ['work' => null, 'condition' => null]);
        foreach ($job->facts['readings'] as $i => $r) {
            if ($r['surface'] === $job->surface('Bush outside')) {
                $job->facts['readings'][$i]['value']['typed'] = '30.030';
            }
        }
        foreach ($job->facts['parts'] as $i => $part) {
            $job->facts['parts'][$i]['origin'] = $part['name'] === 'Bush' ? $origin : 'found';
        }

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

    private static function remarks(MakeEntry $entry): string
    {
        return implode(' ', array_map(static fn ($r): string => $r->mm, $entry->remarks));
    }

    /** @return list<string> */
    private static function codes(MakeEntry $entry): array
    {
        return array_map(static fn (Note $n): string => $n->code, $entry->notes);
    }

    /**
     * To a bush of 34.000: 33.955 to 33.995 less the doubt. From 30.000 that is 3.955 off at the least; in a boss of 60
     * the wall left is (60 − largest) / 2. Geometry.
     */
    public function test_what_comes_off_and_what_wall_is_left(): void
    {
        $bore = self::entry(self::boss(), 'Housing bore');
        self::assertNotNull($bore->band);
        self::assertGreaterThan(33.955, $bore->band->lowerMm);
        self::assertLessThan(33.995, $bore->band->upperMm);
        $off = number_format($bore->band->lowerMm - 30.0, 3);
        self::assertStringContainsString("As it was it is 30.000: {$off}", self::remarks($bore));
        $wall = (60 - $bore->band->upperMm) / 2;
        self::assertStringContainsString('The wall that is left is '.substr((string) $wall, 0, 4), self::remarks($bore));
    }

    /** A spot worn deeper than the limits does not clean up. */
    public function test_a_worn_spot_that_does_not_clean_up_is_a_stop(): void
    {
        $job = self::boss()->read('Housing bore', '34.300', 'three-point', 'mouth', '135');
        $bore = self::entry($job, 'Housing bore');
        self::assertContains('wont-clean-up', self::codes($bore));
    }

    /**
     * Built up first: to at least a millimetre a side inside what it is bored to (common practice), and read then; the
     * readings before don't count for what is there after.
     */
    public function test_built_up_first_it_is_read_again(): void
    {
        $job = self::boss('built up')->read('Housing bore', '34.300', 'three-point', 'mouth', '135');
        $bore = self::entry($job, 'Housing bore');
        self::assertNotNull($bore->band);
        self::assertStringContainsString(number_format($bore->band->lowerMm - 2, 3), self::remarks($bore));
        self::assertNotContains('wont-clean-up', self::codes($bore));
        foreach (['0', '90'] as $angle) {
            $job->read('Housing bore', '31.5', 'three-point', 'mouth', $angle);
            $job->facts['readings'][count($job->facts['readings']) - 1]['state'] = 'built up';
        }
        self::assertStringContainsString('Built up it is 31.500', self::remarks(self::entry($job, 'Housing bore')));
    }

    /** A journal worn down is built up to a millimetre a side over what it is turned to. Common practice. */
    public function test_a_shaft_is_built_up_over_its_size(): void
    {
        $job = self::boss()->change('Shaft journal', ['work' => 'built up']);
        foreach ($job->facts['readings'] as $i => $r) {
            if ($r['surface'] === $job->surface('Shaft journal')) {
                $job->facts['readings'][$i]['value']['typed'] = '21.500';
            }
        }
        $journal = self::entry($job, 'Shaft journal');
        self::assertNotNull($journal->band);
        self::assertStringContainsString('Build it up to '.number_format($journal->band->upperMm + 2, 3), self::remarks($journal));
    }

    /** Too thin a wall is said, and no wall at all is a stop. */
    public function test_a_thin_wall_and_none(): void
    {
        $thin = self::boss()->read('Boss outside', '40', 'calliper');
        foreach ($thin->facts['readings'] as $i => $r) {
            if ($r['value']['typed'] === '60') {
                $thin->facts['readings'][$i]['set_aside'] = 'other boss';
            }
        }
        self::assertContains('thin-wall-left', self::codes(self::entry($thin, 'Housing bore')));
        foreach ($thin->facts['readings'] as $i => $r) {
            if ($r['value']['typed'] === '40') {
                $thin->facts['readings'][$i]['value']['typed'] = '33';
            }
        }
        self::assertContains('no-wall', self::codes(self::entry($thin, 'Housing bore')));
    }

    /** By hand: a hole bored to 33.975 for a bush of 34.000 grips by 0.025, whatever it was asked to be; bored to 33.9 not yet. */
    public function test_a_hole_that_was_bored_says_how_tight_it_is(): void
    {
        $grips = static function (?string $bored): Range {
            $job = $bored === null ? self::boss() : self::boss()->cut('Housing bore', 'only', null, $bored, 'three-point');
            foreach (JobAnswers::of($job->build())->joints as $joint) {
                if ($joint->joint->name === 'Bush in housing' && $joint->press !== null) {
                    return $joint->press->fit->interferenceMm;
                }
            }
            self::fail('nothing is pressed');
        };
        self::assertEqualsWithDelta([0.005, 0.045], [$grips(null)->min, $grips(null)->max], 1e-9);
        self::assertEqualsWithDelta(0.025, $grips('33.975')->middle(), 1e-4);
        self::assertLessThan(0.030, $grips('33.975')->width());
        self::assertEquals($grips(null), $grips('33.9'));
    }

    /** By hand: jaws 0.3 to 0.6 mm wide on a bore of 34 stand on chords, 0.3²/68 to 0.6²/68 short: 0.0033 on the middle. */
    public function test_what_is_bored_and_read_by_a_calliper_is_larger_than_it_reads(): void
    {
        $now = static function (string $tool): ?float {
            $facts = self::boss()->cut('Housing bore', 'only', null, '34.00', $tool)->build();

            return CutLog::of($facts, array_values(array_filter($facts->surfaces, static fn ($s): bool => $s->name === 'Housing bore'))[0], Phase::Only)->made()?->middle();
        };
        self::assertEqualsWithDelta(34 + (0.09 + 0.36) / 68 / 2, $now('calliper'), 1e-5);
        self::assertEqualsWithDelta(34.0, $now('three-point'), 1e-5);
    }

    /** By hand: 60 turned to 59 ± 0.01 gives up 0.990 until its first limit. */
    public function test_an_outside_that_is_turned_down(): void
    {
        $job = SampleJob::measured()->change('Boss outside', [
            'work' => 'cut',
            'size' => self::mm('59'),
            'demand' => ['kind' => 'limits', 'plus' => self::mm('0.01'), 'minus' => self::mm('0.01'), 'class' => null],
        ]);
        self::assertStringContainsString('0.990 mm comes off on the diameter', self::remarks(self::entry($job, 'Boss outside')));
    }

    /** Every state has readings of its own; finished it is read as a mate, and "to make" stops nobody from reading. */
    public function test_it_is_read_in_every_state(): void
    {
        $names = static fn (SampleJob $job): array => array_map(
            static fn (JudgedSurface $s): string => $s->name().($s->folded ? ' (folded)' : ''),
            JobAnswers::of($job->build())->surfaces,
        );
        self::assertContains('Housing bore, as it was', $names(self::boss()));
        self::assertContains('Housing bore, finished', $names(self::boss()));
        self::assertNotContains('Housing bore, built up', $names(self::boss()));
        self::assertContains('Housing bore, built up', $names(self::boss('built up')));
        self::assertContains('Bush outside, the old one (folded)', $names(SampleJob::measured()));
        $read = SampleJob::measured()->read('Bush outside', '30.1', 'calliper');
        self::assertContains('Bush outside, the old one', $names($read));
        self::assertNotContains('Bush outside, the old one (folded)', $names($read));
    }

    /** A bore that is to be bored away is no datum. */
    public function test_what_is_cut_again_is_no_datum(): void
    {
        $job = self::boss()->change('Housing bore', ['condition' => null, 'datum' => true]);
        $datums = JobAnswers::of($job->build())->survey->datums;
        self::assertNotContains('Housing bore', array_column($datums->candidates, 'name'));
        self::assertContains('worked-datum', array_map(static fn (Note $n): string => $n->code, $datums->notes));
    }

    /**
     * Two parts that are there: 22.020 − 22.000 with both doubts in quadrature (JCGM 100), beside what is wanted. Once
     * the bush is pressed in, its bore is smaller by what it closes.
     */
    public function test_two_parts_that_are_there_are_a_joint(): void
    {
        $out = JobAnswers::of(self::boss()->build());
        $pair = array_values(array_filter($out->joints, static fn ($j): bool => $j->joint->name === 'Shaft in bush'))[0];
        self::assertNotNull($pair->pairMm);
        $press = array_values(array_filter($out->joints, static fn ($j): bool => $j->joint->name === 'Bush in housing'))[0];
        $closing = $press->press?->boreClosingMm;
        self::assertNotNull($closing);
        self::assertGreaterThan(0.0, $closing->max);
        self::assertEqualsWithDelta(0.020 - ($closing->min + $closing->max) / 2, $pair->pairMm->middle(), 1e-6);
        self::assertSame('closes-when-pressed', $pair->notes[0]->code);
        self::assertStringEndsWith('is wanted. Ream it after pressing where that is too tight, and read it again.', $pair->notes[0]->say->mm);
        // Where somebody can be hurt and nobody has accepted it, it is not said.
        $withheld = self::boss();
        $withheld->facts['take_in']['gates'] = ['lifting'];
        $pair = array_values(array_filter(JobAnswers::of($withheld->build())->joints, static fn ($j): bool => $j->joint->name === 'Shaft in bush'))[0];
        self::assertSame([], $pair->notes);
    }

    /**
     * A bush that was bought goes in here, and its bore closes; found in its hole it is in already. Bored to its shaft before it
     * goes in, its bore is left larger by what it closes.
     */
    public function test_a_bought_bush_closes_and_one_that_was_found_in_place_does_not(): void
    {
        $job = static fn (string $origin, ?string $work = null): SampleJob => self::bush($origin)->change('Bush bore', ['work' => $work]);
        $notes = static fn (string $origin): array => array_map(
            static fn (Note $n): string => $n->code,
            array_values(array_filter(JobAnswers::of($job($origin)->build())->joints, static fn ($j): bool => $j->joint->name === 'Shaft in bush'))[0]->notes,
        );
        self::assertContains('closes-when-pressed', $notes('bought'));
        self::assertNotContains('closes-when-pressed', $notes('found'));
        $labels = static fn (string $origin): array => array_map(
            static fn (MakeEntry $e): string => $e->label,
            array_values(array_filter(JobAnswers::of($job($origin, 'cut')->build())->make, static fn (MakeEntry $e): bool => str_starts_with($e->label, 'Bush bore'))),
        );
        self::assertSame(['Bush bore, before pressing', 'Bush bore, after pressing'], $labels('bought'));
        self::assertSame(['Bush bore'], $labels('found'));
    }

    /**
     * A shaft cut to a bush that lies on the bench: its bore of 22.020 closes by what Lamé says once it is in, and the shaft is
     * smaller by that. Read in its place, it is made to what was read.
     */
    public function test_a_shaft_is_made_to_a_bush_as_it_will_be(): void
    {
        $job = static fn (string $origin): SampleJob => self::bush($origin)->change('Shaft journal', ['work' => 'cut']);
        $joint = static fn (SampleJob $job, string $name) => array_values(array_filter(
            JobAnswers::of($job->build())->joints,
            static fn ($j): bool => $j->joint->name === $name,
        ))[0];
        $closing = $joint($job('bought'), 'Bush in housing')->press?->boreClosingMm;
        self::assertNotNull($closing);
        self::assertGreaterThan(0.005, $closing->max);
        [$bench, $place] = [$joint($job('bought'), 'Shaft in bush'), $joint($job('found'), 'Shaft in bush')];
        self::assertEqualsWithDelta($place->band()?->lowerMm - $closing->min, $bench->band()?->lowerMm, 1e-9);
        self::assertEqualsWithDelta($place->band()?->upperMm - $closing->max, $bench->band()?->upperMm, 1e-9);
        $codes = static fn ($j): array => array_map(static fn (Note $n): string => $n->code, $j->notes);
        self::assertContains('mate-changes', $codes($bench));
        self::assertNotContains('mate-changes', $codes($place));
        // Cut to its upper limit it still has the least clearance, once the bore has closed by the most.
        $made = AchievedFit::inMate($bench, $bench->band()->upperMm ?? 0.0, 0.0);
        self::assertGreaterThanOrEqual(($bench->wantedMm->min ?? 1.0) - 1e-9, $made?->min);
        // Pressed in and read there: as one that was found in its place.
        $in = $job('bought');
        foreach ($in->facts['readings'] as $i => $r) {
            $in->facts['readings'][$i]['taken_at'] = '2026-03-01T12:00:00+00:00';
        }
        $in->facts['pushes'] = [['id' => 'p', 'joint' => array_column($in->facts['joints'], 'id', 'name')['Bush in housing'], 'depth' => self::mm('40'), 'force_n' => 5000, 'at' => '2026-03-01T11:00:00+00:00']];
        $same = static fn ($j): array => [$j->band()?->lowerMm, $j->band()?->upperMm];
        self::assertEqualsWithDelta($same($place), $same($joint($in, 'Shaft in bush')), 1e-4);
        // Nobody said what metal: that it changes is said, and by how much is not made up.
        $unsaid = $job('bought');
        foreach (array_keys($unsaid->facts['parts']) as $i) {
            $unsaid->facts['parts'][$i]['material'] = null;
        }
        $open = $joint($unsaid, 'Shaft in bush');
        self::assertEqualsWithDelta($same($place), $same($open), 1e-4);
        self::assertContains('mate-changes', $codes($open));
        // A closer fit than what it closes by is known: press it in first.
        $tight = $joint($job('bought')->joint('Shaft in bush', ['least' => self::mm('0.020'), 'most' => self::mm('0.036')]), 'Shaft in bush');
        self::assertNull($tight->band());
        self::assertStringContainsString('Press it in, read it again', $tight->blocked->mm ?? '');
    }

    /** The outer ring of a bearing is pressed in; its bore is that of another ring, and stays. */
    public function test_the_bore_of_a_bearing_does_not_close_in_its_housing(): void
    {
        $notes = static function (string $purpose): array {
            $job = self::boss()->joint('Bush in housing', ['purpose' => $purpose]);
            $pair = array_values(array_filter(JobAnswers::of($job->build())->joints, static fn ($j): bool => $j->joint->name === 'Shaft in bush'))[0];

            return array_map(static fn (Note $n): string => $n->code, $pair->notes);
        };
        self::assertContains('closes-when-pressed', $notes('medium-press'));
        self::assertNotContains('closes-when-pressed', $notes('bearing-in-housing'));
    }

    /** Bored is not pressed: it still closes. Pressed, it has; read anew since then, what is read counts. */
    public function test_a_bore_that_was_pressed_is_read_anew(): void
    {
        $job = self::boss()->cut('Housing bore', 'only', null, '33.975', 'three-point');
        $pair = static fn () => array_values(array_filter(
            JobAnswers::of($job->build())->joints,
            static fn ($j): bool => $j->joint->name === 'Shaft in bush',
        ))[0];
        $bored = $pair();
        self::assertSame('closes-when-pressed', $bored->notes[0]->code);
        self::assertLessThan(0.019, $bored->pairMm?->middle());
        foreach ($job->facts['readings'] as $i => $r) {
            $job->facts['readings'][$i]['taken_at'] = '2026-03-01T10:00:00+00:00';
        }
        $press = array_column($job->facts['joints'], 'id', 'name')['Bush in housing'];
        $push = ['id' => 'p', 'joint' => $press, 'depth' => self::mm('40'), 'force_n' => 5000, 'at' => '2026-03-01T11:00:00+00:00'];
        $job->facts['pushes'] = [$push];
        $pressed = $pair();
        self::assertSame('closed-since-read', $pressed->notes[0]->code);
        self::assertEquals($bored->pairMm, $pressed->pairMm);
        // The same where it was only ticked; what nobody knows the time of may have been read before.
        $job->facts['pushes'] = [];
        $job->facts['ticks'] = [['id' => 't', 'code' => 'press', 'at' => null, 'remark' => null, 'by' => null]];
        self::assertSame('closed-since-read', $pair()->notes[0]->code);
        $job->facts['ticks'][0] = [...$job->facts['ticks'][0], 'failed' => true, 'remark' => 'it jumped'];
        self::assertSame('closes-when-pressed', $pair()->notes[0]->code, 'it did not go in');
        $job->facts['ticks'] = [];
        $job->facts['pushes'] = [$push];
        foreach ($job->facts['readings'] as $i => $r) {
            if ($r['surface'] === $job->surface('Bush bore')) {
                $job->facts['readings'][$i] = [...$r, 'value' => self::mm('22.005'), 'taken_at' => '2026-03-01T12:00:00+01:00'];
            }
        }
        self::assertSame('closed-since-read', $pair()->notes[0]->code, 'noon there is eleven here');
        foreach ($job->facts['readings'] as $i => $r) {
            if ($r['surface'] === $job->surface('Bush bore')) {
                $job->facts['readings'][$i]['taken_at'] = '2026-03-01T12:00:01+01:00';
            }
        }
        $anew = $pair();
        self::assertNotContains($anew->notes[0]->code, ['closed-since-read', 'closes-when-pressed']);
        self::assertEqualsWithDelta(22.005 - 22.0, $anew->pairMm?->middle(), 1e-6);
    }

    /** Pressed together as they are: what grips is said of two parts that nobody cuts. */
    public function test_a_tight_pair_has_its_mechanics(): void
    {
        $job = self::boss()->change('Housing bore', ['work' => null, 'condition' => null]);
        foreach ($job->facts['readings'] as $i => $r) {
            if ($r['surface'] === $job->surface('Bush outside')) {
                $job->facts['readings'][$i]['value']['typed'] = '30.030';
            }
        }
        $out = JobAnswers::of($job->build());
        $pair = array_values(array_filter($out->joints, static fn ($j): bool => $j->joint->name === 'Bush in housing'))[0];
        self::assertEqualsWithDelta(-0.030, $pair->pairMm?->middle(), 1e-9);
        self::assertNotNull($pair->press);
        self::assertGreaterThan(0.0, $pair->press->holdTorqueNm->max);
        self::assertNull($pair->make);
        // 0.030 tight is as wanted between 0.005 and 0.045, 0.0215 tighter than the middle of 0.005 to 0.012, and 0.035
        // looser than that of 0.050 to 0.080.
        foreach ([['-0.045', '-0.005', 'pair', 'as wanted'], ['-0.012', '-0.005', 'pair-tight', 'about 0.022 mm too tight'], ['-0.080', '-0.050', 'pair-loose', 'about 0.035 mm too loose']] as [$least, $most, $code, $says]) {
            $out = JobAnswers::of($job->joint('Bush in housing', ['least' => self::mm($least), 'most' => self::mm($most)])->build());
            $note = array_values(array_filter($out->joints, static fn ($j): bool => $j->joint->name === 'Bush in housing'))[0]->notes[0];
            self::assertSame($code, $note->code);
            self::assertStringContainsString($says, $note->say->mm);
        }
    }

    /**
     * The old pair's fit, where it is not worn: 29.950 in 29.990 had 0.040; copied within half of IT7 at 30 mm, 10.5 µm
     * (ISO 286-1:2010, table 1).
     */
    public function test_the_old_fit_is_copied(): void
    {
        $job = SampleJob::measured()->joint('Bush in housing', ['purpose' => 'as-the-old-pair']);
        foreach ($job->facts['readings'] as $i => $r) {
            if ($r['surface'] === $job->surface('Housing bore')) {
                $job->facts['readings'][$i]['value']['typed'] = $r['angle'] === '0' ? '29.990' : '30.060';
                $job->facts['readings'][$i]['worn'] = $r['angle'] !== '0';
            }
        }
        $joint = static fn (SampleJob $job) => array_values(
            array_filter(
                JobAnswers::of($job->build())->joints,
                static fn ($j): bool => $j->joint->name === 'Bush in housing',
            ),
        )[0];
        self::assertStringContainsString('measure the old bush outside', $joint($job)->blocked->mm ?? '');
        self::assertStringNotContainsString('housing bore', $joint($job)->blocked->mm ?? '', 'that is read');
        $job->read('Bush outside', '29.950', 'outside-micrometer', 'near end');
        $copied = $joint($job);
        self::assertEqualsWithDelta([0.0295, 0.0505], [$copied->wantedMm?->min, $copied->wantedMm?->max], 1e-9);
        self::assertContains('old-fit-worn', array_map(static fn (Note $n): string => $n->code, $copied->notes));
    }

    /** A size that was typed with how sure it is, is a mate as it is, and says so; without that, measure it. */
    public function test_a_typed_size_with_its_doubt_is_a_mate(): void
    {
        $job = SampleJob::measured()->joint('Shaft in bush', ['least' => self::mm('0.02'), 'most' => self::mm('0.12')]);
        $job->facts['readings'] = array_values(
            array_filter($job->facts['readings'], static fn (array $r): bool => $r['surface'] !== $job->surface('Shaft journal')),
        );
        $job->change('Shaft journal', ['size' => self::mm('22'), 'source' => 'catalogue', 'sure' => self::mm('0.021')]);
        $bore = static fn (SampleJob $job) => array_values(
            array_filter(
                JobAnswers::of($job->build())->joints,
                static fn ($j): bool => $j->joint->name === 'Shaft in bush',
            ),
        )[0];
        // 22 + 0.02 + 0.021 to 22 + 0.12 − 0.021.
        $sized = $bore($job);
        self::assertEqualsWithDelta([22.041, 22.099], [$sized->band()?->lowerMm, $sized->band()?->upperMm], 1e-9);
        self::assertContains('typed', array_map(static fn (Note $n): string => $n->code, $sized->notes));
        $job->change('Shaft journal', ['sure' => null]);
        self::assertStringContainsString('Measure the shaft journal', $bore($job)->blocked->mm ?? '');
    }
}
