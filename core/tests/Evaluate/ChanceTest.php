<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\WayOut;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Fit\Aim;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** How likely a size is to work, what narrows it, what would raise it, and how likely the job is as a whole. */
final class ChanceTest extends TestCase
{
    private static function answers(SampleJob $job): JobAnswers
    {
        return JobAnswers::of($job->build());
    }

    private static function joint(SampleJob $job, string $name = 'Bush in housing'): SizedJoint
    {
        foreach (self::answers($job)->joints as $joint) {
            if ($joint->joint->name === $name) {
                return $joint;
            }
        }
        self::fail("no joint {$name}");
    }

    /** @return array<string, WayOut> by what it is */
    private static function helps(SizedJoint $joint): array
    {
        return array_column($joint->best->helps ?? [], null, 'code');
    }

    /** A housing read by calliper at two angles: no class of a light press is narrow enough to be promised with that. */
    private static function poor(string $with = 'calliper', string $value = '30.00'): SampleJob
    {
        $job = (new SampleJob())->answered();
        foreach (['0', '90'] as $angle) {
            $job->read('Housing bore', $value, $with, 'mouth', $angle);
        }

        return $job
            ->joint('Bush in housing', ['purpose' => 'light-press', 'school' => 'iso'])
            ->read('Shaft journal', '22.000', 'outside-micrometer');
    }

    /** What can be promised is approached from where metal is left; what can't is made as near to the middle as it can be. */
    public function test_where_to_aim(): void
    {
        $aims = [];
        foreach (['three-point', 'calliper'] as $gauge) {
            $job = SampleJob::measured();
            foreach ($job->facts['readings'] as $i => $reading) {
                if ($reading['surface'] === $job->surface('Housing bore')) {
                    $job->facts['readings'][$i]['instrument'] = $gauge;
                }
            }
            foreach (self::answers($job)->make as $entry) {
                if ($entry->label === 'Bush outside') {
                    $aims[$gauge] = $entry->aim();
                }
            }
        }
        self::assertSame(['three-point' => Aim::MetalLeft, 'calliper' => Aim::Middle], $aims);
    }

    /** Each step in the order of what it costs, each gaining something, and no chance above one. */
    public function test_what_would_help(): void
    {
        $joint = self::joint(self::poor());
        self::assertNotNull($joint->best);
        $order = ['read-again', 'check-gauge', 'other-gauge', 'other-fit', 'hold-closer', 'change-the-mate', 'bond'];
        $codes = array_column($joint->best->helps, 'code');
        self::assertSame(array_values(array_intersect($order, $codes)), $codes, 'the cheapest first');
        self::assertContains('other-gauge', $codes);
        self::assertContains('bond', $codes);
        foreach ($joint->best->helps as $help) {
            self::assertGreaterThan($joint->best->best->chance + 0.01, $help->chance ?? 1.0, $help->code);
            self::assertLessThanOrEqual(1.0, $help->chance ?? 1.0);
            $figure = $help->chance === null ? '' : sprintf(': %d of 100.', floor(100 * $help->chance + 1e-9));
            self::assertStringEndsWith($figure, $help->says->mm);
        }
    }

    /** Read with the gauge that was named, it is as likely as was said; bonded, it is too. */
    public function test_a_step_taken_brings_what_it_promised(): void
    {
        $helps = self::helps(self::joint(self::poor()));
        $with = str_contains($helps['other-gauge']->says->mm, 'three-point') ? 'three-point' : 'dial-bore';
        $read = self::joint(self::poor($with, '30.000'));
        self::assertEqualsWithDelta($helps['other-gauge']->chance, $read->chance(), 0.02);
        $bonded = self::joint(self::poor()->joint('Bush in housing', $helps['bond']->joint ?? []));
        self::assertEqualsWithDelta($helps['bond']->chance, $bonded->chance(), 0.02);
        self::assertSame(self::joint(self::poor())->mate?->id, $helps['other-gauge']->measure);
    }

    /** More readings at the places that decide narrow what scatters; what they are expected to bring, they bring. */
    public function test_reading_again(): void
    {
        $job = static function (int $times): SampleJob {
            $job = (new SampleJob())->answered();
            for ($i = 0; $i < $times; $i++) {
                foreach (['0', '90'] as $j => $angle) {
                    $off = $i === 0 ? 0 : ($i % 2 === 1 ? 0.008 : -0.008);
                    $job->read('Housing bore', number_format(30 + $j * 0.01 + $off, 3), 'telescoping', 'mouth', $angle);
                }
            }

            return $job->joint('Bush in housing', [
                'least' => ['typed' => '-0.004', 'unit' => 'mm'],
                'most' => ['typed' => '0.034', 'unit' => 'mm'],
            ]);
        };
        $once = self::joint($job(1));
        $help = self::helps($once)['read-again'] ?? null;
        self::assertNotNull($help);
        self::assertStringContainsString('where it is smallest and where it is largest', $help->says->mm);
        self::assertGreaterThan($once->chance() + 0.01, self::joint($job(5))->chance());
        // Where the gauge's own error counts most, once more is nearly as good as four times: nobody reads more for nothing.
        self::assertStringContainsString('once more', self::helps(self::joint(self::poor()))['read-again']->says->mm);
    }

