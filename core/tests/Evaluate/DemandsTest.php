<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use PHPUnit\Framework\TestCase;

/** All that is asked of one surface, in one band. */
final class DemandsTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function mm(float|string $typed): array
    {
        return ['typed' => (string) $typed, 'unit' => 'mm'];
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

    /**
     * As a property: whatever limits of its own a length has, what is agreed lies inside them and inside what the joint
     * asks; and there is nothing exactly where the two don't meet.
     */
    public function test_what_is_agreed_lies_inside_every_demand(): void
    {
        $joint = self::entry(SampleJob::measured(), 'Bush length')->band;
        self::assertNotNull($joint);
        $met = $missed = 0;
        for ($i = 0; $i < 60; $i++) {
            $size = round($joint->middleMm() - 0.3 + 0.01 * $i, 3);
            $half = 0.02 + 0.005 * ($i % 7);
            $entry = self::entry(
                SampleJob::measured()->change('Bush length', [
                    'size' => self::mm($size),
                    'demand' => ['kind' => 'limits', 'plus' => self::mm($half), 'minus' => self::mm($half), 'class' => null],
                ]),
                'Bush length',
            );
            $least = max($joint->lowerMm, $size - $half);
            $most = min($joint->upperMm, $size + $half);
            if ($least > $most) {
                $missed++;
                self::assertNull($entry->band);
                self::assertStringContainsString('“Bush length to housing”', $entry->blocked->mm ?? '');
                self::assertStringContainsString('ts own limits', $entry->blocked->mm ?? '');
            } else {
                $met++;
                self::assertEqualsWithDelta([$least, $most], [$entry->band?->lowerMm, $entry->band?->upperMm], 1e-9);
            }
        }
        self::assertGreaterThan(5, $met);
        self::assertGreaterThan(5, $missed);
    }

    /** Two joints on one shaft: the band serves both; where none does, both are named and by how much they miss. */
    public function test_two_joints_of_one_surface_agree_or_are_named(): void
    {
        $job = SampleJob::measured();
        $bore = array_values(
            array_filter($job->facts['surfaces'], static fn (array $s): bool => $s['name'] === 'Housing bore'),
        )[0];
        $job->facts['surfaces'][] = [...$bore, 'id' => 'second', 'name' => 'Second bore'];
        $job->facts['joints'][] = [
            'id' => 'second-joint',
            'name' => 'Bush in the second bore',
            'inner' => $job->surface('Bush outside'),
            'outer' => 'second',
            'along' => null,
            'purpose' => 'hand-fit',
            'least' => self::mm('-0.03'),
            'most' => self::mm('0.01'),
        ];
        $job->joint('Bush in housing', ['least' => self::mm('-0.05'), 'most' => self::mm('-0.005')]);
        $alone = self::entry($job, 'Bush outside');
        self::assertNull($alone->band, 'the second bore is not read yet');
        $job->read('Second bore', '30.000', 'three-point', 'mouth')->read('Second bore', '30.000', 'three-point', 'mouth', '90');
        $both = self::entry($job, 'Bush outside');
        self::assertNotNull($both->band);
        self::assertGreaterThanOrEqual(30.0 + 0.005, $both->band->lowerMm);
        self::assertLessThanOrEqual(30.0 + 0.03, $both->band->upperMm);
        $job->joint('Bush in the second bore', ['least' => self::mm('0.02'), 'most' => self::mm('0.06')]);
        $says = self::entry($job, 'Bush outside')->blocked->mm ?? '';
        self::assertStringContainsString('“Bush in housing”', $says);
        self::assertStringContainsString('“Bush in the second bore”', $says);
        self::assertStringContainsString('They miss each other by', $says);
        self::assertStringEndsWith('Widen the fit of one of the two by that at Size, or cut the other piece of one of them too.', $says);
        // One of the two is what the surface asks for itself: 29.5 to 29.6 against a bore of 30.
        $job->facts['joints'] = array_values(array_filter($job->facts['joints'], static fn (array $j): bool => $j['id'] !== 'second-joint'));
        $job->change('Bush outside', ['size' => self::mm('29.5'), 'demand' => ['kind' => 'limits', 'plus' => self::mm('0.1'), 'minus' => self::mm('0'), 'class' => null]]);
        self::assertStringEndsWith('Change its limits at Survey, or the fit.', self::entry($job, 'Bush outside')->blocked->mm ?? '');
    }

    /**
     * As the old one where it is not worn: 24.000, by how much it matters: half of IT7 at 24 mm is 10.5 µm, half of IT9
     * 26 µm (ISO 286-1:2010, table 1); ISO 2768-1 class m at 24 mm is ±0.2.
     */
    public function test_as_the_old_one(): void
    {
        foreach (['critical' => 0.0105, 'fit' => 0.026, 'clearance' => 0.2] as $matters => $half) {
            $job = self::old($matters);
            self::assertStringContainsString('read the old one', self::entry($job, 'Bush outside')->blocked->mm ?? '');
            foreach ([['0', '24.000', false], ['90', '23.700', true]] as [$angle, $typed, $worn]) {
                $job->read('Bush outside', $typed, 'outside-micrometer', 'near end', $angle);
                $job->facts['readings'][count($job->facts['readings']) - 1]['worn'] = $worn;
            }
            $band = self::entry($job, 'Bush outside')->band;
            self::assertEqualsWithDelta([24 - $half, 24 + $half], [$band?->lowerMm, $band?->upperMm], 1e-9, $matters);
        }
    }

    /** A catalogue's or drawing's limits, typed, go before the tolerance that is taken. */
    public function test_as_the_old_one_within_limits_that_were_typed(): void
    {
        $job = self::old('critical', ['plus' => self::mm('0.02'), 'minus' => self::mm('0.08')]);
        $job->read('Bush outside', '24.000', 'outside-micrometer');
        $entry = self::entry($job, 'Bush outside');
        self::assertEqualsWithDelta([23.92, 24.02], [$entry->band?->lowerMm, $entry->band?->upperMm], 1e-9);
        self::assertStringContainsString('wear is copied', $entry->remarks[0]->mm ?? '');
    }

    /** @param  array<string, mixed>  $limits */
    private static function old(string $matters, array $limits = []): SampleJob
    {
        $job = SampleJob::measured()->change('Bush outside', [
            'criticality' => $matters,
            'demand' => ['kind' => 'as-the-old', 'plus' => null, 'minus' => null, 'class' => null, ...$limits],
        ]);
        $job->facts['joints'] = [];

        return $job;
    }

    /**
     * Stock is at least what was said, on whatever it is to be in the end: a shaft larger, a bore smaller, by geometry;
     * at most the whole general tolerance of ISO 2768-1 m more (30.5 mm: ±0.3, 22 mm: ±0.2).
     */
    public function test_stock_is_left_on_what_it_is_to_be(): void
    {
        $stock = ['kind' => 'stock', 'plus' => self::mm('0.5'), 'minus' => null, 'class' => null];
        $plain = self::entry(SampleJob::measured(), 'Bush outside')->band;
        $left = self::entry(SampleJob::measured()->change('Bush outside', ['demand' => $stock]), 'Bush outside');
        self::assertNotNull($plain);
        self::assertEqualsWithDelta($plain->upperMm + 0.5, $left->band?->lowerMm, 1e-9);
        self::assertEqualsWithDelta($plain->upperMm + 0.5 + 0.6, $left->band?->upperMm, 1e-9);
        $job = SampleJob::measured()->change('Bush bore', ['size' => self::mm('22'), 'demand' => $stock]);
        $job->facts['joints'] = [];
        $bore = self::entry($job, 'Bush bore');
        self::assertEqualsWithDelta([21.1, 21.5], [$bore->band?->lowerMm, $bore->band?->upperMm], 1e-9);
        $none = self::entry(
            SampleJob::measured()->change('Bush outside', ['demand' => [...$stock, 'plus' => null]]),
            'Bush outside',
        );
        self::assertStringContainsString('say how much', $none->blocked->mm ?? '');
    }
}
