<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\Backup;
use App\Backup\Backups;
use App\Backup\BadBackup;
use App\Backup\OpenFiles;
use App\Backup\Restoring;
use App\Bench\JobStore;
use Database\Seeders\DemoShop;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Oldpart\Core\Exchange\JobFile;
use PHPUnit\Framework\Attributes\DataProvider;

/** Backed up whole while others write, checked by opening it, and brought back over what is there. */
final class BackupTest extends FeatureTestCase
{
    /** Fifteen jobs, and two practised lessons. */
    private const DEMO = 17;

    private string $folder;

    /** A shop that is laid out once, then copied. */
    private static ?string $ready = null;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/oldpart-fit-backups-'.bin2hex(random_bytes(4));
        mkdir("{$this->folder}/photos/job-a", 0777, true);
        $new = self::$ready === null;
        $new ? touch("{$this->folder}/shop.sqlite") : copy(self::$ready, "{$this->folder}/shop.sqlite");
        // A file of its own: the other tests write into memory.
        config([
            'database.connections.shop-file' => [...(array) config('database.connections.sqlite'), 'database' => "{$this->folder}/shop.sqlite"],
            'database.default' => 'shop-file',
            'shop.backups' => "{$this->folder}/backups",
            'shop.photos' => "{$this->folder}/photos",
        ]);
        if ($new) {
            Artisan::call('migrate', ['--force' => true]);
            $this->seed(DemoShop::class);
            self::$ready = (string) tempnam(sys_get_temp_dir(), 'shop');
            unlink(self::$ready);
            DB::statement('VACUUM INTO '.DB::getPdo()->quote(self::$ready));
            register_shutdown_function(static fn (): bool => @unlink((string) self::$ready));
        }
    }

    protected function tearDown(): void
    {
        DB::purge('shop-file');
        config(['database.default' => 'sqlite']);
        exec('rm -rf '.escapeshellarg($this->folder));
        parent::tearDown();
    }

    private function backups(): Backups
    {
        return new Backups("{$this->folder}/backups", "{$this->folder}/photos");
    }

    private function restoring(): Restoring
    {
        return new Restoring($this->backups(), "{$this->folder}/photos");
    }

    /** @return array<string, int> */
    private function versions(): array
    {
        return DB::table('jobs')->pluck('version', 'id')->all();
    }

    public function test_it_comes_back_as_it_was(): void
    {
        file_put_contents("{$this->folder}/photos/job-a/one.jpg", 'picture');
        $was = $this->versions();
        $backup = $this->backups()->make();
        self::assertSame([count($was), 1], [$backup->jobs, $backup->photos]);
        self::assertSame([], $this->restoring()->loses($backup), 'nothing was done since');
        DB::table('jobs')->where('id', 'demo-drill')->update(['version' => $was['demo-drill'] + 2]);
        DB::table('jobs')->where('id', 'demo-saw')->delete();
        DB::table('jobs')->insert([...(array) DB::table('jobs')->where('id', 'demo-drill')->first(), 'id' => 'new', 'machine' => 'New rig', 'part' => 'Bush']);
        DB::table('shops')->update(['name' => 'Another name']);
        unlink("{$this->folder}/photos/job-a/one.jpg");
        $lost = implode("\n", $this->restoring()->loses($backup));
        self::assertStringContainsString('“New rig, Bush” was begun after it', $lost);
        self::assertStringContainsString('was changed after it: 2 changes would be gone', $lost);
        self::assertStringContainsString('settings', $lost);
        self::assertCount(3, explode("\n", $lost));

        $before = $this->restoring()->carryOut($backup);
        self::assertEquals($was, $this->versions());
        self::assertNotSame('Another name', DB::table('shops')->value('name'));
        self::assertSame('picture', file_get_contents("{$this->folder}/photos/job-a/one.jpg"));
        $this->api('GET', '/api/jobs/demo-saw', null, 200);
        // And what was there before it was brought back is not lost either.
        $this->restoring()->carryOut(Backup::open($before));
        self::assertSame('Another name', DB::table('shops')->value('name'));
        self::assertArrayHasKey('new', $this->versions());
    }

    /** What was acknowledged before it began is in it, whoever writes on meanwhile. */
    public function test_a_backup_while_another_writes(): void
    {
        $other = new \PDO("sqlite:{$this->folder}/shop.sqlite");
        $other->exec('PRAGMA journal_mode = WAL');
        $other->exec("UPDATE jobs SET version = 77 WHERE id = 'demo-drill'");
        $other->exec('BEGIN IMMEDIATE');
        $other->exec("UPDATE jobs SET version = 99 WHERE id = 'demo-drill'");
        // It waits for the other one a while; how long is not what is asked here.
        DB::statement('PRAGMA busy_timeout = 200');
        $backup = $this->backups()->make();
        $other->exec('COMMIT');
        $held = $backup->inside(static fn (string $shop): int => (int) (new \PDO("sqlite:{$shop}"))->query("SELECT version FROM jobs WHERE id = 'demo-drill'")?->fetchColumn());
        self::assertSame(77, $held);
        self::assertSame(99, $this->versions()['demo-drill']);
    }

    /** @return iterable<string, array{\Closure(string): void}> */
    public static function damage(): iterable
    {
        yield 'cut off' => [static function (string $path): void {
            file_put_contents($path, substr((string) file_get_contents($path), 0, -200));
        }];
        yield 'a byte flipped' => [static function (string $path): void {
            $bytes = (string) file_get_contents($path);
            $bytes[2000] = chr(ord($bytes[2000]) ^ 0xFF);
            file_put_contents($path, $bytes);
        }];
        yield 'another shop put in' => [static function (string $path): void {
            $zip = new \ZipArchive();
            $zip->open($path);
            $zip->addFromString('shop.sqlite', 'SQLite format 3');
            $zip->close();
        }];
        yield 'a file that lands elsewhere' => [static function (string $path): void {
            $zip = new \ZipArchive();
            $zip->open($path);
            $zip->addFromString('../../outside.jpg', 'x');
            $zip->close();
        }];
        yield 'no backup at all' => [static function (string $path): void {
            $zip = new \ZipArchive();
            $zip->open($path, \ZipArchive::OVERWRITE);
            $zip->addFromString('letter.txt', 'hello');
            $zip->close();
        }];
        yield 'empty' => [static function (string $path): void {
            file_put_contents($path, '');
        }];
    }

    /** @param  \Closure(string): void  $damage */
    #[DataProvider('damage')]
    public function test_a_damaged_one_is_refused_and_changes_nothing(\Closure $damage): void
    {
        // What a run that was killed left there is not this one's.
        $lying = static fn (): array => glob(sys_get_temp_dir().'/oldpart-fit-backup-*') ?: [];
        $before = $lying();
        $backup = $this->backups()->make();
        DB::table('jobs')->where('id', 'demo-drill')->update(['version' => 50]);
        $damage($backup->path);
        clearstatcache();
        try {
            $this->restoring()->carryOut(Backup::open($backup->path));
            self::fail('taken');
        } catch (BadBackup $bad) {
            self::assertMatchesRegularExpression('/damaged|no backup|not made here/', $bad->getMessage());
        }
        self::assertSame(50, $this->versions()['demo-drill']);
        self::assertFileDoesNotExist(sys_get_temp_dir().'/outside.jpg');
        self::assertSame([], array_diff($lying(), $before), 'nothing is left lying about');
    }

    /** On a new machine there is nothing to lose, and nothing is asked. */
    public function test_into_an_empty_shop(): void
    {
        $backup = $this->backups()->make();
        DB::table('jobs')->delete();
        foreach (['shops', 'own_instruments', 'instrument_checks', 'take_offs'] as $table) {
            DB::table($table)->delete();
        }
        self::assertSame([], $this->restoring()->loses($backup));
        self::assertSame(0, Artisan::call('shop:restore', ['file' => $backup->path]));
        self::assertSame(self::DEMO, DB::table('jobs')->count());
        self::assertSame('Culvert Lane Workshop', DB::table('shops')->value('name'));
    }

    /** The file that is there is damaged, which is when one needs it: it is put aside as it is, and the backup stands in its place. */
    public function test_over_a_damaged_file(): void
    {
        $was = $this->versions();
        $backup = $this->backups()->make();
        DB::purge('shop-file');
        $file = "{$this->folder}/shop.sqlite";
        $bytes = (string) file_get_contents($file);
        file_put_contents($file, substr_replace($bytes, str_repeat('x', 20000), 4096, 20000));
        $damaged = (string) file_get_contents($file);
        self::assertSame(0, Artisan::call('shop:restore', ['file' => $backup->path]));
        self::assertEquals($was, $this->versions());
        $aside = glob("{$file}.damaged-*") ?: [];
        self::assertCount(1, $aside);
        self::assertSame($damaged, file_get_contents($aside[0]));
    }

    /** One of a newer version would be read wrongly: it is refused with the way out. */
    public function test_a_newer_version(): void
    {
        DB::table('migrations')->insert(['migration' => '2099_01_01_000001_what_is_to_come', 'batch' => 99]);
        $backup = $this->backups()->make();
        DB::table('migrations')->where('batch', 99)->delete();
        $this->expectException(BadBackup::class);
        $this->expectExceptionMessage('newer version');
        $this->restoring()->loses($backup);
    }

    /** By hand: all of a day, the newest of each day of a month, the newest of each month of two years. */
    public function test_which_are_kept(): void
    {
        $now = new \DateTimeImmutable('2026-11-30T12:00:00Z');
        $all = $this->all($now, ['-1 hour', '-2 hours', '-25 hours', '-27 hours', '-50 hours', '-51 hours', '-10 days', '-31 days', '-70 days', '-71 days', '-100 days', '-23 months', '-25 months']);
        $gone = array_map(static fn (Backup $b): string => $b->madeAt->format('Y-m-d H'), Backups::tooMany($all, $now));
        $of = static fn (string $ago): string => $now->modify($ago)->format('Y-m-d H');
        // −27 h falls on the day of −25 h, −51 h on that of −50 h; −71 days in the month of −70 days; two years are over.
        self::assertEqualsCanonicalizing([$of('-27 hours'), $of('-51 hours'), $of('-71 days'), $of('-25 months')], $gone);
        self::assertSame([], Backups::tooMany([], $now));
    }

    /**
     * @param  list<string>  $agos
     * @return list<Backup> the newest first
     */
    private function all(\DateTimeImmutable $now, array $agos): array
    {
        $folder = "{$this->folder}/by-age";
        mkdir($folder);
        $all = array_map(fn (string $ago): Backup => Backup::make(DB::connection()->getPdo(), "{$this->folder}/photos", "{$folder}/shop-".md5($ago).'.zip', $now->modify($ago)), $agos);
        usort($all, static fn (Backup $a, Backup $b): int => $b->madeAt <=> $a->madeAt);

        return $all;
    }

    /** Due where something was written since the last one, and that is an hour ago. */
    public function test_when_one_is_due(): void
    {
        $now = new \DateTimeImmutable();
        self::assertTrue($this->backups()->isDue($now), 'there is none');
        $this->backups()->make($now);
        self::assertFalse($this->backups()->hasChanged());
        self::assertFalse($this->backups()->isDue($now->modify('+3 hours')));
        // A new connection and its end write nothing; a change within the same second does.
        DB::purge('shop-file');
        self::assertSame(self::DEMO, DB::table('jobs')->count());
        self::assertFalse($this->backups()->hasChanged());
        DB::table('jobs')->where('id', 'demo-drill')->increment('version');
        self::assertTrue($this->backups()->hasChanged());
        self::assertFalse($this->backups()->isDue($now->modify('+59 minutes')));
        self::assertTrue($this->backups()->isDue($now->modify('+61 minutes')));
        self::assertTrue($this->backups()->isDue($now->modify('-3 years')), 'one of tomorrow is no reason to wait');
        $this->backups()->make($now);
        DB::table('shops')->update(['name' => 'Another name, and a longer one']);
        self::assertTrue($this->backups()->hasChanged());
    }

    public function test_the_commands(): void
    {
        self::assertSame(0, Artisan::call('shop:backup', ['--to' => $this->folder]));
        self::assertStringContainsString('The shop is backed up, ', Artisan::output());
        $copies = glob("{$this->folder}/shop-*.zip") ?: [];
        self::assertCount(1, $copies);
        self::assertSame(1, Artisan::call('shop:backup', ['--to' => "{$this->folder}/no-stick"]));
        self::assertStringContainsString('The backup itself is made', Artisan::output());
        DB::table('jobs')->where('id', 'demo-drill')->update(['version' => 50]);
        self::assertSame(1, Artisan::call('shop:restore', ['file' => $copies[0]]));
        self::assertStringContainsString('Nothing was done', Artisan::output());
        self::assertSame(50, $this->versions()['demo-drill']);
        self::assertSame(0, Artisan::call('shop:restore', ['file' => $copies[0], '--yes' => true]));
        self::assertNotSame(50, $this->versions()['demo-drill']);
        self::assertSame(1, Artisan::call('shop:restore', ['file' => "{$this->folder}/nowhere.zip"]));
        self::assertStringContainsString('There is no', Artisan::output());
        Artisan::call('shop:backups');
        self::assertStringContainsString('photographs', Artisan::output());
    }

    /** No room, or no right to write: said in a sentence, and nothing half made is left. */
    public function test_where_it_can_not_be_written(): void
    {
        file_put_contents("{$this->folder}/a-file", '');
        try {
            (new Backups("{$this->folder}/a-file/backups", "{$this->folder}/photos"))->make();
            self::fail('made');
        } catch (BadBackup $bad) {
            self::assertStringContainsString('BACKUP_DIR', $bad->getMessage());
        }
    }

    /** Under Shop: made, listed, out as a file, looked at and brought back, each against the contract. */
    public function test_over_http(): void
    {
        self::assertSame(['backups' => [], 'changed' => true], $this->api('GET', '/api/backups', null, 200));
        $made = $this->api('POST', '/api/backups', [], 200)['backups'];
        self::assertCount(1, $made);
        $name = $made[0]['name'];
        $file = $this->send('GET', "/api/backups/{$name}");
        self::assertSame(200, $file->getStatusCode());
        self::assertSame('application/zip', $file->headers->get('Content-Type'));
        DB::table('jobs')->where('id', 'demo-drill')->increment('version');
        $lost = $this->api('POST', "/api/backups/{$name}/restore", ['yes' => false], 200);
        self::assertNull($lost['before']);
        self::assertCount(1, $lost['loses']);
        self::assertStringContainsString('that would be gone', $lost['loses'][0]);
        $was = $this->versions()['demo-drill'];
        $done = $this->api('POST', "/api/backups/{$name}/restore", ['yes' => true], 200);
        self::assertSame($was - 1, $this->versions()['demo-drill']);
        self::assertContains($done['before'], array_column($this->api('GET', '/api/backups', null, 200)['backups'], 'name'));
        foreach (['nowhere.zip', 'shop-1.zip'] as $other) {
            $this->api('POST', "/api/backups/{$other}/restore", ['yes' => true], 404);
        }
        $this->api('POST', "/api/backups/{$name}/restore", ['yes' => 'perhaps'], 422);
        file_put_contents("{$this->folder}/backups/{$name}", substr((string) file_get_contents("{$this->folder}/backups/{$name}"), 0, -300));
        self::assertCount(1, $this->api('GET', '/api/backups', null, 200)['backups'], 'a damaged one is none');
    }

    /** Out as open files and into an empty shop again: every job as it was, its photographs, the shop's own words. */
    public function test_everything_as_open_files(): void
    {
        app(JobStore::class)->put('demo-carder', 'archive');
        mkdir("{$this->folder}/photos/demo-drill/small", 0777, true);
        file_put_contents("{$this->folder}/photos/demo-drill/p-1.jpg", 'large');
        file_put_contents("{$this->folder}/photos/demo-drill/small/p-1.jpg", 'small');
        DB::table('photos')->insert(['id' => 'p-1', 'job_id' => 'demo-drill', 'place' => 0, 'note' => 'the worn bore', 'width' => 10, 'height' => 10]);
        $files = new OpenFiles(app(JobStore::class), "{$this->folder}/photos");
        $facts = function (): array {
            $jobs = DB::table('jobs')->orderBy('id')->pluck('id')->all();

            return array_combine($jobs, array_map(static fn (string $id): string => JobFile::write(app(JobStore::class)->facts($id)), $jobs));
        };
        $was = $facts();
        $deeds = fn (): array => DB::table('deeds')->orderBy('id')->get()->all();
        $done = $deeds();
        self::assertNotSame([], $done);
        self::assertSame(self::DEMO, $files->write("{$this->folder}/all.zip"));
        $zip = new \ZipArchive();
        self::assertTrue($zip->open("{$this->folder}/all.zip"));
        $names = array_map(static fn (int $i): string => (string) $zip->getNameIndex($i), range(0, $zip->numFiles - 1));
        self::assertCount(self::DEMO, preg_grep('~/readings\.csv$~', $names) ?: []);
        self::assertCount(2, preg_grep('~/photos/.*\.jpg$~', $names) ?: []);
        self::assertStringNotContainsString('demo_before', (string) $zip->getFromName('shop.json'));
        try {
            $files->read("{$this->folder}/all.zip");
            self::fail('into a shop with jobs');
        } catch (BadBackup $bad) {
            self::assertStringContainsString('empty one only', $bad->getMessage());
        }
        $archived = DB::table('jobs')->whereNotNull('archived_at')->orderBy('id')->pluck('id')->all();
        self::assertNotSame([], $archived);
        DB::table('jobs')->delete();
        DB::table('shops')->delete();
        exec('rm -rf '.escapeshellarg("{$this->folder}/photos"));
        self::assertSame(0, Artisan::call('shop:import', ['file' => "{$this->folder}/all.zip"]));
        self::assertEquals($was, $facts());
        self::assertEquals($done, $deeds(), 'what was practised');
        self::assertSame($archived, DB::table('jobs')->whereNotNull('archived_at')->orderBy('id')->pluck('id')->all(), 'what was put away is put away');
        self::assertSame('Culvert Lane Workshop', DB::table('shops')->value('name'));
        self::assertSame(['large', 'small', 'the worn bore'], [file_get_contents("{$this->folder}/photos/demo-drill/p-1.jpg"), file_get_contents("{$this->folder}/photos/demo-drill/small/p-1.jpg"), DB::table('photos')->value('note')]);
        // What is no such file says so, and nothing came in.
        DB::table('jobs')->delete();
        $backup = $this->backups()->make();
        self::assertSame(1, Artisan::call('shop:import', ['file' => $backup->path]));
        self::assertStringContainsString('bin/restore', Artisan::output());
        self::assertSame(0, DB::table('jobs')->count());
        $all = $this->send('GET', '/api/everything');
        self::assertSame(200, $all->getStatusCode());
    }
}
