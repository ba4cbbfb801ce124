<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** bin/start --network as a tablet in the shop meets it: TLS by the shop's own certificate, names, PINs, nothing else. */
final class NetworkTest extends TestCase
{
    private const PIN = '482915';

    private static string $folder;

    private static int $port;

    /** @var resource */
    private static $running;

    private static string $log;

    public static function setUpBeforeClass(): void
    {
        self::$folder = sys_get_temp_dir().'/oldpart-net-'.bin2hex(random_bytes(4));
        mkdir(self::$folder.'/photos', 0777, true);
        do {
            // Not among those that are given out: whoever asks whether one of those is open may be given it, and meet itself.
            self::$port = random_int(20_000, 29_998);
        } while (self::isOpen(self::$port) || self::isOpen(self::$port + 1));
        self::$log = self::$folder.'/said';
        self::start();
    }

    public static function tearDownAfterClass(): void
    {
        self::end();
        exec('rm -rf '.escapeshellarg(self::$folder));
    }

    private static function start(string ...$options): void
    {
        file_put_contents(self::$log, '');
        $process = proc_open(
            ['bin/start', '--network', '--empty', '--port', (string) self::$port, ...$options],
            [['file', '/dev/null', 'r'], ['file', self::$log, 'a'], ['file', self::$log, 'a']],
            $pipes,
            dirname(__DIR__, 2),
            [
                'DB_DATABASE' => self::$folder.'/shop.sqlite',
                'PHOTO_DIR' => self::$folder.'/photos',
                'BACKUP_DIR' => self::$folder.'/backups',
                'SHOP_COPIES' => self::$folder.'/copies',
                'TLS_DIR' => self::$folder.'/tls',
                'NETWORK_DIR' => self::$folder.'/network',
                'GAUGE_PORT' => '0',
                'APP_ENV' => 'local',
                'PATH' => (string) getenv('PATH'),
                'HOME' => (string) getenv('HOME'),
            ],
        );
        self::assertIsResource($process);
        self::$running = $process;
        for ($i = 0; $i < 600; $i++) {
            $serves = str_contains(self::said(), 'is on the network') && self::isOpen(self::$port);
            if ($serves || ! proc_get_status($process)['running']) {
                break;
            }
            usleep(100_000);
        }
        self::assertTrue(self::isOpen(self::$port), self::said());
    }

    private static function end(): void
    {
        if (! is_resource(self::$running)) {
            return;
        }
        proc_terminate(self::$running, SIGINT);
        for ($i = 0; $i < 150 && proc_get_status(self::$running)['running']; $i++) {
            usleep(100_000);
            // Nothing waits for it for ever.
            $i !== 100 || proc_terminate(self::$running, SIGKILL);
        }
        proc_close(self::$running);
    }

    private static function said(): string
    {
        return (string) file_get_contents(self::$log);
    }

    private static function isOpen(int $port): bool
    {
        $socket = @fsockopen('127.0.0.1', $port, $e, $s, 0.5);

        return $socket !== false && fclose($socket);
    }

