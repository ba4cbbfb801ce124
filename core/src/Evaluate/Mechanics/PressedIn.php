<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\PushFacts;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Facts\SurfaceFacts;

/** Whether two parts are pressed together here, when that was done, and what was read since. */
final class PressedIn
{
    /** One of the two is made or bought. What was found together is in already. */
    public static function isHere(JobFacts $facts, SizedJoint $press): bool
    {
        $bought = array_filter(
            [$facts->surface($press->joint->inner), $facts->surface($press->joint->outer)],
            static fn (?SurfaceFacts $s): bool => $s !== null && $facts->partOf($s)->origin === Origin::Bought,
        );

        return $press->make !== null || $bought !== [];
    }

    /** By the force that was logged or the step that was ticked, in seconds; null: not yet. */
    public static function at(JobFacts $facts, SizedJoint $press): ?int
    {
        $steps = ['press', 'in:'.$facts->surface($press->joint->inner)?->part];
        $times = array_map(static fn (PushFacts $p): ?string => $p->at, $facts->pushesOf($press->joint->id));
        foreach ($facts->ticks as $tick) {
            if (! $tick->failed && in_array($tick->code, $steps, true)) {
                $times[] = $tick->at;
            }
        }
        // Of what nobody knows when it was done, what was read may have been read before.
        $done = array_map(static fn (?string $at): int => self::seconds($at) ?? PHP_INT_MAX, $times);

        return $done === [] ? null : max($done);
    }

    /** Whether a surface was read after it was pressed in; not, where nobody knows when. */
    public static function isReadSince(JobFacts $facts, SizedJoint $press, string $surface): bool
    {
        $taken = array_map(
            static fn (ReadingFacts $r): int => self::seconds($r->takenAt) ?? 0,
            $facts->readingsOf($surface),
        );
        $at = self::at($facts, $press);

        return $at !== null && $at < max([0, ...$taken]);
    }

    private static function seconds(?string $at): ?int
    {
        return $at === null ? null : (strtotime($at) ?: null);
    }
}
