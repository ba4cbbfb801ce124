<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\JobRecords;
use App\Models\Job;
use App\Sheet\JobSheet;
use Database\Seeders\DemoShop;
use Oldpart\Core\Quantity\Unit;

/** What is made first, cut again, tried and decided, over HTTP; and what is not here goes with all that asks for it. */
final class DemandsApiTest extends FeatureTestCase
{
    /** @param  array<string, mixed>  $fact */
    private function stored(int $version, string $path, array $fact, int $status = 200): array
    {
        return $this->api('PUT', "/api/jobs/job-1/{$path}", $this->change($version, $fact), $status);
    }

    /** @return array<string, mixed> */
    private static function inch(string $typed): array
    {
        return ['typed' => $typed, 'unit' => 'in'];
    }

    public function test_a_hole_is_bored_again_to_a_bush_that_was_made_first(): void
    {
        $state = $this->startJob();
        [$hole, $bush] = [self::idOf($state, 'surfaces', 'Housing bore'), self::idOf($state, 'surfaces', 'Bush outside')];
        $joint = self::idOf($state, 'joints', 'Bush in housing');
        $this->stored(1, "surfaces/{$hole}", ['work' => 'cut']);
        $this->stored(2, "surfaces/{$bush}", [
            'size' => self::inch('1.5'),
            'demand' => ['kind' => 'limits', 'plus' => self::inch('0.002'), 'minus' => self::inch('0.002'), 'class' => null],
        ]);
        $state = $this->stored(3, "joints/{$joint}", ['first' => 'inner']);
        $entry = static fn (array $state, string $label): array => array_column($state['answers']['make'], null, 'label')[$label];
        self::assertNull($entry($state, 'Housing bore')['band']);
        $state = $this->stored(4, 'cuts/c1', [
            'surface' => $bush,
            'after' => self::inch('1.5010'),
            'instrument' => 'outside-micrometer',
        ]);
        self::assertNotNull($entry($state, 'Housing bore')['band']);
        $state = $this->stored(5, 'readings/r1', [
            'surface' => $hole,
            'value' => self::inch('1.45'),
            'instrument' => 'three-point',
            'state' => 'before',
        ]);
        self::assertStringContainsString('As it was it is 1.4500', $entry($state, 'Housing bore')['remarks'][0]['in']);
        $refused = $this->stored(6, 'readings/r2', [
            'surface' => $hole,
            'value' => self::inch('1.45'),
            'instrument' => 'three-point',
            'state' => 'polished',
        ], 422);
        self::assertStringContainsString('state', $refused['error']['field']);
        $copy = $this->api('GET', '/api/jobs/job-1', null, 200);
        self::assertSame(['cut', 'inner'], [
            array_column($copy['facts']['surfaces'], 'work', 'id')[$hole],
            array_column($copy['facts']['joints'], 'first', 'id')[$joint],
        ]);
    }

    /** One tap: the surface goes, and the joint and the length that only it gave; an undo brings all of it back. */
    public function test_what_is_not_here_goes_with_all_that_asks_for_it(): void
    {
        $state = $this->startJob();
        $length = self::idOf($state, 'surfaces', 'Housing length');
        $typed = ['name' => 'Washer', 'opens' => false, 'surface' => null, 'size' => self::inch('0.1'), 'plus' => null, 'minus' => null, 'spread' => 'uniform'];
        $housing = ['name' => 'Housing', 'opens' => true, 'surface' => $length, 'size' => null, 'plus' => null, 'minus' => null, 'spread' => 'uniform'];
        $this->stored(1, 'loops/two', ['name' => 'Of two', 'lengths' => [$housing, $typed]]);
        $state = $this->stored(2, 'loops/three', ['name' => 'Of three', 'lengths' => [$housing, $typed, [...$typed, 'name' => 'Other', 'opens' => true]]]);
        $gone = $this->api('DELETE', "/api/jobs/job-1/surfaces/{$length}", ['version' => 3, 'request' => 'not-here'], 200);
        self::assertNotContains('Bush length to housing', array_column($gone['facts']['joints'], 'name'));
        self::assertSame(['Of three'], array_column($gone['facts']['loops'], 'name'));
        self::assertSame(['Washer', 'Other'], array_column($gone['facts']['loops'][0]['lengths'], 'name'));
        $asks = array_diff_key($gone['answers'], ['survey' => 0]);
        self::assertStringNotContainsString('ousing length', json_encode($asks, JSON_THROW_ON_ERROR));
        $back = $this->api('POST', '/api/jobs/job-1/undo', ['version' => 4, 'request' => 'back'], 200);
        self::assertEquals($state['facts'], $back['facts']);
    }