    /**
     * As a device that trusts the shop's certificate and nothing else.
     *
     * @param  array<string, mixed>|null  $body
     * @param  list<string>  $headers
     * @return array{int, string, string} status, headers, body
     */
    private static function ask(string $path, ?array $body = null, array $headers = [], string $host = 'localhost'): array
    {
        $curl = curl_init("https://{$host}:".self::$port.$path);
        self::assertNotFalse($curl);
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HEADER => true,
            CURLOPT_CAINFO => self::$folder.'/tls/ca.crt',
            CURLOPT_RESOLVE => ["{$host}:".self::$port.':127.0.0.1'],
            CURLOPT_COOKIEFILE => self::$folder.'/cookies',
            CURLOPT_COOKIEJAR => self::$folder.'/cookies',
            CURLOPT_TIMEOUT => 20,
            CURLOPT_HTTPHEADER => [...$body === null ? [] : ['Content-Type: application/json'], ...$headers],
        ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => (string) json_encode($body)]));
        $answer = curl_exec($curl);
        $size = curl_getinfo($curl, CURLINFO_HEADER_SIZE);
        $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        $wrong = curl_error($curl);
        unset($curl);

        return is_string($answer) ? [$status, substr($answer, 0, $size), substr($answer, $size)] : [0, $wrong, ''];
    }

    public function test_the_owner_gets_a_code_and_signs_in_over_the_shops_own_certificate(): void
    {
        self::assertMatchesRegularExpression('/Owner chooses a PIN with this code, once, within seven days: ([A-Z2-9]{5}-[A-Z2-9]{5})/', self::said());
        preg_match('/: ([A-Z2-9]{5}-[A-Z2-9]{5})/', self::said(), $code);
        [$status, $headers, $page] = self::ask('/');
        self::assertSame(200, $status, $headers);
        self::assertStringContainsString("frame-ancestors 'none'", $headers);
        self::assertStringNotContainsStringIgnoringCase('x-powered-by', $headers);
        self::assertDoesNotMatchRegularExpression('/^server: nginx\/\d/im', $headers);
        self::assertStringContainsString('https://localhost:'.self::$port.'/build/assets/', $page);
        preg_match('~/build/assets/[^"]+\.js~', $page, $script);
        [$status, $headers] = self::ask($script[0] ?? '/none', null, ['Accept-Encoding: gzip']);
        self::assertSame(200, $status);
        self::assertStringContainsStringIgnoringCase('content-encoding: gzip', $headers);
        self::assertStringContainsStringIgnoringCase('immutable', $headers);
        [$status, $headers] = self::ask($script[0] ?? '/none', null, ['Accept-Encoding: gzip, br']);
        self::assertSame(200, $status);
        $tighter = is_file('/usr/lib/nginx/modules/ngx_http_brotli_static_module.so') ? 'br' : 'gzip';
        self::assertStringContainsStringIgnoringCase("content-encoding: {$tighter}", $headers);
        self::assertSame(401, self::ask('/api/jobs')[0]);
        $me = json_decode(self::ask('/api/me')[2], true);
        self::assertSame(['Owner'], array_column($me['people'], 'name'));
        [$status, $headers] = self::ask('/api/me/secret', ['person' => $me['people'][0]['id'], 'code' => $code[1], 'secret' => self::PIN]);
        self::assertSame(200, $status);
        $kept = (new \PDO('sqlite:'.self::$folder.'/shop.sqlite'))->query('SELECT secret FROM people')?->fetchColumn();
        self::assertSame(['bcrypt', 12], [password_get_info((string) $kept)['algoName'], password_get_info((string) $kept)['options']['cost']]);
        self::assertMatchesRegularExpression('/set-cookie: __Host-oldpart_fit=[^\n]*secure[^\n]*httponly[^\n]*samesite=strict/i', $headers);
        self::assertSame(200, self::ask('/api/jobs')[0]);
        $job = ['id' => 'net-1', 'kind' => 'plain-bush', 'machine' => 'Test rig', 'part' => 'Bush', 'unit' => 'mm'];
        self::assertSame(201, self::ask('/api/jobs', $job, ['Origin: https://localhost:'.self::$port, 'Sec-Fetch-Site: same-origin'])[0]);
        self::assertSame(403, self::ask('/api/jobs', ['id' => 'net-2', 'kind' => 'plain-bush', 'machine' => 'x', 'part' => 'y', 'unit' => 'mm'], ['Origin: https://evil.example'])[0]);
        self::assertSame(421, self::ask('/api/jobs', null, ['Host: evil.example'])[0]);
        // A file that is none of the page's is not to be had.
        foreach (['/../.env', '/.env', '/storage/app/tls/ca.key', '/index.php/../../.env', '/build/../../.env'] as $path) {
            [$status, , $got] = self::ask($path, null, []);
            self::assertStringNotContainsString('APP_KEY', $got, $path);
            self::assertStringNotContainsString('PRIVATE KEY', $got, $path);
        }
    }

    public function test_without_tls_there_is_the_certificate_and_the_way_alone(): void
    {
        $context = stream_context_create(['http' => ['follow_location' => 0, 'ignore_errors' => true]]);
        $plain = 'http://127.0.0.1:'.(self::$port + 1);
        $trust = (string) file_get_contents("{$plain}/trust.crt", false, $context);
        self::assertStringStartsWith('-----BEGIN CERTIFICATE', $trust);
        self::assertSame((string) file_get_contents(self::$folder.'/tls/ca.crt'), $trust);
        foreach (['/api/jobs', '/', '/api/me'] as $path) {
            $got = (string) file_get_contents($plain.$path, false, $context);
            /** @var list<string> $http_response_header */
            self::assertStringContainsString('301', $http_response_header[0]);
            self::assertStringNotContainsString('signs_in', $got);
        }
    }

    /** It can vouch for this shop alone: whoever steals it can't pass for another page. */
    public function test_the_authority_is_for_this_shops_names(): void
    {
        $dir = self::$folder.'/tls';
        foreach (['ca.key', 'site.key'] as $key) {
            self::assertSame('0600', substr(sprintf('%o', fileperms("{$dir}/{$key}")), -4));
        }
        self::assertSame('0700', substr(sprintf('%o', fileperms($dir)), -4));
        exec("openssl verify -CAfile {$dir}/ca.crt {$dir}/site.crt 2>&1", $said, $code);
        self::assertSame(0, $code, implode(' ', $said));
        exec("cd {$dir} && openssl req -new -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -subj /CN=x -keyout evil.key -out evil.csr 2>/dev/null && printf 'subjectAltName=DNS:bank.example' > evil.ext && openssl x509 -req -in evil.csr -CA ca.crt -CAkey ca.key -CAcreateserial -days 2 -extfile evil.ext -out evil.crt 2>/dev/null");
        exec("openssl verify -CAfile {$dir}/ca.crt {$dir}/evil.crt 2>&1", $refused, $code);
        self::assertNotSame(0, $code);
        self::assertStringContainsString('permitted subtree', implode(' ', $refused));
        $site = openssl_x509_parse((string) file_get_contents("{$dir}/site.crt"));
        self::assertIsArray($site);
        self::assertLessThan(398 * 86400, $site['validTo_time_t'] - $site['validFrom_time_t']);
    }

    public function test_old_ciphers_are_refused(): void
    {
        exec('openssl s_client -connect 127.0.0.1:'.self::$port.' -tls1_1 </dev/null 2>&1', $old);
        self::assertStringNotContainsString('Cipher is ECDHE', implode("\n", $old));
        exec('openssl s_client -connect 127.0.0.1:'.self::$port.' -tls1_3 </dev/null 2>&1', $new);
        self::assertStringContainsString('TLSv1.3', implode("\n", $new));
    }

    /** A server that is killed comes back, with who was signed in; at the end nothing is left of it. */
    public function test_it_comes_back_and_goes_away_whole(): void
    {
        $before = self::ask('/api/me');
        self::assertSame(200, $before[0]);
        [, $php, $web] = explode(' ', trim((string) file_get_contents(self::$folder.'/network/servers.pid')));
        posix_kill((int) $web, SIGKILL);
        for ($i = 0; $i < 80 && (! str_contains(self::said(), 'started anew') || self::ask('/api/me')[0] !== 200); $i++) {
            usleep(200_000);
        }
        self::assertSame($before[2], self::ask('/api/me')[2]);
        self::assertStringContainsString('started anew', self::said());
        self::end();
        self::assertFalse(self::isOpen(self::$port) || self::isOpen(self::$port + 1));
        self::assertFalse(posix_kill((int) $php, 0));
        self::assertNotEmpty(glob(self::$folder.'/backups/*.zip') ?: [], 'backed up on leaving');
        // A new name needs a new authority, and it is said.
        self::start('--name', 'fit.shop.example');
        self::assertStringContainsString('trust its certificate anew', self::said());
        // On a busy machine the port may be open a moment before the one who answers is.
        for ($i = 0; $i < 25 && ($answer = self::ask('/api/me', null, [], 'fit.shop.example'))[0] === 0; $i++) {
            usleep(200_000);
        }
        self::assertSame(200, $answer[0], $answer[1].self::said());
        self::assertStringNotContainsString('chooses a PIN', self::said(), 'the owner has one');
    }
}
