<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\DeedRow;
use App\Models\IndexedJob;
use App\Models\IndexedSurface;
use App\Models\Practice;
use App\Models\TakenOff;
use Illuminate\Support\Carbon;
use Oldpart\Core\Practice\Exercise;
use Oldpart\Core\Practice\ExerciseKind;

/** Practice is kept like any job, apart from all of them, and tells the truth only at the end. */
final class PracticeTest extends FeatureTestCase
{
    private int $n = 0;

    private function begin(string $lesson = 'warm-part', string $id = 'practice-1'): string
    {
        $this->api('POST', '/api/practice', ['id' => $id, 'lesson' => $lesson, 'seed' => 7], 201);

        return $id;
    }

    /**
     * @param  array<string, mixed>  $deed
     * @return array<string, mixed>
     */
    private function deed(string $job, array $deed, int $status = 200): array
    {
        return $this->api('POST', "/api/jobs/{$job}/deeds", ['id' => 'deed-'.++$this->n, ...$deed], $status);
    }

    /** @return array<string, string> */
    private function surfaces(string $job): array
    {
        return array_column($this->api('GET', "/api/jobs/{$job}/practice", null, 200)['bench']['surfaces'], 'id', 'name');
    }

    public function test_a_lesson_goes_from_its_beginning_to_the_truth(): void
    {
        $list = $this->api('GET', '/api/practice', null, 200);
        self::assertGreaterThanOrEqual(12, count($list['lessons']));
        $job = $this->begin();
        $of = $this->surfaces($job);
        $read = $this->deed($job, ['kind' => 'read', 'surface' => $of['Housing bore'], 'instrument' => 'three-point']);
        $mm = $read['deed']['result']['mm'];
        self::assertEqualsWithDelta(28.034, $mm, 0.02);
        self::assertNotNull($read['face']);
        self::assertNull($read['debrief']);
        self::assertStringNotContainsString('hidden', (string) json_encode($read));
        $state = $this->api('GET', "/api/jobs/{$job}", null, 200);
        $this->api('PUT', "/api/jobs/{$job}/readings/{$read['deed']['id']}", [
            'version' => $state['version'], 'request' => 'r1',
            'fact' => [
                'surface' => $of['Housing bore'], 'station' => 'middle', 'angle' => '0', 'instrument' => 'three-point',
                'value' => ['typed' => (string) $mm, 'unit' => 'mm'],
            ],
        ], 200);
        $this->deed($job, ['kind' => 'cut', 'surface' => $of['Bush outside'], 'mm' => 0.5]);
        $end = $this->deed($job, ['kind' => 'end']);
        self::assertFalse($end['debrief']['good']);
        self::assertEqualsWithDelta(28.034, $end['debrief']['readings'][0]['true_mm'], 1e-6);
        self::assertCount(5, $end['debrief']['scores']);
        self::assertSame($end['debrief'], $this->api('GET', "/api/jobs/{$job}/practice", null, 200)['debrief']);
        $row = $this->api('GET', '/api/practice', null, 200)['practices'][0];
        self::assertSame($job, $row['job']);
        self::assertFalse($row['good']);
        self::assertNotNull($row['ended_at']);
        self::assertStringContainsString('is over', $this->deed($job, ['kind' => 'wait', 'minutes' => 5], 422)['error']['message']);
    }

    /** A retry is the same deed; the shop does not go on by itself. */
    public function test_what_is_sent_twice_is_done_once(): void
    {
        $job = $this->begin();
        $this->begin();
        self::assertSame(1, Practice::query()->count());
        $cut = ['id' => 'one-cut', 'kind' => 'cut', 'surface' => $this->surfaces($job)['Bush outside'], 'mm' => 0.5];
        $first = $this->api('POST', "/api/jobs/{$job}/deeds", $cut, 200);
        $again = $this->api('POST', "/api/jobs/{$job}/deeds", $cut, 200);
        self::assertSame($first['deed'], $again['deed']);
        self::assertSame(1, DeedRow::query()->count());
        self::assertEqualsWithDelta(3.0, $again['bench']['minutes'], 1e-9);
    }

    /** What was seen stays as it was seen, whatever an update draws. */
    public function test_what_was_seen_is_kept(): void
    {
        $job = $this->begin();
        $surface = $this->surfaces($job)['Housing bore'];
        $seen = $this->deed($job, ['kind' => 'read', 'surface' => $surface, 'instrument' => 'three-point'])['deed'];
        $row = DeedRow::query()->firstOrFail();
        $row->update(['result' => [...$row->result, 'mm' => 27.5]]);
        $deeds = $this->api('GET', "/api/jobs/{$job}/practice", null, 200)['bench']['deeds'];
        self::assertSame(27.5, $deeds[0]['result']['mm']);
        self::assertNotSame(27.5, $seen['result']['mm']);
    }

