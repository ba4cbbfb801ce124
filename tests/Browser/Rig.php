<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\PhpWebDriverExceptionInterface;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverDimension;

/** The application served on a database of its own, and a real Chromium to look at it with. */
final class Rig
{
    public readonly string $url;

    private string $folder;

    /** @var list<resource> */
    private array $processes = [];

    /** @var resource|null */
    private $server;

    /** @var array<int, string> */
    private static array $ready = [];

    private int $driverPort = 0;

    /** @var resource|null of the browser that many tests share */
    private static $sharedDriver;

    private static string $sharedFolder = '';

    private int $port;

    /**
     * Where the shops of these tests are, one after the other: a browser that was there has its scripts already, and a
     * server that runs has what it compiled.
     *
     * @var array{folder: string, port: int, gaugePort: int, server: resource|null}|null
     */
    private static ?array $usual = null;

    private static bool $usualTaken = false;

    private readonly bool $isUsual;

    private int $gaugePort;

    /** @var resource|null */
    private $rack;

    /** @param  array<string, string>  $env  that the application is told beside its own */
    public function __construct(private readonly bool $seeded, private readonly array $env = [])
    {
        // One that people sign in to keeps more in a browser than the next one may find.
        $this->isUsual = ! self::$usualTaken && $env === [];
        if ($this->isUsual) {
            self::$usualTaken = true;
            ['folder' => $this->folder, 'port' => $this->port, 'gaugePort' => $this->gaugePort, 'server' => $this->server] = self::usual();
        } else {
            [$this->folder, $this->port, $this->gaugePort, $this->server] = [self::newFolder(), self::freePort(), self::freePort(), null];
        }
        $this->url = "http://127.0.0.1:{$this->port}";
        mkdir($this->downloads(), 0777, true);
        $this->layOutShop();
        $this->server === null && $this->serve();
    }

    public function database(): string
    {
        return $this->folder.'/shop.sqlite';
    }

    public function downloads(): string
    {
        return $this->folder.'/downloads';
    }

    public function serve(): void
    {
        $this->server = $this->spawn(
            [
                'php',
                '-d',
                'opcache.enable_cli=1',
                '-d',
                // What one server has compiled the next need not.
                'opcache.file_cache='.self::compiled(),
                '-d',
                'display_errors=0',
                '-d',
                'max_execution_time=20',
                '-d',
                'memory_limit=512M',
                '-d',
                'post_max_size=24M',
                '-q',
                '-S',
                "127.0.0.1:{$this->port}",
                '-t',
                'public',
                'bin/lib/router.php',
            ],
            $this->env() + ['PHP_CLI_SERVER_WORKERS' => '4'],
        );
        self::waitFor($this->port);
    }

    /** Stops the application, as when somebody trips over the cable. */
    public function pullThePlug(): void
    {
        if ($this->server !== null) {
            self::end($this->server);
            $this->server = null;
        }
    }

    /** Puts the simulated gauges on the table. */
    public function startRack(): void
    {
        $this->rack = $this->spawn(['php', 'artisan', 'gauges:rack'], $this->env());
        self::waitFor($this->gaugePort);
    }

    /** Takes them away again, as when a battery falls out. */
    public function stopRack(): void
    {
        if ($this->rack !== null) {
            self::end($this->rack);
            $this->rack = null;
        }
    }

    private int $letters = 16;

    /** @param  int  $letters  how large the reader has asked for text, px; 16 is usual */
    public function browser(int $width = 1280, int $height = 800, int $letters = 16): RemoteWebDriver
    {
        $this->letters = $letters;
        $driver = $letters === 16 ? SharedBrowser::lend(fn (): RemoteWebDriver => $this->shared(), $this->url, $this->downloads()) : null;
        $driver ??= $this->session($width, $height);
        self::resize($driver, $width, $height);

        return $driver;
    }

    /** Makes the page so large, inside its window. */
    public static function resize(RemoteWebDriver $driver, int $width, int $height): void
    {
        // A window has a head, and no sides; one narrower than 500 says that it is 500 wide.
        $head = $driver->executeScript('return window.outerHeight - window.innerHeight');
        $driver->manage()->window()->setSize(new WebDriverDimension($width, $height + $head));
    }

