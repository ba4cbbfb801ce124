<?php

declare(strict_types=1);

namespace Oldpart\Core\Gauge;

use Oldpart\Core\Quantity\Unit;

/**
 * Puts the pieces that arrive together to lines, whatever ends them, and reads each; half a line waits for its rest.
 */
final class LineReader
{
    /** More than this without an end of line is no gauge. */
    private const LONGEST = 200;

    private string $rest = '';

    public function __construct(private readonly Unit $unit = Unit::Millimetre)
    {
    }

    /** @return list<GaugeLine> the readings completed by this piece, in order; lines without one are passed over */
    public function feed(string $piece): array
    {
        $this->rest .= $piece;
        $lines = preg_split('/\r\n|\r(?!$)|\n/', $this->rest) ?: [''];
        $this->rest = (string) array_pop($lines);
        // A lone return at the end may be the first half of a line end.
        if (str_ends_with($this->rest, "\r")) {
            $lines[] = substr($this->rest, 0, -1);
            $this->rest = '';
        }
        if (strlen($this->rest) > self::LONGEST) {
            $this->rest = '';
        }
        $readings = [];
        foreach ($lines as $line) {
            $reading = GaugeLine::read($line, $this->unit);
            if ($reading !== null) {
                $readings[] = $reading;
            }
        }

        return $readings;
    }
}