    public function test_practice_never_mixes_with_jobs(): void
    {
        $real = $this->startJob()['facts']['id'];
        $job = $this->begin();
        $of = $this->surfaces($job);
        self::assertSame([$real], array_column($this->api('GET', '/api/jobs', null, 200)['jobs'], 'id'));
        foreach (['archive', 'bin'] as $shelf) {
            $this->api('PUT', "/api/jobs/{$job}/shelf", ['shelf' => $shelf], 200);
            self::assertSame([], $this->api('GET', "/api/jobs?shelf={$shelf}", null, 200)['jobs']);
        }
        $this->api('PUT', "/api/jobs/{$job}/shelf", ['shelf' => 'bench'], 200);
        self::assertSame([$real], array_column($this->api('GET', '/api/jobs', null, 200)['jobs'], 'id'));
        self::assertSame('practice', IndexedJob::query()->findOrFail($job)->getAttribute('shelf'));
        self::assertSame([], $this->api('GET', '/api/find?q=Warm%20from', null, 200)['jobs']);
        self::assertSame(0, IndexedSurface::query()->where('job_id', $job)->count());
        // Its cuts teach the shop nothing.
        $version = $this->api('GET', "/api/jobs/{$job}", null, 200)['version'];
        foreach ([['', '30'], ['0.5', '29.52'], ['0.5', '29.03']] as $i => [$dialled, $after]) {
            $this->api('PUT', "/api/jobs/{$job}/cuts/c{$i}", [
                'version' => $version + $i, 'request' => "c{$i}",
                'fact' => [
                    'surface' => $of['Bush outside'], 'phase' => 'only', 'instrument' => 'outside-micrometer',
                    'dialled' => $dialled === '' ? null : ['typed' => $dialled, 'unit' => 'mm'],
                    'after' => ['typed' => $after, 'unit' => 'mm'],
                ],
            ], 200);
        }
        self::assertSame(0, TakenOff::query()->where('job_id', $job)->count());
        $this->api('POST', "/api/jobs/{$job}/copy", ['id' => 'copied'], 422);
    }

    /** The mark goes with it: onto its sheets, and into its file; what comes from a file has nothing behind it. */
    public function test_the_mark_goes_onto_every_sheet_and_into_the_file(): void
    {
        $job = $this->begin();
        foreach (['sheet', 'card'] as $paper) {
            $pdf = $this->get("/api/jobs/{$job}/{$paper}")->assertOk()->getContent();
            self::assertStringStartsWith('%PDF', (string) $pdf);
        }
        $facts = app(\App\Bench\JobStore::class)->facts($job);
        foreach (['sheet', 'machine-card', 'quote'] as $view) {
            $source = (string) file_get_contents(resource_path("views/{$view}.blade.php"));
            self::assertStringContainsString("@include('practice')", $source);
        }
        self::assertStringContainsString('do not cut, fit or quote by it', view('practice', ['facts' => $facts])->render());
        $real = app(\App\Bench\JobStore::class)->facts($this->startJob()['facts']['id']);
        self::assertSame('', trim(view('practice', ['facts' => $real])->render()));
        $file = (string) $this->get("/api/jobs/{$job}/file")->assertOk()->getContent();
        self::assertStringContainsString('"practice"', $file);
        $brought = $this->call('POST', '/api/jobs/import', content: $file, server: ['CONTENT_TYPE' => 'application/json'])->assertStatus(201)->json();
        self::assertSame('warm-part', $brought['facts']['practice']['lesson']);
        self::assertNotSame($job, $brought['facts']['id']);
        $this->api('GET', "/api/jobs/{$brought['facts']['id']}/practice", null, 422);
        // No change of a job makes practice of it, or a job of practice.
        $version = $brought['version'];
        $this->api('PATCH', "/api/jobs/{$brought['facts']['id']}", ['version' => $version, 'request' => 'p', 'fact' => ['practice' => null]], 422);
    }

    public function test_free_practice_is_drawn_by_its_number(): void
    {
        foreach (['free-1', 'free-2'] as $id) {
            $this->api('POST', '/api/practice', [
                'id' => $id, 'kind' => 'lever', 'level' => 'hard', 'unit' => 'in', 'seed' => 42,
            ], 201);
            $surface = $this->surfaces($id)['Shaft end'];
            $seen[] = $this->deed($id, ['kind' => 'read', 'surface' => $surface, 'instrument' => 'outside-micrometer'])['deed']['result']['mm'];
        }
        self::assertSame($seen[0], $seen[1]);
        foreach ([
            ['id' => 'x', 'kind' => 'lever', 'level' => 'hard', 'unit' => 'in', 'seed' => 1_000_000],
            ['id' => 'x', 'kind' => 'free-form', 'level' => 'hard', 'unit' => 'in', 'seed' => 1],
            ['id' => 'x', 'lesson' => 'no-such', 'seed' => 1],
        ] as $bad) {
            $this->api('POST', '/api/practice', $bad, 422);
        }
    }

