<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use PHPUnit\Framework\TestCase;

/** What is made and measured is the mate of what still has to be made; who waits for whom is said in words. */
final class MadeFirstTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function mm(string $typed): array
    {
        return ['typed' => $typed, 'unit' => 'mm'];
    }

    /** @return array<string, mixed> */
    private static function limits(string $plus, string $minus): array
    {
        return ['kind' => 'limits', 'plus' => self::mm($plus), 'minus' => self::mm($minus), 'class' => null];
    }

    /** A worn housing, bored again to a bush that is made first. */
    private static function bored(?string $first = 'inner'): SampleJob
    {
        return SampleJob::measured()
            ->change('Housing bore', ['work' => 'cut'])
            ->change('Bush outside', ['size' => self::mm('30.5'), 'demand' => self::limits('0.05', '0.05')])
            ->joint('Bush in housing', [
                'first' => $first,
                'least' => self::mm('-0.040'),
                'most' => self::mm('-0.010'),
            ]);
    }

    private static function joint(SampleJob $job, string $name): SizedJoint
    {
        foreach (JobAnswers::of($job->build())->joints as $joint) {
            if ($joint->joint->name === $name) {
                return $joint;
            }
        }
        self::fail("no {$name}");
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

    /** Until the bush is made, its hole waits; what it will come to is said: 30.45 − 0.040 to 30.55 − 0.010. */
    public function test_the_other_side_waits_and_says_for_what(): void
    {
        $hole = self::entry(self::bored(), 'Housing bore');
        self::assertNull($hole->band);
        $says = $hole->blocked->mm ?? '';
        self::assertStringContainsString('Make the bush outside first', $says);
        self::assertStringContainsString('30.410', $says);
        self::assertStringContainsString('30.540', $says);
        $bush = self::entry(self::bored(), 'Bush outside');
        self::assertEqualsWithDelta([30.45, 30.55], [$bush->band?->lowerMm, $bush->band?->upperMm], 1e-9);
    }

    /**
     * The bush came out at 30.520, sure to u: the hole is 30.520 − 0.040 + u to 30.520 − 0.010 − u. Geometry, and the
     * limits guarded by the doubt as ISO 14253-1 has it.
     */
    public function test_the_hole_is_bored_to_what_the_bush_came_out_at(): void
    {
        $job = self::bored()->cut('Bush outside', 'only', null, '30.520');
        $joint = self::joint($job, 'Bush in housing');
        self::assertNotNull($joint->mateFound);
        self::assertEqualsWithDelta(30.520, $joint->mateFound->meanMm, 1e-9);
        $u = $joint->mateFound->u95MeanMm;
        self::assertGreaterThan(0.0, $u);
        $hole = self::entry($job, 'Housing bore')->band;
        self::assertEqualsWithDelta([30.480 + $u, 30.510 - $u], [$hole?->lowerMm, $hole?->upperMm], 1e-9);
        $thicker = self::entry(self::bored()->cut('Bush outside', 'only', null, '30.540'), 'Housing bore')->band;
        self::assertEqualsWithDelta(0.020, ($thicker->lowerMm ?? 0) - ($hole->lowerMm ?? 0), 1e-6);
    }

    /** One that is still being cut is no mate yet. */
    public function test_a_piece_that_is_still_cut_decides_nothing(): void
    {
        $hole = self::entry(self::bored()->cut('Bush outside', 'only', null, '30.900'), 'Housing bore');
        self::assertNull($hole->band);
    }

    /** Nothing said which is first: the one that is cut first is. */
    public function test_what_is_cut_first_decides_where_nothing_was_said(): void
    {
        $job = self::bored(null)->cut('Bush outside', 'only', null, '30.520');
        self::assertSame('Bush outside', self::joint($job, 'Bush in housing')->mate?->name);
        $other = self::bored(null)
            ->change('Housing bore', ['size' => self::mm('30.5'), 'demand' => self::limits('0.05', '0.05')])
            ->change('Bush outside', ['demand' => null])
            ->cut('Housing bore', 'only', null, '30.490', 'three-point');
        self::assertSame('Housing bore', self::joint($other, 'Bush in housing')->mate?->name);
        $bush = self::entry($other, 'Bush outside');
        self::assertGreaterThan(30.490, $bush->band?->upperMm);
    }

    /** Read finished, with better than what it was cut by, that counts before the log. */
    public function test_a_finished_reading_counts_before_the_log(): void
    {
        $job = self::bored()->cut('Bush outside', 'only', null, '30.520', 'calliper');
        foreach (['0', '90'] as $angle) {
            $job->read('Bush outside', '30.512', 'outside-micrometer', 'near end', $angle);
            $job->facts['readings'][count($job->facts['readings']) - 1]['state'] = 'done';
        }
        self::assertEqualsWithDelta(30.512, self::joint($job, 'Bush in housing')->mateFound?->meanMm, 1e-9);
    }

    /**
     * A chain of three: the shaft is made first to limits of its own, the bush's bore to it, and a ring inside out: each
     * waits for the one before.
     */
    public function test_a_chain_is_worked_out_in_order(): void
    {
        $job = self::chain();
        self::assertStringContainsString('Make the shaft journal first', self::entry($job, 'Bush bore')->blocked->mm ?? '');
        $job->cut('Shaft journal', 'only', null, '21.980');
        $bore = self::entry($job, 'Bush bore');
        self::assertNotNull($bore->band);
        self::assertGreaterThan(21.980, $bore->band->lowerMm);
        self::assertNull(self::entry($job, 'Ring')->band, 'the bore is not made yet');
        $job->cut('Bush bore', 'only', null, (string) round($bore->band->middleMm(), 3), 'three-point');
        $ring = self::entry($job, 'Ring');
        self::assertNotNull($ring->band);
        self::assertLessThan($bore->band->upperMm, $ring->band->upperMm);
    }

    private static function chain(): SampleJob
    {
        $job = SampleJob::measured()
            ->change('Shaft journal', ['work' => 'cut', 'size' => self::mm('22'), 'demand' => self::limits('0', '0.05')])
            ->joint('Shaft in bush', ['first' => 'inner']);
        $journal = array_values(
            array_filter($job->facts['surfaces'], static fn (array $s): bool => $s['name'] === 'Shaft journal'),
        )[0];
        $bush = array_column($job->facts['surfaces'], 'part', 'name')['Bush bore'];
        $job->facts['parts'][] = ['id' => 'ring-part', 'name' => 'Ring', 'origin' => 'make', 'material' => null];
        $job->facts['surfaces'][] = [
            ...$journal,
            'id' => 'ring',
            'part' => 'ring-part',
            'name' => 'Ring',
            'size' => null,
            'work' => null,
            'demand' => null,
        ];
        self::assertNotSame('', $bush);
        $job->facts['joints'] = array_values(
            array_filter($job->facts['joints'], static fn (array $j): bool => $j['name'] !== 'Bush in housing'),
        );
        // Listed before the joint that sizes what it waits for.
        array_unshift($job->facts['joints'], [
            'id' => 'ring-joint',
            'name' => 'Ring in the bush',
            'inner' => 'ring',
            'outer' => $job->surface('Bush bore'),
            'along' => null,
            'purpose' => 'hand-fit',
            'first' => 'outer',
        ]);

        return $job;
    }

    /** Each waits for the other: both are named, and nobody is given a size. */
    public function test_a_circle_is_named_in_words(): void
    {
        $job = self::chain();
        $job->facts['joints'][] = [
            'id' => 'back',
            'name' => 'Shaft in the ring',
            'inner' => $job->surface('Shaft journal'),
            'outer' => 'ring',
            'along' => null,
            'purpose' => 'hand-fit',
            'first' => 'outer',
        ];
        $says = self::joint($job, 'Shaft in the ring')->blocked->mm ?? '';
        self::assertStringContainsString('Nothing here can be made first', $says);
        foreach (['“Ring in the bush” waits for the bush bore', '“Shaft in bush” waits for the shaft journal', '“Shaft in the ring” waits for the ring'] as $part) {
            self::assertStringContainsString($part, $says);
        }
        self::assertSame($says, self::joint($job, 'Shaft in bush')->blocked->mm ?? '');
        // The journal has been turned to its own limits all the same: what waits for it need not wait any more.
        $job->cut('Shaft journal', 'only', null, '21.980');
        self::assertGreaterThan(21.980, self::joint($job, 'Shaft in bush')->band()?->lowerMm);
    }

    /** The bush is the inner part whichever side is cut: its bore closes when it is pressed. */
    public function test_a_bore_closes_where_the_hole_is_cut_to_its_bush(): void
    {
        $job = self::bored()
            ->change('Housing bore', ['long' => self::mm('40')])
            ->cut('Bush outside', 'only', null, '30.520');
        $before = self::entry($job, 'Bush bore, before pressing')->band;
        $after = self::entry($job, 'Bush bore, after pressing')->band;
        self::assertGreaterThan($after->lowerMm ?? INF, $before->lowerMm ?? 0.0);
    }
}