    /** A browser that does not come up on a busy machine is asked for again: of a fresh driver, in a fresh profile. */
    private function session(int $width, int $height): RemoteWebDriver
    {
        for ($try = 1; ; $try++) {
            try {
                $this->driverPort === 0 && $this->startDriver();

                return RemoteWebDriver::create("http://127.0.0.1:{$this->driverPort}", $this->wanted($width, $height), 30000, 60000);
            } catch (\TypeError|PhpWebDriverExceptionInterface $e) {
                if ($try === 4) {
                    throw $e;
                }
                sleep($try);
                $this->startDriver();
            }
        }
    }

    /** The browser that many tests share: its driver and its folder outlive this shop. */
    private function shared(): RemoteWebDriver
    {
        if (self::$sharedFolder === '') {
            self::$sharedFolder = sys_get_temp_dir().'/oldpart-fit-browser-'.bin2hex(random_bytes(4));
            mkdir(self::$sharedFolder);
            register_shutdown_function(static function (): void {
                SharedBrowser::end();
                self::$sharedDriver === null || self::end(self::$sharedDriver);
                exec('rm -rf '.escapeshellarg(self::$sharedFolder));
            });
        }
        [$folder, $processes, $this->processes] = [$this->folder, $this->processes, []];
        $this->folder = self::$sharedFolder;
        try {
            self::$sharedDriver === null || self::end(self::$sharedDriver);
            self::$sharedDriver = null;
            $driver = $this->session(1280, 800);
            self::$sharedDriver = array_pop($this->processes);
        } finally {
            array_push($processes, ...$this->processes);
            [$this->folder, $this->processes, $this->driverPort] = [$folder, $processes, 0];
        }

        return $driver;
    }

    private function startDriver(): void
    {
        $this->driverPort = self::freePort();
        $this->processes[] = $this->spawn(['chromedriver', "--port={$this->driverPort}", '--silent'], []);
        self::waitFor($this->driverPort);
    }

    private function wanted(int $width, int $height): DesiredCapabilities
    {
        $options = new ChromeOptions();
        $options->addArguments([
            '--headless=new',
            '--no-sandbox',
            '--disable-gpu',
            '--disable-quic',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--disable-dev-shm-usage',
            '--disable-extensions',
            '--disable-breakpad',
            // What a page costs is the page: no process of its own for each tab, nor for drawing.
            '--renderer-process-limit=1',
            '--in-process-gpu',
            '--force-device-scale-factor=1',
            '--lang=en-GB',
            "--window-size={$width},{$height}",
            '--user-data-dir='.$this->folder.'/profile-'.bin2hex(random_bytes(3)),
        ]);
        $options->setExperimentalOption('prefs', [
            'download.default_directory' => $this->downloads(),
            'download.prompt_for_download' => false,
            'webkit.webprefs.default_font_size' => $this->letters,
        ]);
        $wanted = DesiredCapabilities::chrome();
        $wanted->setCapability(ChromeOptions::CAPABILITY, $options);
        // Every request of the page, for whoever asks for a browser of their own: it costs the others time.
        $logs = $this->letters === 16 ? [] : ['performance' => 'ALL'];
        $wanted->setCapability('goog:loggingPrefs', ['browser' => 'ALL', ...$logs]);

        return $wanted;
    }

    public function close(): void
    {
        if ($this->isUsual && self::$usual !== null) {
            self::$usual['server'] = $this->server;
        } else {
            $this->pullThePlug();
        }
        $this->stopRack();
        foreach ($this->processes as $process) {
            self::end($process);
        }
        $this->processes = [];
        exec('rm -rf '.escapeshellarg($this->folder).($this->isUsual ? '/*' : ''));
        self::$usualTaken = self::$usualTaken && ! $this->isUsual;
    }