    /** What was tried is on record; what was decided can be taken back. */
    public function test_trials_stay_and_decisions_can_be_taken_back(): void
    {
        $state = $this->startJob();
        $joint = self::idOf($state, 'joints', 'Bush in housing');
        $this->stored(1, 'trials/t1', ['joint' => $joint, 'seen' => 'slides']);
        $this->stored(2, 'concessions/d1', ['joint' => $joint, 'by' => 'the bench', 'why' => 'it holds']);
        $kept = $this->api('DELETE', '/api/jobs/job-1/trials/t1', ['version' => 3, 'request' => 'x1'], 422);
        self::assertStringContainsString('kept for the record', $kept['error']['message']);
        $tried = $this->api('DELETE', "/api/jobs/job-1/joints/{$joint}", ['version' => 3, 'request' => 'x2'], 422);
        self::assertStringContainsString('was tried together', $tried['error']['message']);
        $left = $this->api('DELETE', '/api/jobs/job-1/concessions/d1', ['version' => 3, 'request' => 'x3'], 200);
        self::assertSame([], $left['facts']['concessions']);
        foreach ([['seen' => 'sings'], ['seen' => 'binds', 'turn' => 0]] as $i => $bad) {
            self::assertNotSame('', $this->stored(4, "trials/bad{$i}", ['joint' => $joint, ...$bad], 422)['error']['message'], (string) $i);
        }
        self::assertSame('concessions.0.by', $this->stored(4, 'concessions/d2', ['joint' => $joint, 'by' => ' ', 'why' => 'x'], 422)['error']['field']);
    }

    /** What a kind offers is added as one change, and stands then as if it had been laid out. */
    public function test_what_is_offered_is_added_as_one_change(): void
    {
        $state = $this->startJob('job-1', 'flanged-axle');
        $offers = array_column($state['answers']['survey']['offers'], 'changes', 'name');
        self::assertArrayHasKey('a rolling bearing', $offers);
        $changes = json_decode((string) preg_replace_callback('/"new:([^"]+)"/', static fn (array $m): string => '"n-'.md5($m[1]).'"', json_encode($offers['a rolling bearing'], JSON_THROW_ON_ERROR)), true, 64, JSON_THROW_ON_ERROR);
        $after = $this->api('POST', '/api/jobs/job-1/changes', ['version' => 1, 'request' => 'offer', 'changes' => $changes], 200);
        self::assertContains('Bearing', array_column($after['facts']['parts'], 'name'));
        self::assertContains('Bearing on the axle', array_column($after['facts']['joints'], 'name'));
        self::assertArrayNotHasKey('a rolling bearing', array_column($after['answers']['survey']['offers'], 'changes', 'name'));
    }

    public function test_the_sheet_says_what_was_tried_and_decided(): void
    {
        $this->seed(DemoShop::class);
        $axle = self::sheet('demo-tedder');
        self::assertStringContainsString('accepted as it is, by the bench: The felt of the guard gives', $axle);
        self::assertStringContainsString('1 accepted as it is', $axle);
        $roller = self::sheet('demo-saw');
        self::assertStringContainsString('Tried together', $roller);
        self::assertStringContainsString('nut binds on the 3/8-24 stud', $roller);
    }

    private static function sheet(string $job): string
    {
        $facts = JobRecords::toFacts(JobRecords::toArray(Job::query()->findOrFail($job)));

        return app(JobSheet::class)->html($facts, Unit::Inch);
    }
}
