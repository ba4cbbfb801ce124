<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** Case 21 of an outside audit: bin/start says why it stops, loses nothing, and keeps its server alive. */
final class StartTest extends TestCase
{
    private string $folder;

    private int $port;

    /** @var resource|null */
    private $running = null;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/oldpart-start-'.bin2hex(random_bytes(4));
        mkdir("{$this->folder}/photos", 0777, true);
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        self::assertNotFalse($socket);
        $this->port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
    }

    protected function tearDown(): void
    {
        $this->end();
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    private function database(): string
    {
        return "{$this->folder}/shop.sqlite";
    }

    /** @return list<string> */
    private function copies(): array
    {
        return array_map(basename(...), glob("{$this->folder}/copies/*.sqlite") ?: []);
    }

    /** Runs it until it serves or stops; what it said. */
    private function start(string ...$options): string
    {
        $this->end();
        $log = "{$this->folder}/said-".bin2hex(random_bytes(3));
        $env = [
            'DB_DATABASE' => $this->database(),
            'PHOTO_DIR' => "{$this->folder}/photos",
            'SHOP_COPIES' => "{$this->folder}/copies",
            'BACKUP_DIR' => "{$this->folder}/backups",
            'GAUGE_PORT' => '0',
            'APP_ENV' => 'local',
            'PATH' => (string) getenv('PATH'),
            'HOME' => (string) getenv('HOME'),
        ];
        $this->running =
            proc_open(
                ['bin/start', '--no-open', '--port', (string) $this->port, ...$options],
                [['file', '/dev/null', 'r'], ['file', $log, 'w'], ['file', $log, 'a']],
                $pipes,
                dirname(__DIR__, 2),
                $env,
            ) ?:
            null;
        self::assertNotNull($this->running);
        for ($i = 0; $i < 400; $i++) {
            $said = (string) file_get_contents($log);
            if (
                (str_contains($said, 'Oldpart Fit is at') && $this->answers())
                || ! proc_get_status($this->running)['running']
            ) {
                break;
            }
            usleep(100_000);
        }

        return (string) file_get_contents($log);
    }

    private function answers(): bool
    {
        $socket = @fsockopen('127.0.0.1', $this->port, $e, $s, 0.5);

        return $socket !== false && fclose($socket);
    }

    private function end(int $signal = SIGTERM): void
    {
        if ($this->running !== null) {
            $status = proc_get_status($this->running);
            if ($status['running']) {
                proc_terminate($this->running, $signal);
            }
            proc_close($this->running);
            $this->running = null;
            for ($i = 0; $i < 50 && $signal === SIGTERM && $this->answers(); $i++) {
                usleep(100_000);
            }
        }
    }

    /** @return list<int> the processes that serve on our port */
    private function servers(): array
    {
        exec("pgrep -f '127.0.0.1:{$this->port}'", $pids);

        return array_map(
            intval(...),
            array_values(
                array_filter(
                    $pids,
                    fn (string $pid): bool => str_contains(
                        (string) @file_get_contents("/proc/{$pid}/cmdline"),
                        'router.php',
                    ),
                ),
            ),
        );
    }

    private function jobs(): int
    {
        $jobs = json_decode((string) file_get_contents("http://127.0.0.1:{$this->port}/api/jobs"), true)['jobs'] ?? [];

        return count($jobs);
    }

    /**
     * A new shop says that it brings the demo; an empty one stays empty; what would be written over is copied first.
     */
    public function test_21_a_new_shop_an_empty_one_and_a_fresh_one(): void
    {
        self::assertStringContainsString('--empty', $this->start('--empty', '--fresh'), 'one of the two');
        self::assertStringContainsString('A new shop, empty', $this->start('--empty'));
        self::assertSame(0, $this->jobs());
        self::assertStringContainsString(
            'Demo jobs come with bin/start --fresh',
            $this->start(),
            'the demo does not come by itself over an empty shop',
        );
        self::assertSame(0, $this->jobs());
        self::assertSame([], $this->copies());
        $this->start('--fresh');
        self::assertGreaterThan(5, $this->jobs());
        $this->sendsScriptsPacked();
        self::assertCount(1, $this->copies());
        self::assertStringContainsString('before-fresh', $this->copies()[0]);
        $copy = new \PDO("sqlite:{$this->folder}/copies/{$this->copies()[0]}");
        self::assertSame(0, (int) $copy->query('select count(*) from jobs')?->fetchColumn(), 'as it was before');
    }

    /** As tightly as the browser can unpack them. */
    private function sendsScriptsPacked(): void
    {
        $at = "http://127.0.0.1:{$this->port}";
        preg_match('~/build/assets/main-[^"]+\.js~', (string) file_get_contents($at), $script);
        self::assertCount(1, $script);
        $plain = (string) file_get_contents(dirname(__DIR__, 2)."/public{$script[0]}");
        $sizes = [];
        foreach (['gzip, deflate, br, zstd' => 'br', 'gzip, deflate' => 'gzip', 'zstd' => '', '' => ''] as $taken => $packed) {
            $asked = stream_context_create(['http' => ['header' => "Accept-Encoding: {$taken}"]]);
            $body = (string) file_get_contents($at.$script[0], false, $asked);
            $said = preg_grep('/^Content-Encoding: /i', $http_response_header) ?: [];
            self::assertSame($packed, trim(strtolower(substr((string) reset($said), 18))), "“{$taken}”");
            $packed === 'gzip' && self::assertSame($plain, gzdecode($body));
            $packed === '' && self::assertSame($plain, $body);
            $sizes[] = strlen($body);
        }
        self::assertLessThan($sizes[1], $sizes[0]);
        self::assertLessThan($sizes[2], $sizes[1]);
    }

    /** What is damaged, gone, read-only or something else's is said and left as it is. */
    public function test_21_says_why_it_stops(): void
    {
        file_put_contents($this->database(), str_repeat('not a database ', 500));
        $before = md5_file($this->database());
        self::assertStringContainsString('is damaged', $this->start());
        self::assertSame($before, md5_file($this->database()), 'left as it was');
        mkdir("{$this->folder}/copies");
        touch($copy = "{$this->folder}/copies/shop-20261101-080000-before-migrating.sqlite");
        self::assertStringEndsWith("cp '{$copy}' '{$this->database()}'\n", $this->start());
        // A backup is more than a copy: it has the photographs too, and puts the damaged file aside.
        mkdir("{$this->folder}/backups");
        touch($backup = "{$this->folder}/backups/shop-20261101-090000.zip");
        self::assertStringEndsWith("bin/restore '{$backup}'\n", $this->start());
        unlink($this->database());
        self::assertStringContainsString("bin/restore '{$backup}'", $this->start(), 'gone, where there is a backup');
        self::assertFileDoesNotExist($this->database());
        unlink($backup);
        unlink($copy);

        (new \PDO("sqlite:{$this->database()}"))->exec('create table recipes (x text)');
        self::assertStringContainsString('a database of something else', $this->start());
        unlink($this->database());

        mkdir("{$this->folder}/photos/job-1");
        touch("{$this->folder}/photos/job-1/a.jpg");
        $gone = $this->start();
        self::assertStringContainsString('is gone', $gone);
        self::assertStringContainsString('--empty', $gone);
        self::assertFileDoesNotExist($this->database(), 'no demo in place of a lost shop');

        touch("{$this->folder}/copies/shop-20261101-080000-before-fresh.sqlite");
        self::assertStringContainsString(
            'shop-20261101-080000-before-fresh.sqlite',
            $this->start(),
            'the copy to put back is named',
        );
    }

    /** A shop of an older version is copied before it is brought up to this one. */
    public function test_21_keeps_a_copy_before_migrating(): void
    {
        $this->start('--empty');
        $this->end();
        $pdo = new \PDO("sqlite:{$this->database()}");
        $pdo->exec("delete from migrations where migration like '%nothing_without%'");
        $pdo = null;
        $said = $this->start();
        self::assertStringContainsString('before-migrating', implode(' ', $this->copies()), $said);
        self::assertStringContainsString(
            'could not be brought up',
            $said,
            'what it would add is there already, and that is said',
        );
    }

    /** A worker that is ended comes back; and nothing stays behind, also where the starter was killed. */
    public function test_21_workers_come_back_and_none_stay_behind(): void
    {
        $this->start('--empty');
        for ($i = 0; $i < 100 && count($this->servers()) < 5; $i++) {
            usleep(100_000);
        }
        $first = $this->servers();
        self::assertGreaterThanOrEqual(5, count($first), 'one that listens and four that work');
        posix_kill(max($first), SIGKILL);
        for (
            $i = 0;
            $i < 100 && (array_intersect($first, $this->servers()) !== [] || count($this->servers()) < 5);
            $i++
        ) {
            usleep(100_000);
        }
        self::assertCount(5, $this->servers());
        for ($i = 0; $i < 50 && ! $this->answers(); $i++) {
            usleep(100_000);
        }
        self::assertSame(0, $this->jobs(), 'and they answer');
        $left = $this->servers();
        $this->end(SIGKILL);
        self::assertNotSame([], $this->servers(), 'a killed starter can end nobody');
        self::assertStringContainsString(
            'Oldpart Fit is at',
            $this->start(),
            'the next start does, and takes the port',
        );
        self::assertSame([], array_intersect($left, $this->servers()));
        $this->end();
        for ($i = 0; $i < 50 && $this->servers() !== []; $i++) {
            usleep(100_000);
        }
        self::assertSame([], $this->servers(), 'none stay behind');
    }

    /** Asked to stop while it still opens the shop, it is gone as soon as what it waits for has ended. */
    public function test_it_stops_before_it_serves(): void
    {
        $log = "{$this->folder}/said";
        $this->running = proc_open(
            ['bin/start', '--empty', '--no-open', '--port', (string) $this->port],
            [['file', '/dev/null', 'r'], ['file', $log, 'w'], ['file', $log, 'a']],
            $pipes,
            dirname(__DIR__, 2),
            ['DB_DATABASE' => $this->database(), 'PHOTO_DIR' => "{$this->folder}/photos", 'BACKUP_DIR' => "{$this->folder}/backups", 'SHOP_COPIES' => "{$this->folder}/copies", 'GAUGE_PORT' => '0', 'APP_ENV' => 'local', 'PATH' => (string) getenv('PATH'), 'HOME' => (string) getenv('HOME')],
        ) ?: null;
        self::assertNotNull($this->running);
        usleep(400_000);
        self::assertStringNotContainsString('Oldpart Fit is at', (string) file_get_contents($log));
        proc_terminate($this->running, SIGINT);
        for ($i = 0; $i < 100 && proc_get_status($this->running)['running']; $i++) {
            usleep(100_000);
        }
        self::assertFalse(proc_get_status($this->running)['running'], (string) file_get_contents($log));
        self::assertStringNotContainsString('Oldpart Fit is at', (string) file_get_contents($log));
    }
}