    /** A gauge that is sure but for its own error is worth setting on a master. */
    public function test_check_the_gauge(): void
    {
        $job = (new SampleJob())->answered();
        foreach (['0', '45', '90', '135'] as $angle) {
            foreach (['1', '2', '3'] as $station) {
                $job->read('Housing bore', '30.000', 'unchecked-bore', $station, $angle);
            }
        }
        $joint = self::joint($job->joint('Bush in housing', ['purpose' => 'slides-no-shake', 'school' => 'iso']));
        $help = self::helps($joint)['check-gauge'] ?? null;
        self::assertNotNull($help);
        self::assertGreaterThan(0.9, $help->chance);
        self::assertStringContainsString('master', $help->says->mm);
    }

    /** A worn oval bore: trued to a reamer its form is gone, and it says to what. */
    public function test_true_the_mate(): void
    {
        $job = (new SampleJob())->answered();
        foreach (['1', '2', '3'] as $station) {
            foreach (['0' => '30.000', '45' => '30.020', '90' => '30.040', '135' => '30.020'] as $angle => $mm) {
                $job->read('Housing bore', $mm, 'three-point', $station, (string) $angle);
            }
        }
        $joint = self::joint($job->joint('Bush in housing', ['purpose' => 'slides-no-shake', 'school' => 'iso']));
        $help = self::helps($joint)['change-the-mate'] ?? null;
        self::assertNotNull($help, implode(',', array_keys(self::helps($joint))));
        // The next reamer over 30.04 is 1-3/16 in, 30.163.
        self::assertStringContainsString('30.163', $help->says->mm);
        self::assertStringStartsWith('Ream the housing bore to', $help->operation ?? '');
        self::assertGreaterThan(0.9, $help->chance);
    }

    /** A fit of another school that is wide enough for the reading can be promised, and one tap takes it. */
    public function test_another_fit(): void
    {
        $job = (new SampleJob())->answered()->read('Housing bore', '30.000', 'unchecked-bore')->joint('Bush in housing', [
            'purpose' => 'loose-running',
            'school' => 'inch',
        ]);
        $joint = self::joint($job);
        self::assertNotNull($joint->best, 'the class cannot be promised');
        $help = self::helps($joint)['other-fit'] ?? null;
        self::assertNotNull($help);
        self::assertSame('Take H11/c11: with this reading it can be promised.', $help->says->mm);
        $taken = self::joint($job->joint('Bush in housing', $help->joint ?? []));
        self::assertNull($taken->best, 'promised');
        self::assertGreaterThan(0.98, $taken->chance());
    }

    /** A promised class is a sure thing, and the chance is that of the working limits, not of the class's. */
    public function test_a_promised_class_has_its_chance_too(): void
    {
        $joint = self::joint(SampleJob::measured());
        self::assertNull($joint->best);
        self::assertGreaterThan(0.98, $joint->chance());
        $entry = self::answers(SampleJob::measured())->make[0];
        self::assertGreaterThan(0.98, $entry->chance);
        self::assertStringStartsWith('sure, works in', $entry->jsonSerialize()['chance']['says'] ?? '');
    }

    /**
     * Strength narrows what works: at the tight end a factor of 1.2 is left, by the same mechanics that tell it; and
     * with a load to hold the loose end holds it.
     */
    public function test_strength_and_load_narrow_what_works(): void
    {
        $job = static fn (string $torque = ''): SampleJob => self::poor()
            ->materials('aluminium casting alloy')
            ->joint('Bush in housing', [
                'purpose' => 'heavy-press',
                'school' => 'iso',
                ...$torque === '' ? [] : ['needs_torque_nm' => (float) $torque],
            ])
            ->read('Boss outside', '34.00', 'calliper')
            ->read('Housing length', '40.00', 'depth-micrometer');
        $joint = self::joint($job());
        self::assertNotNull($joint->best);
        $of = Purpose::named('heavy-press')->worksWithin($joint->mateFound->meanMm ?? 0.0) ?? new Range(0, 0);
        $works = $joint->best->case->works;
        self::assertGreaterThan($of->min + 0.001, $works->min, 'not as tight as it could be');
        self::assertSame($of->max, $works->max);
        self::assertStringContainsString('too near to yielding', $joint->best->because->mm);
        self::assertEqualsWithDelta($joint->best->best->band->lowerMm, $joint->band()?->lowerMm, 1e-12);
        // The factor falls about as the interference grows: at the end that still works it is 1.2, for either part.
        $press = $joint->press;
        self::assertNotNull($press);
        $factor = min($press->outerFactor ?? INF, $press->innerFactor ?? INF);
        $atEnd = ($factor * $press->fit->interferenceMm->max) / -$works->min;
        self::assertEqualsWithDelta(1.2, $atEnd, 0.06);
    }

