<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Oldpart\Core\Gauge\Rack;

/** Serves the simulated rack on a local port, a line of text for each reading, as a real line-based gauge would. */
final class GaugesRackCommand extends Command
{
    protected $signature = 'gauges:rack {--port= : on which port of this machine} {--seed=1 : for the same errors again} {--parent= : ends with the process of this number}';

    protected $description = 'Serves the simulated gauges over a local TCP port';

    /** A client that sends nothing for so long is let go, seconds. */
    private const PATIENCE = 30;

    public function handle(): int
    {
        $port = $this->option('port') ?? config('shop.gauge_port');
        $server = is_numeric($port) ? @stream_socket_server("tcp://127.0.0.1:{$port}", $code, $message) : false;
        if ($server === false) {
            $this->error(
                'The rack can’t be served on port '.
                    (is_scalar($port) ? $port : '').
                    ': it is in use or not a port. Try another one: --port=7791',
            );

            return self::FAILURE;
        }
        $seed = $this->option('seed');
        $rack = new Rack(is_numeric($seed) ? (int) $seed : 1);
        $this->info("The simulated gauges are at 127.0.0.1:{$port} (stop them with Ctrl C)");
        /** @var array<int, resource> $clients */
        $clients = [];
        /** @var array<int, array{string, float}> $state what came of a line so far, and when it was heard last */
        $state = [];
        $parent = $this->option('parent');
        $parent = is_numeric($parent) ? (int) $parent : null;
        // Whoever started it may be killed without a chance to end it.
        while ($parent === null || ! function_exists('posix_kill') || posix_kill($parent, 0)) {
            $read = [$server, ...$clients];
            $write = $except = null;
            if (@stream_select($read, $write, $except, 1) === false) {
                continue;
            }
            foreach ($read as $socket) {
                if ($socket === $server) {
                    $client = @stream_socket_accept($server, 0);
                    if ($client !== false) {
                        stream_set_blocking($client, false);
                        $clients[(int) $client] = $client;
                        $state[(int) $client] = ['', microtime(true)];
                    }

                    continue;
                }
                $piece = fread($socket, 512);
                if ($piece === false || $piece === '') {
                    fclose($socket);
                    unset($clients[(int) $socket], $state[(int) $socket]);

                    continue;
                }
                $lines = explode("\n", $state[(int) $socket][0].$piece);
                $state[(int) $socket] = [substr((string) array_pop($lines), -200), microtime(true)];
                foreach ($lines as $line) {
                    @fwrite($socket, ($rack->answer($line) ?? '?')."\r\n");
                }
            }
            foreach ($clients as $id => $client) {
                if (microtime(true) - $state[$id][1] > self::PATIENCE) {
                    fclose($client);
                    unset($clients[$id], $state[$id]);
                }
            }
        }

        return self::SUCCESS;
    }
}
