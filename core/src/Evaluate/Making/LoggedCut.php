<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\JobFacts;

/** A cut is logged where it counts: on a surface that has a line on the make card. */
final class LoggedCut
{
    /**
     * @param  list<MakeEntry>  $make
     *
     * @throws BadInput for a surface that is not made, or whose number is not its size
     */
    public static function check(JobFacts $facts, array $make, string $cut): void
    {
        foreach ($facts->cuts as $one) {
            if ($one->id !== $cut) {
                continue;
            }
            foreach ($make as $entry) {
                if ($entry->surface->id === $one->surface) {
                    return;
                }
            }
            $name = $facts->surface($one->surface)->name ?? $one->surface;
            throw new BadInput(
                'no-number',
                'surface',
                "“{$name}” has no number to cut to: it is on a part that stays, or it is a shape. Log the cut on a surface of the made part; give that a size at Survey where it has none.",
            );
        }
    }
}
