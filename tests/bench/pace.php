<?php

declare(strict_types=1);

use Oldpart\Core\Quantity\Range;

/** What pace() takes on the machine the figures were wanted on, when it is quiet. */
const QUIET_MS = 3.0;

/**
 * How slow the machine is at the moment, against what the figures were wanted on: 1 when it is quiet, 2 when the same
 * work takes it twice as long. Machines that others use too change their pace from one second to the next.
 */
function pace(): float
{
    $start = hrtime(true);
    for ($round = 0; $round < 5; $round++) {
        $things = [];
        for ($i = 0; $i < 400; $i++) {
            $things["k{$i}"] = new Range(sqrt($i) / 7, sqrt($i) + $round);
        }
        uasort($things, static fn (Range $a, Range $b): int => $a->middle() <=> $b->middle());
        strtr(json_encode(array_map(static fn (Range $r): string => number_format($r->width(), 4), $things)) ?: '', [
            '0.' => '.',
        ]);
    }

    return max(1.0, (hrtime(true) - $start) / 1e6 / QUIET_MS);
}
