<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\BenchIndex;
use App\Models\IndexedJob;
use App\Models\IndexedSurface;
use App\Models\Job;
use Database\Seeders\DemoShop;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Oldpart\Core\Facts\Kind;
use PHPUnit\Framework\Attributes\DataProvider;

/** Starting, laying out, quoting, finding and shelving jobs. */
final class SurveyApiTest extends FeatureTestCase
{
    /** @return iterable<string, array{string}> */
    public static function kinds(): iterable
    {
        foreach (Kind::all() as $kind) {
            yield $kind->code => [$kind->code];
        }
    }

    #[DataProvider('kinds')]
    public function test_every_kind_opens(string $kind): void
    {
        $state = $this->api(
            'POST',
            '/api/jobs',
            ['id' => 'k', 'kind' => $kind, 'machine' => 'Rig', 'part' => 'Part', 'unit' => 'mm'],
            201,
        );
        self::assertSame($kind, $state['facts']['kind']);
        self::assertSame($state['facts'], $this->api('GET', '/api/jobs/k', null, 200)['facts'], 'stored as answered');
        self::assertSame('Rig', $this->api('GET', '/api/jobs', null, 200)['jobs'][0]['machine']);
    }

    public function test_the_sheet_of_kinds_has_pictures(): void
    {
        $kinds = $this->api('GET', '/api/kinds', null, 200)['kinds'];
        self::assertCount(count(Kind::all()), $kinds);
        foreach ($kinds as $kind) {
            self::assertSame($kind['code'] === 'free-form', $kind['thumb'] === null, $kind['code']);
        }
    }

    public function test_parts_surfaces_and_joints_are_added_by_hand(): void
    {
        $state = $this->api(
            'POST',
            '/api/jobs',
            ['id' => 'free', 'kind' => 'free-form', 'machine' => 'Rig', 'part' => 'Part', 'unit' => 'mm'],
            201,
        );
        $part = self::idOf($state, 'parts', 'Part');
        $mate = self::idOf($state, 'parts', 'Mate');
        $put = function (string $path, array $fact) use (&$state): array {
            return $this->api('PUT', "/api/jobs/free/{$path}", $this->change($state['version'], $fact), 200);
        };
        $state = $put('surfaces/s1', [
            'part' => $part,
            'name' => 'Spigot',
            'kind' => 'shaft',
            'role' => 'locates',
            'criticality' => 'critical',
        ]);
        $state = $put('surfaces/s2', ['part' => $mate, 'name' => 'Socket', 'kind' => 'bore']);
        $state = $put('joints/j1', [
            'name' => 'Spigot in socket',
            'inner' => 's1',
            'outer' => 's2',
            'purpose' => 'hand-fit',
        ]);
        self::assertSame('Spigot', $state['answers']['make'][0]['label']);
        self::assertStringContainsString('Measure the socket', $state['answers']['make'][0]['blocked']['in']);
        foreach (['0', '90'] as $i => $angle) {
            $state = $put("readings/r{$i}", [
                'surface' => 's2',
                'station' => 'near end',
                'angle' => $angle,
                'value' => ['typed' => '30.02', 'unit' => 'mm'],
                'instrument' => 'three-point',
            ]);
        }
        self::assertNotNull($state['answers']['make'][0]['aim'], 'after the readings the make card has an answer');
        $this->api(
            'PUT',
            '/api/jobs/free/surfaces/s3',
            $this->change($state['version'], ['part' => 'gone', 'name' => 'X', 'kind' => 'bore']),
            422,
        );
        $this->api(
            'PUT',
            '/api/jobs/free/surfaces/s3',
            $this->change($state['version'], ['part' => $part, 'name' => 'X', 'kind' => 'cone']),
            422,
        );
    }

