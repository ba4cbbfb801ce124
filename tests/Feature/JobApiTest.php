<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Change;
use App\Models\Job;
use App\Models\Reading;
use Database\Seeders\DemoShop;
use Illuminate\Support\Facades\DB;

final class JobApiTest extends FeatureTestCase
{
    /**
     * @param  array<string, mixed>  $state
     * @return array<string, mixed>
     */
    private function reading(array $state, string $typed, string $unit = 'in', string $surface = 'Housing bore'): array
    {
        return [
            'surface' => self::idOf($state, 'surfaces', $surface),
            'station' => 'mouth',
            'angle' => '0',
            'value' => ['typed' => $typed, 'unit' => $unit],
            'instrument' => 'calliper',
        ];
    }

    public function test_a_started_job_answers_at_once_and_a_retry_is_harmless(): void
    {
        $state = $this->startJob();
        self::assertSame(1, $state['version']);
        self::assertSame('take-in', $state['answers']['next']['stage']);
        $again = $this->startJob();
        self::assertSame($state['facts'], $again['facts']);
        self::assertSame(1, Job::query()->count());
        self::assertCount(1, $this->api('GET', '/api/jobs', null, 200)['jobs']);
    }

    public function test_typed_text_and_canonical_value_are_stored_together(): void
    {
        $state = $this->startJob();
        $after = $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(1, $this->reading($state, '1-1/8')),
            200,
        );
        self::assertSame('1-1/8', $after['facts']['readings'][0]['value']['typed']);
        self::assertEqualsWithDelta(28.575, $after['facts']['readings'][0]['value']['mm'], 1e-9);
        self::assertSame(2, $after['version']);
        self::assertSame(
            $after['facts'],
            $this->api('GET', '/api/jobs/job-1', null, 200)['facts'],
            'reopened, it is the same',
        );
    }

    public function test_a_changed_reading_keeps_what_it_was(): void
    {
        $state = $this->startJob();
        $this->api('PUT', '/api/jobs/job-1/readings/r1', $this->change(1, $this->reading($state, '1.1247')), 200);
        $after = $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(2, ['value' => ['typed' => '1.1249', 'unit' => 'in']]),
            200,
        );
        self::assertSame('1.1247', $after['facts']['readings'][0]['was']['typed']);
        self::assertSame('calliper', $after['facts']['readings'][0]['instrument'], 'fields not given stay');
    }

    public function test_the_same_request_twice_is_carried_out_once(): void
    {
        $state = $this->startJob();
        $body = $this->change(1, $this->reading($state, '1.1247'));
        $first = $this->api('PUT', '/api/jobs/job-1/readings/r1', $body, 200);
        $second = $this->api('PUT', '/api/jobs/job-1/readings/r1', $body, 200);
        self::assertSame($first['version'], $second['version']);
        self::assertSame(1, Reading::query()->count());
        self::assertSame(1, Change::query()->count());
    }

    public function test_an_old_version_gets_both_states(): void
    {
        $state = $this->startJob();
        $this->api('PATCH', '/api/jobs/job-1', $this->change(1, ['machine' => 'Other rig']), 200);
        $clash = $this->api('PATCH', '/api/jobs/job-1', $this->change(1, ['machine' => 'Third rig']), 409);
        self::assertSame('Other rig', $clash['current']['facts']['machine']);
        self::assertSame($state['facts']['id'], $clash['current']['facts']['id']);
        self::assertSame('Other rig', Job::query()->value('machine'));
    }

    public function test_undo_takes_back_one_change_after_the_other(): void
    {
        $state = $this->startJob();
        $this->api('PATCH', '/api/jobs/job-1', $this->change(1, ['take_in' => ['failed' => 'worn']]), 200);
        $this->api('PUT', '/api/jobs/job-1/readings/r1', $this->change(2, $this->reading($state, '1.1247')), 200);
        $one = $this->api('POST', '/api/jobs/job-1/undo', ['version' => 3, 'request' => 'u1'], 200);
        self::assertSame([], $one['facts']['readings']);
        self::assertTrue($one['can_undo']);
        $two = $this->api('POST', '/api/jobs/job-1/undo', ['version' => 4, 'request' => 'u2'], 200);
        self::assertSame('', $two['facts']['take_in']['failed']);
        self::assertFalse($two['can_undo']);
        self::assertSame(
            'nothing-to-undo',
            $this->api('POST', '/api/jobs/job-1/undo', ['version' => 5, 'request' => 'u3'], 422)['error']['code'],
        );
    }

    public function test_bad_input_gets_a_sentence_and_changes_nothing(): void
    {
        $state = $this->startJob();
        $reading = $this->reading($state, '1.1247');
        $tries = [
            'readings.0.value' => [...$reading, 'value' => ['typed' => 'about an inch', 'unit' => 'in']],
            'readings.0.surface' => [...$reading, 'surface' => 'nowhere'],
            'instrument' => [...$reading, 'instrument' => 'eyeball'],
            'readings.0' => [...$reading, 'colour' => 'blue'],
            'readings.0.part_c' => [...$reading, 'part_c' => 'warm'],
        ];
        foreach ($tries as $field => $fact) {
            $error = $this->api('PUT', '/api/jobs/job-1/readings/r1', $this->change(1, $fact), 422)['error'];
            self::assertStringStartsWith($field, $error['field']);
            self::assertGreaterThan(15, strlen($error['message']));
        }
        $missing = $this->api('PUT', '/api/jobs/job-1/readings/r1', $this->change(1, ['station' => 'mouth']), 422);
        self::assertStringContainsString('readings', $missing['error']['field']);
        foreach (
            [
                'not json',
                '[1]',
                '{"version":1}',
                '{"version":1,"request":"x","fact":[]}',
                '{"version":1,"request":"x","fact":{},"zzz":1}',
            ] as $body
        ) {
            $this->api('PUT', '/api/jobs/job-1/readings/r1', $body, 422);
        }
        self::assertSame(0, Reading::query()->count());
        self::assertSame(1, $this->api('GET', '/api/jobs/job-1', null, 200)['version']);
    }

    public function test_unknown_places_are_a_sentence_too(): void
    {
        foreach (
            [['GET', '/api/jobs/none'], ['GET', '/api/jobs/none/file'], ['GET', '/api/jobs/none/sheet']] as [$method, $path]
        ) {
            self::assertSame('not-found', $this->api($method, $path, null, 404)['error']['code']);
        }
        $this->startJob();
        self::assertSame(
            'unknown-list',
            $this->api('PUT', '/api/jobs/job-1/wishes/w1', $this->change(1, ['a' => 1]), 422)['error']['code'],
        );
        self::assertSame(404, $this->send('GET', '/api/nowhere')->getStatusCode());
        self::assertSame(
            422,
            $this->send('POST', '/api/jobs', [
                'id' => 'x',
                'kind' => 'teapot',
                'machine' => '',
                'part' => '',
                'unit' => 'in',
            ])->getStatusCode(),
        );
    }

    public function test_what_is_kept_for_the_record_cannot_be_deleted(): void
    {
        $state = $this->startJob();
        $this->api('PUT', '/api/jobs/job-1/readings/r1', $this->change(1, $this->reading($state, '1.1247')), 200);
        self::assertSame(
            'kept',
            $this->api('DELETE', '/api/jobs/job-1/readings/r1', ['version' => 2, 'request' => 'd1'], 422)['error'][
                'code'
            ],
        );
        $ticked = $this->api('PUT', '/api/jobs/job-1/ticks/t1', $this->change(2, ['code' => 'clean']), 200);
        self::assertCount(1, $ticked['facts']['ticks']);
        self::assertCount(
            0,
            $this->api('DELETE', '/api/jobs/job-1/ticks/t1', ['version' => 3, 'request' => 'd2'], 200)['facts'][
                'ticks'
            ],
        );
    }

    public function test_preview_answers_and_stores_nothing(): void
    {
        $state = $this->startJob();
        $answers = $this->api(
            'POST',
            '/api/jobs/job-1/preview',
            ['list' => 'readings', 'thing' => 'r1', 'fact' => $this->reading($state, '1.1247')],
            200,
        )['answers'];
        $found = array_column($answers['surfaces'], 'found', 'id')[self::idOf($state, 'surfaces', 'Housing bore')];
        // A calliper's flat jaws read a bore of this size 0.0002 in small.
        self::assertSame('1.1249', $found['size']['in']);
        self::assertSame(0, Reading::query()->count());
        $this->api(
            'POST',
            '/api/jobs/job-1/preview',
            ['list' => 'readings', 'thing' => 'r1', 'fact' => $this->reading($state, 'x')],
            422,
        );
    }

    public function test_a_file_goes_out_and_comes_into_an_empty_shop_with_the_same_answers(): void
    {
        $this->seed(DemoShop::class);
        $before = $this->api('GET', '/api/jobs/demo-carder', null, 200);
        $file = (string) $this->send('GET', '/api/jobs/demo-carder/file')->getContent();
        DB::table('jobs')->delete();
        self::assertSame(0, Reading::query()->count());
        $after = $this->api('POST', '/api/jobs/import', $file, 201);
        self::assertSame($before['answers'], $after['answers']);
        self::assertSame($before['facts'], $after['facts']);
    }

    public function test_a_known_job_comes_in_as_a_copy(): void
    {
        $this->seed(DemoShop::class);
        $jobs = Job::query()->count();
        $file = (string) $this->send('GET', '/api/jobs/demo-drill/file')->getContent();
        $copy = $this->api('POST', '/api/jobs/import', $file, 201);
        self::assertNotSame('demo-drill', $copy['facts']['id']);
        $original = $this->api('GET', '/api/jobs/demo-drill', null, 200);
        self::assertSame(
            array_column($original['answers']['make'], 'aim'),
            array_column($copy['answers']['make'], 'aim'),
        );
        self::assertSame($jobs + 1, Job::query()->count());
    }

    /** What names another thing by its id does so under the fresh ids too: centres, places, outlines, ticks, a changed plan. */
    public function test_an_imported_job_hangs_together(): void
    {
        foreach (['eccentric-carrier', 'lever', 'flanged-axle'] as $kind) {
            $state = $this->api('POST', '/api/jobs', ['id' => "j-{$kind}", 'kind' => $kind, 'machine' => 'Rig', 'part' => 'Part', 'unit' => 'mm'], 201);
            foreach ($state['answers']['survey']['offers'] as $i => $offer) {
                $changes = json_decode((string) preg_replace_callback('/"new:([^"]+)"/', static fn (array $m): string => '"n-'.md5("{$kind}{$i}{$m[1]}").'"', (string) json_encode($offer['changes'])), true);
                $state = $this->api('POST', "/api/jobs/j-{$kind}/changes", ['version' => $state['version'], 'request' => "c-{$kind}-{$i}", 'changes' => $changes], 200);
            }
            $part = array_values(array_filter($state['facts']['parts'], static fn (array $p): bool => $p['origin'] === 'make'))[0]['id'];
            $hole = $state['facts']['surfaces'][0]['id'];
            $plan = ['order' => ["{$part}:try", 'own-1'], 'dropped' => ["{$part}:edges"], 'own' => [['code' => 'own-1', 'do' => 'Ask.']]];
            $state = $this->api('PATCH', "/api/jobs/j-{$kind}", ['version' => $state['version'], 'request' => "p-{$kind}", 'fact' => ['plan' => $plan]], 200);
            $state = $this->api('PUT', "/api/jobs/j-{$kind}/ticks/t-{$kind}", ['version' => $state['version'], 'request' => "t-{$kind}", 'fact' => ['code' => "hole:{$hole}:1"]], 200);
            $copy = $this->api('POST', '/api/jobs/import', (string) $this->send('GET', "/api/jobs/j-{$kind}/file")->getContent(), 201);
            $names = static fn (array $s): array => [
                ...array_column($s['facts']['parts'], 'name', 'id'),
                ...array_column($s['facts']['surfaces'], 'name', 'id'),
            ];
            $told = static fn (array $s): string => strtr((string) json_encode([
                array_column($s['facts']['surfaces'], 'centred_on'),
                array_map(static fn (array $r): array => [$r['from'], $r['gives']], $s['facts']['reckonings']),
                $s['facts']['plan'],
                array_column($s['facts']['ticks'], 'code'),
            ]), $names($s));
            self::assertNotSame($state['facts']['parts'][0]['id'], $copy['facts']['parts'][0]['id']);
            self::assertSame($told($state), $told($copy), $kind);
        }
    }

    public function test_a_bad_file_is_refused_whole(): void
    {
        foreach (['', 'hello', '{}', '{"format":"oldpart-fit/job"}'] as $text) {
            $this->api('POST', '/api/jobs/import', $text, 422);
        }
        $this->seed(DemoShop::class);
        $jobs = Job::query()->count();
        $file = json_decode((string) $this->send('GET', '/api/jobs/demo-drill/file')->getContent(), true);
        $file['id'] = 'fresh';
        $file['readings'][3]['value']['typed'] = 'smudge';
        $error = $this->api('POST', '/api/jobs/import', (string) json_encode($file), 422)['error'];
        self::assertSame('readings.3.value', $error['field']);
        self::assertSame($jobs, Job::query()->count(), 'nothing half-written');
    }

    public function test_the_sheet_is_a_pdf_on_both_papers(): void
    {
        $this->seed(DemoShop::class);
        foreach (['a4' => 841.89, 'letter' => 792.0] as $paper => $height) {
            $pdf = (string) $this->send('GET', "/api/jobs/demo-carder/sheet?paper={$paper}&unit=in")->getContent();
            self::assertStringStartsWith('%PDF', $pdf);
            self::assertMatchesRegularExpression(
                '~/MediaBox \[0\.000 0\.000 \d+\.\d+ '.number_format($height, 3).'~',
                $pdf,
            );
        }
        self::assertSame(
            'paper',
            $this->api('GET', '/api/jobs/demo-carder/sheet?paper=napkin', null, 422)['error']['field'],
        );
    }
}
