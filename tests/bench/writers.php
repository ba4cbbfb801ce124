<?php

declare(strict_types=1);

// Eight people write at once, each into a job of their own; wanted: under 1 % refused. Usage: writers.php [SECONDS]
// [WRITERS]

use Tests\Browser\Rig;

require __DIR__.'/../../vendor/autoload.php';
chdir(__DIR__.'/../..');
$seconds = (float) ($argv[1] ?? 30);
$writers = (int) ($argv[2] ?? 8);

$send = static function (string $method, string $url, array $body): array {
    $context = stream_context_create([
        'http' => [
            'method' => $method,
            'header' => "Content-Type: application/json\r\nConnection: close",
            'content' => (string) json_encode($body),
            'ignore_errors' => true,
            'timeout' => 30,
        ],
    ]);
    $text = @file_get_contents($url, false, $context);
    preg_match('/ (\d{3}) /', $http_response_header[0] ?? '', $m);

    return [(int) ($m[1] ?? 0), $text === false ? [] : json_decode($text, true) ?? []];
};
$rig = new Rig(false);
try {
    $pipes = [];
    for ($i = 0; $i < $writers; $i++) {
        $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0);
        assert($pair !== false);
        $pid = pcntl_fork();
        if ($pid === 0) {
            fclose($pair[0]);
            [, $state] = $send('POST', "{$rig->url}/api/jobs", [
                'id' => "job-{$i}",
                'kind' => 'plain-bush',
                'machine' => "Writer {$i}",
                'part' => 'Bush',
                'unit' => 'mm',
            ]);
            $surface = $state['facts']['surfaces'][0]['id'] ?? '';
            $version = $state['version'] ?? 1;
            $counts = ['sent' => 0, 'stored' => 0, 'refused' => [], 'slowest' => 0.0];
            $end = microtime(true) + $seconds;
            while (microtime(true) < $end) {
                $n = ++$counts['sent'];
                $begun = microtime(true);
                [$status, $answer] = $send('PUT', "{$rig->url}/api/jobs/job-{$i}/readings/w{$i}-{$n}", [
                    'version' => $version,
                    'request' => "w{$i}-{$n}",
                    'fact' => [
                        'surface' => $surface,
                        'station' => 'mouth',
                        'angle' => '0',
                        'value' => ['typed' => number_format(30 + $n / 10000, 4), 'unit' => 'mm'],
                        'instrument' => 'three-point',
                    ],
                ]);
                $counts['slowest'] = max($counts['slowest'], microtime(true) - $begun);
                if ($status === 200) {
                    $counts['stored']++;
                    $version = $answer['version'];
                } else {
                    $counts['refused'][$status] = ($counts['refused'][$status] ?? 0) + 1;
                }
            }
            fwrite($pair[1], serialize($counts));
            fclose($pair[1]);
            // Not through the shutdown of the parent: the rig is its own.
            posix_kill(getmypid() ?: 0, SIGKILL);
        }
        fclose($pair[1]);
        $pipes[$pid] = $pair[0];
    }
    $sent = $stored = 0;
    $slowest = 0.0;
    $refused = [];
    foreach ($pipes as $pid => $pipe) {
        /** @var array{sent: int, stored: int, refused: array<int, int>, slowest: float} $counts */
        $counts = unserialize((string) stream_get_contents($pipe));
        pcntl_waitpid($pid, $status);
        $sent += $counts['sent'];
        $stored += $counts['stored'];
        $slowest = max($slowest, $counts['slowest']);
        foreach ($counts['refused'] as $code => $n) {
            $refused[$code] = ($refused[$code] ?? 0) + $n;
        }
    }
    $kept = 0;
    for ($i = 0; $i < $writers; $i++) {
        $kept += count(
            json_decode((string) file_get_contents("{$rig->url}/api/jobs/job-{$i}"), true)['facts']['readings'] ?? [],
        );
    }
} finally {
    $rig->close();
}
$share = $sent === 0 ? 1.0 : 1 - $stored / $sent;
printf(
    "%d writers for %.0f s: %d sent, %d stored, %.2f %% refused (%s), slowest %.1f s, wanted under 1 %%; %d of the stored are there\n",
    $writers,
    $seconds,
    $sent,
    $stored,
    100 * $share,
    json_encode($refused),
    $slowest,
    $kept,
);
exit($share < 0.01 && $kept >= $stored ? 0 : 1);