    public function test_what_makes_no_sense_is_refused_with_a_sentence(): void
    {
        $job = $this->begin();
        $of = $this->surfaces($job);
        foreach ([
            [['kind' => 'read', 'surface' => 'no-such', 'instrument' => 'three-point'], 'surface'],
            [['kind' => 'read', 'surface' => $of['Housing bore']], 'instrument'],
            [['kind' => 'cut', 'surface' => $of['Housing bore'], 'mm' => 0.1], 'surface'],
            [['kind' => 'cut', 'surface' => $of['Bush outside'], 'mm' => -1], 'mm'],
            [['kind' => 'together', 'joint' => 'no-such', 'way' => 'hand'], 'joint'],
            [['kind' => 'test', 'part' => 'no-such', 'test' => 'magnet'], 'part'],
            [['kind' => 'warmth', 'part' => 'no-such'], 'part'],
            [['kind' => 'decline', 'why' => ''], 'why'],
        ] as [$deed, $field]) {
            $error = $this->deed($job, $deed, 422)['error'];
            self::assertSame($field, $error['field']);
            self::assertNotSame('', $error['message']);
        }
        $this->deed($this->startJob()['facts']['id'], ['kind' => 'end'], 422);
        self::assertSame(0, DeedRow::query()->count());
    }

    /** The parts stay what they are though a gauge of the shop becomes another, and its sheets say Practice whatever it is called. */
    public function test_the_truth_stays_when_the_shop_changes(): void
    {
        $job = $this->begin();
        $of = $this->surfaces($job);
        $this->deed($job, ['kind' => 'cut', 'surface' => $of['Bush outside'], 'mm' => 0.5]);
        $before = Practice::query()->findOrFail($job)->laid;
        // The one everybody uses is found to be worse, and put away.
        $this->api('PUT', '/api/instruments/outside-micrometer', ['mpe' => ['typed' => '0.02', 'unit' => 'mm'], 'in_shop' => false], 200);
        self::assertSame($before, Practice::query()->findOrFail($job)->laid);
        $end = $this->deed($job, ['kind' => 'end']);
        self::assertEqualsWithDelta(29.52, $end['debrief']['sizes'][0]['is_mm'], 0.03);
        $other = $this->begin('warm-part', 'practice-2');
        $of = $this->surfaces($other);
        $this->deed($other, ['kind' => 'cut', 'surface' => $of['Bush outside'], 'mm' => 0.5]);
        self::assertEqualsWithDelta(
            $end['debrief']['sizes'][0]['is_mm'],
            $this->deed($other, ['kind' => 'end'])['debrief']['sizes'][0]['is_mm'],
            1e-9,
        );
        $version = $this->api('GET', "/api/jobs/{$other}", null, 200)['version'];
        $named = $this->api('PATCH', "/api/jobs/{$other}", ['version' => $version, 'request' => 'n', 'fact' => ['machine' => 'Steam plough']], 200);
        self::assertSame('Practice', $named['facts']['machine'] ?? $this->api('GET', "/api/jobs/{$other}", null, 200)['facts']['machine']);
    }

    public function test_an_exercise_is_timed_and_its_first_answer_counts(): void
    {
        Carbon::setTestNow('2026-11-30 08:00:00');
        $asked = $this->api('POST', '/api/practice/exercises', ['id' => 'e1', 'kind' => 'micrometer-in'], 201);
        self::assertArrayNotHasKey('answer', $asked['exercise']);
        $right = Exercise::draw(ExerciseKind::MicrometerIn, $asked['exercise']['seed'])->answer;
        Carbon::setTestNow('2026-11-30 08:00:07');
        $said = $this->api('POST', '/api/practice/exercises/e1', ['typed' => $right], 200);
        self::assertSame(['right' => true, 'answer' => $right, 'seconds' => 7], [...$said, 'seconds' => (int) $said['seconds']]);
        self::assertTrue($this->api('POST', '/api/practice/exercises/e1', ['typed' => '0.1'], 200)['right']);
        $this->api('POST', '/api/practice/exercises', ['id' => 'e2', 'kind' => 'micrometer-in'], 201);
        self::assertStringContainsString('“abc”', $this->api('POST', '/api/practice/exercises/e2', ['typed' => 'abc'], 422)['error']['message']);
        self::assertFalse($this->api('POST', '/api/practice/exercises/e2', ['typed' => '25'], 200)['right']);
        $of = array_column($this->api('GET', '/api/practice', null, 200)['exercises'], null, 'kind')['micrometer-in'];
        self::assertSame([2, 1], [$of['done'], $of['right']]);
    }
}
