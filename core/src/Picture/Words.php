<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** A range of clearance in the words of the shop. */
final class Words
{
    /** @param  Range  $clearanceMm positive for a gap, negative for interference */
    public static function range(Range $clearanceMm): Say
    {
        $bare = static fn (float $mm): Say => LengthWriter::size(abs($mm));

        return match (true) {
            $clearanceMm->max <= 0 => Say::with('{a} to {b} tight', [
                'a' => $bare($clearanceMm->max),
                'b' => $bare($clearanceMm->min),
            ]),
            $clearanceMm->min >= 0 => Say::with('{a} to {b} clear', [
                'a' => $bare($clearanceMm->min),
                'b' => $bare($clearanceMm->max),
            ]),
            default => Say::with('{a} tight to {b} clear', [
                'a' => $bare($clearanceMm->min),
                'b' => $bare($clearanceMm->max),
            ]),
        };
    }
}