    /**
     * A load moves the loose end up to where a press just holds it; one that no press carries narrows nothing, and what
     * else could hold it is said.
     */
    public function test_a_load_narrows_what_works(): void
    {
        $job = static fn (?float $torque): SampleJob => self::poor('telescoping')
            ->materials('medium-carbon steel, normalised', 'medium-carbon steel, normalised')
            ->finished()
            ->joint('Bush in housing', ['purpose' => 'heavy-press', 'school' => 'iso', 'needs_torque_nm' => $torque])
            ->read('Boss outside', '60', 'calliper')
            ->read('Housing length', '40.00', 'depth-micrometer')
            ->read('Shaft journal', '15.000', 'outside-micrometer');
        $free = self::joint($job(null))->best?->case->works;
        $loaded = self::joint($job(300.0))->best?->case->works;
        $over = self::joint($job(50000.0))->best;
        self::assertNotNull($free);
        self::assertNotNull($loaded);
        self::assertLessThan($free->max - 0.002, $loaded->max, 'not so loose');
        self::assertSame($free->min, $loaded->min);
        self::assertEquals($free->max, $over?->case->works->max);
    }

    /** A job as a whole is never likelier than its least likely piece, and two joints on one mate stand together. */
    public function test_the_whole(): void
    {
        $one = self::answers(self::poor())->whole;
        self::assertNotNull($one);
        self::assertFalse($one->made);
        self::assertSame(
            min(array_column($one->pieces, 'chance')),
            $one->pieces[0]['chance'],
        );
        self::assertLessThanOrEqual($one->pieces[0]['chance'], $one->chance);
        self::assertContains('Bush length to housing', $one->unknown);
        $product = array_product(array_column($one->pieces, 'chance'));
        self::assertEqualsWithDelta($product, $one->chance, 1e-9, 'no mate is shared');
        self::assertStringNotContainsString(' 100', str_replace('of 100', '', $one->working()->steps[0]->numbers->mm), 'rounded down');

        $twice = self::poor();
        $twice->facts['joints'][] = [...$twice->facts['joints'][0], 'id' => 'again', 'name' => 'Once more'];
        $both = self::answers($twice)->whole;
        self::assertNotNull($both);
        $chance = $one->pieces[0]['chance'];
        $rest = $product / $chance;
        self::assertGreaterThan($rest * $chance ** 2 + 0.005, $both->chance, 'misread once, not twice');
        self::assertLessThanOrEqual($rest * $chance + 1e-6, $both->chance);
    }

    /** Once it is made, the chance is of the size it came out at. */
    public function test_as_made(): void
    {
        $good = SampleJob::measured();
        $band = self::joint($good)->band();
        self::assertNotNull($band);
        $made = static fn (float $mm): SampleJob => SampleJob::measured()->cut(
            'Bush outside',
            'only',
            null,
            number_format($mm, 3, '.', ''),
        );
        $chance = static fn (SampleJob $job): float => array_column(
            self::answers($job)->whole->pieces ?? [],
            'chance',
            'name',
        )['Bush in housing'];
        self::assertGreaterThan(0.98, $chance($made($band->middleMm())));
        self::assertLessThan(0.02, $chance($made($band->upperMm + 0.2)));
        self::assertFalse(self::answers($made($band->middleMm()))->whole->made ?? true, 'the bore is still to be cut');
    }

    /** Nothing is said while sizes are withheld, and nothing where nothing is known. */
    public function test_nothing_known_nothing_said(): void
    {
        self::assertNull(self::answers(new SampleJob())->whole);
        self::assertNull(self::answers((new SampleJob())->answered())->whole);
    }

    /** Measure says how likely it is now and where one more reading tells most; not once it is sure. */
    public function test_at_measure(): void
    {
        $surface = static function (SampleJob $job): array {
            $answers = json_decode(json_encode(self::answers($job), JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR);

            return array_column($answers['surfaces'], null, 'name')['Housing bore'];
        };
        $poor = $surface(self::poor());
        self::assertSame('usable', $poor['chance']['kind']);
        self::assertStringContainsString(' of 100.', $poor['chance']['next']['mm']);
        self::assertContains($poor['next_reading']['angle'], ['0', '90']);
        $good = $surface(SampleJob::measured());
        self::assertSame('good', $good['chance']['kind']);
        self::assertNull($good['chance']['next']);
        self::assertNull($good['next_reading']);
        // Of the two places that decide, the one read less often.
        $job = (new SampleJob())->answered();
        $reads = [['0', '30.02'], ['90', '30.00'], ['90', '30.00'], ['90', '30.00'], ['45', '30.01']];
        foreach ($reads as [$angle, $mm]) {
            $job->read('Housing bore', $mm, 'calliper', 'mouth', $angle);
        }
        self::assertSame(['station' => 'mouth', 'angle' => '0'], $surface($job)['next_reading']);
        self::assertCount(2, $surface($job)['found']['deciding']);
    }
}