    /** A part goes with its surfaces and joints, in one change that can be taken back; what is on record stays. */
    public function test_what_is_removed_comes_back_whole(): void
    {
        $state = $this->startJob();
        $before = $state['facts'];
        $shaft = self::idOf($state, 'parts', 'Shaft');
        $after = $this->api('DELETE', "/api/jobs/job-1/parts/{$shaft}", ['version' => 1, 'request' => 'd1'], 200);
        self::assertSame(['Housing', 'Bush'], array_column($after['facts']['parts'], 'name'));
        self::assertNotContains('Shaft journal', array_column($after['facts']['surfaces'], 'name'));
        self::assertNotContains('Shaft in bush', array_column($after['facts']['joints'], 'name'));
        self::assertSame(
            2,
            $this->api('DELETE', "/api/jobs/job-1/parts/{$shaft}", ['version' => 1, 'request' => 'd1'], 200)['version'],
            'a retry does nothing',
        );
        $back = $this->api('POST', '/api/jobs/job-1/undo', ['version' => 2, 'request' => 'u1'], 200);
        self::assertSame($before, $back['facts']);

        $length = self::idOf($back, 'surfaces', 'Housing length');
        $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(3, [
                'surface' => $length,
                'value' => ['typed' => '1.5', 'unit' => 'in'],
                'instrument' => 'calliper',
            ]),
            200,
        );
        $error = $this->api('DELETE', "/api/jobs/job-1/surfaces/{$length}", ['version' => 4, 'request' => 'd2'], 422)[
            'error'
        ];
        self::assertStringContainsString('1 readings', $error['message']);
        $this->api('DELETE', '/api/jobs/job-1/readings/r1', ['version' => 4, 'request' => 'd3'], 422);
        $this->api('DELETE', '/api/jobs/job-1/parts/nobody', ['version' => 4, 'request' => 'd4'], 422);
    }

    public function test_a_quote_goes_out_as_text_and_pdf(): void
    {
        $this->seed(DemoShop::class);
        $text = (string) $this->send('GET', '/api/jobs/demo-turbine/letter')->getContent();
        self::assertStringContainsString('We decline', $text);
        self::assertStringContainsString('no surface to hold or measure from', $text);
        foreach (['demo-turbine', 'demo-blower'] as $job) {
            self::assertStringStartsWith(
                '%PDF',
                (string) $this->send('GET', "/api/jobs/{$job}/letter?as=pdf&paper=letter")->getContent(),
            );
        }
        self::assertSame('as', $this->api('GET', '/api/jobs/demo-blower/letter?as=song', null, 422)['error']['field']);
        self::assertSame(
            'paper',
            $this->api('GET', '/api/jobs/demo-blower/letter?as=pdf&paper=napkin', null, 422)['error']['field'],
        );
    }

    public function test_the_bench_sorts_by_what_can_be_done(): void
    {
        $this->seed(DemoShop::class);
        $bench = $this->api('GET', '/api/jobs', null, 200);
        $states = array_column($bench['jobs'], 'state', 'id');
        self::assertSame(['now' => 11, 'waits' => 2, 'done' => 2], $bench['counts']);
        self::assertSame(
            ['waits', 'waits', 'done', 'done'],
            [$states['demo-blower'], $states['demo-printer'], $states['demo-carder'], $states['demo-turbine']],
        );
        $now = array_values(array_filter($bench['jobs'], static fn (array $j): bool => $j['state'] === 'now'));
        $wanted = array_column($now, 'wanted_by');
        $sorted = $wanted;
        sort($sorted);
        self::assertSame($sorted, $wanted, 'the one wanted first stands first');
        self::assertTrue(array_column($bench['jobs'], 'withheld', 'id')['demo-pump']);
        self::assertTrue(array_column($bench['jobs'], 'declined', 'id')['demo-turbine']);
    }

    /** 1.060 finds what is near 1.060 in and near 1.060 mm; 26.924 mm is 1.060 in (exact). */
    public function test_find_by_size_and_by_word(): void
    {
        $this->seed(DemoShop::class);
        $names = fn (string $query): array => array_column(
            $this->api('GET', "/api/find?{$query}", null, 200)['surfaces'],
            'name',
        );
        self::assertContains('Housing bore', $names('q=1.6252'));
        self::assertContains('Housing bore', $names('q=41.28'));
        self::assertContains('Housing bore', $names('q=1-5/8&within_mm=0.05'));
        self::assertNotContains('Housing bore', $names('q=1.6290&within_mm=0.05'));
        self::assertSame([], $names('q=bush'));
        $jobs = fn (string $query): array => array_column(
            $this->api('GET', "/api/find?{$query}", null, 200)['jobs'],
            'id',
        );
        self::assertSame(['demo-carder'], $jobs('q=wool'));
        self::assertContains('demo-blower', $jobs('q=cast+iron+hub'));
        self::assertSame([], $jobs('q='));
        self::assertSame([], $jobs('q=%25'));
        $this->api('GET', '/api/find?q=1&within_mm=-2', null, 422);
    }

    public function test_a_finished_job_is_the_start_of_the_next(): void
    {
        $this->seed(DemoShop::class);
        $old = $this->api('GET', '/api/jobs/demo-carder', null, 200)['facts'];
        $new = $this->api('POST', '/api/jobs/demo-carder/copy', ['id' => 'next'], 201)['facts'];
        self::assertSame(array_column($old['surfaces'], 'name'), array_column($new['surfaces'], 'name'));
        self::assertSame(array_column($old['parts'], 'material'), array_column($new['parts'], 'material'));
        self::assertSame(
            [[], [], [], null, false],
            [
                $new['readings'],
                $new['cuts'],
                $new['ticks'],
                $new['hand_over']['finished_at'],
                $new['take_in']['gates_answered'],
            ],
        );
        self::assertSame(
            [],
            array_intersect(array_column($old['surfaces'], 'id'), array_column($new['surfaces'], 'id')),
        );
        $count = Job::query()->count();
        $this->api('POST', '/api/jobs/demo-carder/copy', ['id' => 'next'], 201);
        self::assertSame($count, Job::query()->count(), 'a retry makes no second one');
        $this->api('POST', '/api/jobs/nowhere/copy', ['id' => 'x'], 404);
    }

    public function test_archive_bin_and_back_for_thirty_days(): void
    {
        $this->seed(DemoShop::class);
        $ids = fn (string $shelf): array => array_column(
            $this->api('GET', "/api/jobs?shelf={$shelf}", null, 200)['jobs'],
            'id',
        );
        $this->api('PUT', '/api/jobs/demo-carder/shelf', ['shelf' => 'archive'], 200);
        self::assertSame(['demo-carder'], $ids('archive'));
        $this->api('PUT', '/api/jobs/demo-clock/shelf', ['shelf' => 'bin'], 200);
        self::assertNotContains('demo-clock', $ids('bench'));
        self::assertSame([], $this->api('GET', '/api/find?q=tower', null, 200)['jobs']);
        Carbon::setTestNow(now()->addDays(29));
        $this->artisan('shop:tidy');
        self::assertSame(['demo-clock'], $ids('bin'));
        $this->api('PUT', '/api/jobs/demo-clock/shelf', ['shelf' => 'bench'], 200);
        self::assertContains('demo-clock', $ids('bench'));
        $this->api('PUT', '/api/jobs/demo-clock/shelf', ['shelf' => 'bin'], 200);
        Carbon::setTestNow(now()->addDays(31));
        $this->artisan('shop:tidy');
        $this->api('GET', '/api/jobs/demo-clock', null, 404);
        Carbon::setTestNow();
        $this->api('PUT', '/api/jobs/demo-drill/shelf', ['shelf' => 'attic'], 422);
    }

    /** The index is only a short cut: made anew from the facts it is the same. */
    public function test_the_index_is_what_the_facts_say(): void
    {
        $this->seed(DemoShop::class);
        $this->api(
            'PATCH',
            '/api/jobs/demo-drill',
            $this->change(1, [
                'machine' => 'Root cutter',
                'waits' => ['for' => 'customer', 'until' => null, 'note' => 'asks'],
            ]),
            200,
        );
        $rows = fn (): array => [
            IndexedJob::query()->orderBy('job_id')->get()->toArray(),
            IndexedSurface::query()->orderBy('job_id')->orderBy('surface_id')->get()->makeHidden('id')->toArray(),
        ];
        $kept = $rows();
        self::assertContains('waits', array_column($kept[0], 'state'));
        BenchIndex::complete(true);
        self::assertSame($kept, $rows());
    }

    /** A shop from before this version comes forward with what it held. */
    public function test_older_records_are_brought_forward(): void
    {
        $this->startJob();
        DB::table('jobs')->update([
            'take_in' => json_encode([
                'failed' => 'worn',
                'does' => '',
                'quantity' => 2,
                'wanted_by' => null,
                'if_it_fails' => '',
                'gates_answered' => true,
                'gates' => ['road'],
                'accepted_by' => 'the works engineer',
            ]),
            'shop' => json_encode([
                'name' => 'Old',
                'temperature_c' => 20,
                'lathe_holds_mm' => 0.01,
                'rough_cut_mm' => 0.5,
                'press_n' => 1000,
            ]),
            'quote' => null,
        ]);
        DB::table('surfaces')
            ->limit(1)
            ->update(['role' => 'thinnest wall']);
        $migration = require database_path('migrations/2026_11_24_000002_take_in_and_survey.php');
        (new \ReflectionMethod($migration, 'bringForward'))->invoke($migration);
        $facts = $this->api('GET', '/api/jobs/job-1', null, 200)['facts'];
        self::assertSame(
            ['the works engineer', ['road']],
            [$facts['take_in']['acceptances'][0]['by'], $facts['take_in']['acceptances'][0]['gates']],
        );
        self::assertSame(
            [2, 'Old', null],
            [$facts['take_in']['quantity'], $facts['shop']['name'], $facts['surfaces'][0]['role']],
        );
    }
}
