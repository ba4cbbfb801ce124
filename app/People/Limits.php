<?php

declare(strict_types=1);

namespace App\People;

use App\Bench\FactList;
use App\Change\FactChange;

/** What of a job's changes needs somebody who can answer for it: acceptance, decisions, and taking things away. */
final class Limits
{
    /** Of a thing that is signed: what says that it was done anew. */
    private const DONE = ['value', 'after', 'dialled', 'depth', 'force_n', 'seen', 'amount', 'turn', 'failed'];

    /**
     * @param  list<FactChange>  $changes
     *
     * @throws NotYours
     */
    public static function check(array $changes): void
    {
        foreach ($changes as $change) {
            if (self::needsAnswer($change)) {
                Here::refuseUnless(Act::Answer);
            }
        }
    }

    private static function needsAnswer(FactChange $change): bool
    {
        return match (true) {
            $change->list === null => isset($change->fact['take_in']) && is_array($change->fact['take_in'])
                && array_key_exists('acceptances', $change->fact['take_in']),
            $change->list === FactList::Concessions => true,
            // A tick is taken back by the next tap; nothing goes with it.
            $change->fact === null => $change->list !== FactList::Ticks,
            default => false,
        };
    }

    /**
     * What was done or decided carries the name that is signed in, whatever was typed; nobody's where nobody signs in.
     *
     * @param  array<string, mixed>|null  $before
     * @param  array<string, mixed>  $new
     * @return array<string, mixed>
     */
    public static function signed(FactList $list, ?array $before, array $new): array
    {
        $name = Here::name();
        if ($list === FactList::Concessions) {
            return $name === null ? $new : [...$new, 'by' => $name];
        }
        if (! $list->isSigned()) {
            return $new;
        }
        $same = $before !== null;
        foreach (self::DONE as $field) {
            $same = $same && self::typed($before[$field] ?? null) === self::typed($new[$field] ?? null);
        }

        return [...$new, 'by' => $same ? $before['by'] ?? null : $name];
    }

    /**
     * An acceptance of responsibility that was not there before is by whoever is signed in.
     *
     * @param  array<string, mixed>  $job
     * @param  array<string, mixed>  $fact
     * @return array<string, mixed>
     */
    public static function signedHead(array $job, array $fact): array
    {
        $name = Here::name();
        $given = is_array($fact['take_in'] ?? null) ? $fact['take_in']['acceptances'] ?? null : null;
        if ($name === null || ! is_array($given)) {
            return $fact;
        }
        $there = is_array($job['take_in'] ?? null) && is_array($job['take_in']['acceptances'] ?? null) ? $job['take_in']['acceptances'] : [];
        foreach ($given as $i => $one) {
            if (is_array($one) && ! in_array($one, $there, false)) {
                $given[$i] = [...$one, 'by' => $name];
            }
        }

        return [...$fact, 'take_in' => [...$fact['take_in'], 'acceptances' => $given]];
    }

    private static function typed(mixed $value): mixed
    {
        return is_array($value) ? [$value['typed'] ?? null, $value['unit'] ?? null] : $value;
    }
}
