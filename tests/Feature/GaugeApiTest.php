<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gauges\LineGauge;

/** The gauges over HTTP: what is there, what one shows, and what happens when none answers. */
final class GaugeApiTest extends FeatureTestCase
{
    public function test_the_rack_is_listed(): void
    {
        $gauges = $this->api('GET', '/api/gauges', null, 200)['gauges'];
        foreach (
            [
                'calliper',
                'outside-micrometer',
                'telescoping',
                'three-point',
                'dial-indicator',
                'height-gauge',
                'thermometer',
            ] as $code
        ) {
            self::assertContains($code, array_column($gauges, 'code'));
        }
    }

    public function test_a_silent_gauge_says_so(): void
    {
        $this->app?->instance(LineGauge::class, new LineGauge('tcp://127.0.0.1:1'));
        $error = $this->api('GET', '/api/gauges/calliper', null, 503)['error'];
        self::assertSame('gauge-silent', $error['code']);
        self::assertSame('unknown-gauge', $this->api('GET', '/api/gauges/yardstick', null, 422)['error']['code']);
    }

    /** A small server that answers with a line in two pieces, as a slow serial line does. */
    public function test_a_line_in_pieces_is_one_reading(): void
    {
        $server = stream_socket_server('tcp://127.0.0.1:0');
        self::assertNotFalse($server);
        $address = 'tcp://'.stream_socket_get_name($server, false);
        $child = pcntl_fork();
        if ($child === 0) {
            $client = stream_socket_accept($server, 5);
            if ($client !== false) {
                fgets($client);
                fwrite($client, "BAT LOW\r\n+00028.5");
                usleep(50_000);
                fwrite($client, "71 mm\r\n");
                fclose($client);
            }
            posix_kill(getmypid() ?: 0, SIGKILL);
        }
        $this->app?->instance(LineGauge::class, new LineGauge($address));
        $reading = $this->api('GET', '/api/gauges/three-point?along=0.5&angle=90', null, 200);
        pcntl_waitpid($child, $status);
        self::assertSame(['28.571', 'mm', null], [$reading['typed'], $reading['unit'], $reading['celsius']]);
    }

    public function test_a_line_from_the_browsers_own_gauge(): void
    {
        self::assertSame(
            '28.571',
            $this->api('POST', '/api/gauges/line', ['text' => '+00028.571 mm', 'unit' => 'in'], 200)['typed'],
        );
        self::assertSame(
            '1.1247',
            $this->api('POST', '/api/gauges/line', ['text' => "01A+1.1247\r", 'unit' => 'in'], 200)['shown']['in'],
        );
        self::assertSame(
            'no-reading',
            $this->api('POST', '/api/gauges/line', ['text' => 'ERR 3', 'unit' => 'mm'], 422)['error']['code'],
        );
    }
}
