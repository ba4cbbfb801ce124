<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Database\ImmediatePdo;
use App\Http\StorageFault;
use App\Models\InstrumentCheck;
use App\Models\Job;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

/** Cases 15, 16, 19, 20 and 21 of an outside audit: records that can be trusted. */
final class RecordsTest extends FeatureTestCase
{
    /** @return array<string, mixed> */
    private function reading(string $surface, string $typed, array $more = []): array
    {
        return [
            'surface' => $surface,
            'station' => 'mouth',
            'angle' => '0',
            'value' => ['typed' => $typed, 'unit' => 'in'],
            'instrument' => 'three-point',
            ...$more,
        ];
    }

    /** @return array{typed: string, unit: string} */
    private static function mm(string $typed): array
    {
        return ['typed' => $typed, 'unit' => 'mm'];
    }

    /** @return iterable<string, array{string}> */
    public static function noMoments(): iterable
    {
        yield 'a word' => ['soon'];
        yield 'a day there is not' => ['2026-02-30T10:00:00Z'];
        yield 'a bare day' => ['2026-02-03'];
        yield 'an hour there is not' => ['2026-02-03T25:00:00Z'];
        yield 'a century ahead' => ['2126-02-03T10:00:00Z'];
    }

    #[DataProvider('noMoments')]
    public function test_15_when_a_reading_was_taken_is_a_moment_that_was(string $moment): void
    {
        $bore = self::idOf($this->startJob(), 'surfaces', 'Housing bore');
        $error = $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(1, $this->reading($bore, '1.1', ['taken_at' => $moment])),
            422,
        )['error'];
        self::assertContains($error['code'], ['time', 'future']);
        self::assertStringEndsWith('taken_at', $error['field']);
        $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(1, $this->reading($bore, '1.1', ['taken_at' => now()->subHour()->toIso8601ZuluString()])),
            200,
        );
    }

    public function test_15_days_to_come_are_real_days(): void
    {
        $this->startJob();
        foreach (['next week', '2026-13-01', '2026-02-30'] as $day) {
            $this->api('PATCH', '/api/jobs/job-1', $this->change(1, ['take_in' => ['wanted_by' => $day]]), 422);
        }
        $this->api(
            'PATCH',
            '/api/jobs/job-1',
            $this->change(1, ['waits' => ['for' => 'stock', 'until' => 'tomorrow', 'note' => '']]),
            422,
        );
        $this->api(
            'PATCH',
            '/api/jobs/job-1',
            $this->change(1, ['hand_over' => ['finished_at' => '2126-01-01T00:00:00Z']]),
            422,
        );
        $this->api('PATCH', '/api/jobs/job-1', $this->change(1, ['take_in' => ['wanted_by' => '2126-02-03']]), 200);
    }

    /**
     * A check a century ahead is refused; one that was mistyped is void with its reason, and what it corrected is as it
     * was before.
     */
    public function test_15_a_mistyped_check_does_not_correct_for_good(): void
    {
        $bore = self::idOf($this->startJob(), 'surfaces', 'Housing bore');
        $check = fn (string $id, string $read, string $at): array => [
            'id' => $id,
            'read' => self::mm($read),
            'true' => self::mm('25'),
            'at' => $at,
        ];
        self::assertSame(
            'future',
            $this->api('POST', '/api/instruments/three-point/checks', $check('c1', '25.4', '2126-11-24'), 422)['error'][
                'code'
            ],
        );
        self::assertSame(
            'time',
            $this->api('POST', '/api/instruments/three-point/checks', $check('c1', '25.4', 'tomorrow'), 422)['error'][
                'code'
            ],
        );
        self::assertSame(
            'bad-id',
            $this->api('POST', '/api/instruments/three-point/checks', $check('c 1', '25.4', '2026-11-24'), 422)[
                'error'
            ]['code'],
        );
        $this->api(
            'POST',
            '/api/instruments/three-point/checks',
            $check('good', '25.002', now()->subDays(40)->format('Y-m-d')),
            201,
        );
        $this->api(
            'POST',
            '/api/instruments/three-point/checks',
            $check('bad', '25.400', now()->subDays(2)->format('Y-m-d')),
            201,
        );
        $state = $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(1, $this->reading($bore, '1.1', ['taken_at' => now()->subDay()->toIso8601ZuluString()])),
            200,
        );
        self::assertEqualsWithDelta(-0.4, $state['facts']['readings'][0]['correction_mm'], 1e-9);
        $old = $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r0',
            $this->change(2, $this->reading($bore, '1.1', ['taken_at' => now()->subDays(10)->toIso8601ZuluString()])),
            200,
        );
        self::assertEqualsWithDelta(
            -0.002,
            array_column($old['facts']['readings'], 'correction_mm', 'id')['r0'],
            1e-9,
            'a check corrects nothing older than itself',
        );
        $this->api('POST', '/api/instruments/three-point/checks/bad/void', ['why' => ''], 422);
        $tool = $this->api(
            'POST',
            '/api/instruments/three-point/checks/bad/void',
            ['why' => 'read the wrong block'],
            200,
        );
        self::assertSame([null, 'read the wrong block'], array_column($tool['checks'], 'void'));
        self::assertSame(2, InstrumentCheck::query()->count(), 'it stays on record');
        $after = $this->api('GET', '/api/jobs/job-1', null, 200)['facts']['readings'];
        self::assertEqualsWithDelta(-0.002, array_column($after, 'correction_mm', 'id')['r1'], 1e-9);
        $this->api('POST', '/api/instruments/three-point/checks/none/void', ['why' => 'no such'], 404);
    }

    public function test_16_what_was_undone_can_be_done_again(): void
    {
        $this->startJob();
        $this->api('PATCH', '/api/jobs/job-1', $this->change(1, ['machine' => 'Loom']), 200);
        $this->api('PATCH', '/api/jobs/job-1', $this->change(2, ['machine' => 'Mill']), 200);
        $step = static fn (int $version, string $name): array => ['version' => $version, 'request' => $name];
        self::assertSame(
            'nothing-to-redo',
            $this->api('POST', '/api/jobs/job-1/redo', $step(3, 'x1'), 422)['error']['code'],
        );
        $machine = fn (string $what, int $version): array => $this->api(
            'POST',
            "/api/jobs/job-1/{$what}",
            $step($version, "{$what}-{$version}"),
            200,
        );
        self::assertSame('Loom', $machine('undo', 3)['facts']['machine']);
        self::assertSame('Test rig', $machine('undo', 4)['facts']['machine']);
        self::assertSame('Loom', $machine('redo', 5)['facts']['machine']);
        $last = $machine('redo', 6);
        self::assertSame(['Mill', true, false], [$last['facts']['machine'], $last['can_undo'], $last['can_redo']]);
        self::assertSame('Loom', $machine('undo', 7)['facts']['machine']);
        // Something new ends what could be done again.
        self::assertFalse(
            $this->api('PATCH', '/api/jobs/job-1', $this->change(8, ['machine' => 'Lathe']), 200)['can_redo'],
        );
    }

    /** A part taken away with all that hangs on it comes back, and goes again. */
    public function test_16_a_removal_of_several_things_can_be_redone(): void
    {
        $state = $this->startJob();
        $part = self::idOf($state, 'parts', 'Bush');
        $gone = $this->api('DELETE', "/api/jobs/job-1/parts/{$part}", ['version' => 1, 'request' => 'd'], 200);
        $back = $this->api('POST', '/api/jobs/job-1/undo', ['version' => 2, 'request' => 'u'], 200);
        self::assertEquals($state['facts'], $back['facts']);
        $again = $this->api('POST', '/api/jobs/job-1/redo', ['version' => 3, 'request' => 'v'], 200);
        self::assertEquals($gone['facts'], $again['facts']);
    }

    public function test_20_undo_takes_back_ones_own_change(): void
    {
        $bore = self::idOf($this->startJob(), 'surfaces', 'Housing bore');
        $as = fn (string $who, string $method, string $path, array $body): array => json_decode(
            (string) $this->call(
                $method,
                $path,
                [],
                [],
                [],
                ['CONTENT_TYPE' => 'application/json', 'HTTP_X_CLIENT' => $who],
                (string) json_encode($body),
            )->getContent(),
            true,
        );
        $as('tablet', 'PUT', '/api/jobs/job-1/readings/r1', $this->change(1, $this->reading($bore, '1.1')));
        $as('laptop', 'PATCH', '/api/jobs/job-1', $this->change(2, ['machine' => 'Loom']));
        $undone = $as('tablet', 'POST', '/api/jobs/job-1/undo', ['version' => 3, 'request' => 'u1']);
        self::assertSame([], $undone['facts']['readings'], 'the reading of the tablet');
        self::assertSame('Loom', $undone['facts']['machine'], 'not what the laptop did');
        $as('tablet', 'PATCH', '/api/jobs/job-1', $this->change(4, ['part' => 'Bearing']));
        $as('laptop', 'PATCH', '/api/jobs/job-1', $this->change(5, ['part' => 'Sleeve']));
        self::assertSame(
            'gone-on',
            $as('tablet', 'POST', '/api/jobs/job-1/undo', ['version' => 6, 'request' => 'u2'])['error']['code'],
        );
    }

    /** What a reading was is added to, never lost; and it never moves to another surface. */
    public function test_20_the_history_of_a_reading_is_kept(): void
    {
        $state = $this->startJob();
        [$bore, $shaft] = [
            self::idOf($state, 'surfaces', 'Housing bore'),
            self::idOf($state, 'surfaces', 'Shaft journal'),
        ];
        $this->api('PUT', '/api/jobs/job-1/readings/r1', $this->change(1, $this->reading($bore, '1.1')), 200);
        $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(2, ['value' => ['typed' => '1.2', 'unit' => 'in']]),
            200,
        );
        $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(3, ['value' => ['typed' => '1.3', 'unit' => 'in']]),
            200,
        );
        $tried = $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(4, ['was' => null, 'history' => [], 'remark' => 'x']),
            200,
        )['facts']['readings'][0];
        self::assertSame(['1.1', '1.2'], array_column($tried['history'], 'typed'));
        self::assertSame('1.2', $tried['was']['typed']);
        self::assertSame(
            'kept',
            $this->api('PUT', '/api/jobs/job-1/readings/r1', $this->change(5, ['surface' => $shaft]), 422)['error'][
                'code'
            ],
        );
    }

    /** The same name for two requests: in another job it is another one, with other content it is refused. */
    public function test_20_a_request_is_known_by_job_and_content(): void
    {
        $this->startJob();
        $this->startJob('job-2');
        $body = ['version' => 1, 'request' => 'same', 'fact' => ['machine' => 'Loom']];
        $this->api('PATCH', '/api/jobs/job-1', $body, 200);
        self::assertSame('Loom', $this->api('PATCH', '/api/jobs/job-2', $body, 200)['facts']['machine']);
        self::assertSame(2, $this->api('PATCH', '/api/jobs/job-1', $body, 200)['version'], 'sent twice it is one');
        self::assertSame(
            'request-used',
            $this->api('PATCH', '/api/jobs/job-1', [...$body, 'fact' => ['machine' => 'Mill']], 422)['error']['code'],
        );
    }

    /** With its job everything of it goes, so its file comes back as the same job. */
    public function test_20_nothing_stays_behind_a_job_that_goes(): void
    {
        $this->startJob();
        $put = fn (int $version, string $path, array $fact): array => $this->api(
            'PUT',
            "/api/jobs/job-1/{$path}",
            $this->change($version, $fact),
            200,
        );
        $put(1, 'loops/gap', ['name' => 'Gap']);
        $put(2, 'trials/tried', ['loop' => 'gap', 'seen' => 'binds']);
        $put(3, 'concessions/so', ['loop' => 'gap', 'by' => 'the bench', 'why' => 'it turns']);
        $file = (string) $this->send('GET', '/api/jobs/job-1/file')->getContent();
        Job::query()->whereKey('job-1')->delete();
        foreach (['loops', 'trials', 'concessions', 'clearances', 'pushes', 'mistakes', 'changes'] as $table) {
            self::assertSame(0, DB::table($table)->count(), $table);
        }
        self::assertSame('job-1', $this->api('POST', '/api/jobs/import', $file, 201)['facts']['id']);
    }

    public function test_20_a_patch_of_numbered_fields_is_refused_in_words(): void
    {
        $this->startJob();
        foreach ([['0' => 'x', '2' => 'y'], [5 => 'x', 'machine' => 'Loom']] as $fact) {
            self::assertSame(
                'bad-field',
                $this->api('PATCH', '/api/jobs/job-1', ['version' => 1, 'request' => 'n', 'fact' => $fact], 422)[
                    'error'
                ]['code'],
            );
        }
    }

    /** @return iterable<string, array{string, StorageFault}> what SQLite says (sqlite.org/rescode.html) */
    public static function faults(): iterable
    {
        yield 'a full disk' => ['SQLSTATE[HY000]: General error: 13 database or disk is full', StorageFault::Full];
        yield 'read-only' => [
            'SQLSTATE[HY000]: General error: 8 attempt to write a readonly database',
            StorageFault::ReadOnly,
        ];
        yield 'damaged' => [
            'SQLSTATE[HY000]: General error: 11 database disk image is malformed',
            StorageFault::Corrupt,
        ];
        yield 'no database' => ['SQLSTATE[HY000]: General error: 26 file is not a database', StorageFault::Corrupt];
        yield 'gone' => ['SQLSTATE[HY000] [14] unable to open database file', StorageFault::Missing];
        yield 'emptied' => ['SQLSTATE[HY000]: General error: 1 no such table: jobs', StorageFault::Missing];
        yield 'busy' => ['SQLSTATE[HY000]: General error: 5 database is locked', StorageFault::Busy];
    }

    #[DataProvider('faults')]
    public function test_21_what_is_wrong_with_the_disk_is_told_apart(string $says, StorageFault $fault): void
    {
        self::assertSame($fault, StorageFault::of(new \PDOException($says)));
    }

    /** A disk that is full only shows at the end of a transaction: the answer says so, and nothing of it stands. */
    public function test_21_a_disk_that_fills_up_is_said_and_nothing_is_half_written(): void
    {
        $path = tempnam(sys_get_temp_dir(), 'full');
        self::assertIsString($path);
        $pdo = new ImmediatePdo("sqlite:{$path}");
        $pdo->exec('create table t (x text)');
        $pages = (int) $pdo->query('pragma page_count')->fetchColumn();
        $pdo->exec('pragma max_page_count = '.($pages + 1));
        try {
            $pdo->beginTransaction();
            for ($i = 0; $i < 40; $i++) {
                $pdo->exec("insert into t values ('".str_repeat('x', 2000)."')");
            }
            $pdo->commit();
            self::fail('the disk was not full');
        } catch (\PDOException $e) {
            self::assertSame(StorageFault::Full, StorageFault::of($e));
            self::assertSame(507, StorageFault::of($e)->status());
            $pdo->rollBack();
        }
        self::assertFalse($pdo->inTransaction());
        self::assertSame(0, (int) $pdo->query('select count(*) from t')->fetchColumn());
        unlink($path);
    }

    public function test_21_up_says_whether_the_shop_can_be_worked_in(): void
    {
        $this->api('GET', '/api/shop', null, 200);
        $up = $this->get('/up');
        self::assertSame([200, true], [$up->getStatusCode(), $up->json('good')]);
        DB::table('migrations')->where('migration', 'like', '%nothing_without%')->delete();
        $old = $this->get('/up');
        self::assertSame(503, $old->getStatusCode());
        self::assertStringContainsString('older version', $old->json('wrong.version'));
    }

    /** A transaction takes the right to write at once, so that two that read first do not refuse each other. */
    public function test_19_transactions_begin_by_writing(): void
    {
        $path = tempnam(sys_get_temp_dir(), 'two');
        self::assertIsString($path);
        [$a, $b] = [new ImmediatePdo("sqlite:{$path}"), new ImmediatePdo("sqlite:{$path}")];
        $a->exec('create table t (x int)');
        $b->exec('pragma busy_timeout = 50');
        $a->beginTransaction();
        try {
            $b->beginTransaction();
            self::fail('two at once');
        } catch (\PDOException $e) {
            self::assertSame(StorageFault::Busy, StorageFault::of($e), 'it waits at the beginning, not in the middle');
        }
        $a->exec('insert into t values (1)');
        $a->commit();
        $b->beginTransaction();
        self::assertSame(1, (int) $b->query('select count(*) from t')->fetchColumn());
        $b->exec('insert into t values (2)');
        $b->commit();
        self::assertSame(2, (int) $a->query('select count(*) from t')->fetchColumn());
        unlink($path);
        self::assertSame('FULL', config('database.connections.sqlite.synchronous'));
    }
}