    /** A shop is laid out once for all tests, then copied. */
    private function layOutShop(): void
    {
        $ready = self::$ready[(int) $this->seeded] ?? null;
        if ($ready === null) {
            touch($this->database());
            $this->artisan('migrate --force --quiet');
            if ($this->seeded) {
                $this->artisan('db:seed --force --quiet');
            }
            $ready = self::$ready[(int) $this->seeded] = (string) tempnam(sys_get_temp_dir(), 'oldpart-fit-shop');
            copy($this->database(), $ready);
            register_shutdown_function(static fn (): bool => @unlink($ready));

            return;
        }
        copy($ready, $this->database());
    }

    /** @return array<string, string> */
    private function env(): array
    {
        return [
            'DB_DATABASE' => $this->database(),
            'PHOTO_DIR' => $this->folder.'/photos',
            'BACKUP_DIR' => $this->folder.'/backups',
            'GAUGE_PORT' => (string) $this->gaugePort,
            'APP_ENV' => 'local',
            'APP_DEBUG' => 'false',
            // Not as the tests of the application have it: a sitting outlives a request.
            'SESSION_DRIVER' => 'file',
            ...$this->env,
        ];
    }

    /** What it printed. */
    public function artisan(string $command): string
    {
        $env = implode(
            ' ',
            array_map(
                static fn (string $k, string $v): string => $k.'='.escapeshellarg($v),
                array_keys($this->env()),
                $this->env(),
            ),
        );
        exec("{$env} php artisan {$command} 2>&1", $out, $code);
        if ($code !== 0) {
            throw new \RuntimeException(implode("\n", $out));
        }

        return implode("\n", $out);
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $env
     * @return resource
     */
    private function spawn(array $command, array $env)
    {
        $log = ['file', $this->folder.'/log', 'a'];
        // A group of its own, so that its workers end with it.
        $process = proc_open(
            ['setsid', ...$command],
            [['file', '/dev/null', 'r'], $log, $log],
            $pipes,
            null,
            $env + getenv(),
        );
        if (! is_resource($process)) {
            throw new \RuntimeException('Could not start '.$command[0]);
        }

        return $process;
    }

    /** @param  resource  $process */
    private static function end($process): void
    {
        $pid = proc_get_status($process)['pid'];
        exec("kill -- -{$pid} 2>/dev/null; kill {$pid} 2>/dev/null");
        proc_close($process);
    }

    private static function compiled(): string
    {
        $folder = sys_get_temp_dir().'/oldpart-fit-compiled';
        is_dir($folder) || @mkdir($folder, 0700);

        return $folder;
    }

    /** @return array{folder: string, port: int, gaugePort: int, server: resource|null} */
    private static function usual(): array
    {
        if (self::$usual === null) {
            do {
                // Not among those that are given out, so that nobody has it between two tests.
                $port = random_int(20_000, 29_999);
            } while (! self::isFree($port));
            self::$usual = ['folder' => self::newFolder(), 'port' => $port, 'gaugePort' => self::freePort(), 'server' => null];
            register_shutdown_function(static function (): void {
                ['server' => $server, 'folder' => $folder] = self::$usual ?? ['server' => null, 'folder' => ''];
                $server === null || self::end($server);
                $folder === '' || exec('rm -rf '.escapeshellarg($folder));
            });
        }

        return self::$usual;
    }

    private static function newFolder(): string
    {
        $folder = sys_get_temp_dir().'/oldpart-fit-'.bin2hex(random_bytes(4));
        mkdir($folder, 0777, true);

        return $folder;
    }

    private static function isFree(int $port): bool
    {
        $socket = @stream_socket_server("tcp://127.0.0.1:{$port}");

        return $socket !== false && fclose($socket);
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if ($socket === false) {
            throw new \RuntimeException('No free port.');
        }
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }

    private static function waitFor(int $port): void
    {
        for ($i = 0; $i < 200; $i++) {
            $socket = @fsockopen('127.0.0.1', $port, $code, $message, 0.2);
            if ($socket !== false) {
                fclose($socket);

                return;
            }
            usleep(50_000);
        }
        throw new \RuntimeException("Nothing answers on port {$port}.");
    }
}
