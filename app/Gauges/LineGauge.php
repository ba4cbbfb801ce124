<?php

declare(strict_types=1);

namespace App\Gauges;

use Oldpart\Core\Gauge\GaugeLine;
use Oldpart\Core\Gauge\LineReader;
use Oldpart\Core\Quantity\Unit;

/** Any gauge that speaks lines of text over a socket: asks for a reading and waits for the line. */
final class LineGauge
{
    /** How long a gauge may take to answer, seconds. */
    private const PATIENCE = 1.0;

    public function __construct(private readonly string $address, private readonly Unit $unit = Unit::Millimetre)
    {
    }

    /**
     * The next reading after the request; what was sent before it is not taken for an answer.
     *
     * @throws GaugeSilent when it does not answer, or with something that is no reading
     */
    public function ask(string $request): GaugeLine
    {
        $socket = @stream_socket_client($this->address, $code, $message, self::PATIENCE);
        if ($socket === false) {
            throw new GaugeSilent('The gauge does not answer. Is it switched on? It is tried again.');
        }
        try {
            stream_set_timeout($socket, 0, (int) (self::PATIENCE * 1_000_000));
            fwrite($socket, $request."\n");
            $reader = new LineReader($this->unit);
            $until = microtime(true) + self::PATIENCE;
            while (microtime(true) < $until && ! feof($socket)) {
                $piece = fread($socket, 256);
                $readings = $piece === false || $piece === '' ? [] : $reader->feed($piece);
                if ($readings !== []) {
                    return $readings[0];
                }
            }
        } finally {
            fclose($socket);
        }
        throw new GaugeSilent('The gauge answers, but not with a reading. Look at its display.');
    }
}
