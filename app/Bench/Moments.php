<?php

declare(strict_types=1);

namespace App\Bench;

use Oldpart\Core\Advice\BadInput;

/** What was done was done before now. The clocks of two devices may be a day apart. */
final class Moments
{
    private const APART = '+1 day';

    /** What is in a change and says when something was done. */
    private const DONE = ['taken_at', 'at', 'finished_at'];

    /**
     * @param  array<array-key, mixed>  $fact
     *
     * @throws BadInput for something done in a time to come
     */
    public static function refuseFuture(array $fact, string $path = ''): void
    {
        foreach ($fact as $field => $value) {
            $here = $path === '' ? (string) $field : "{$path}.{$field}";
            if (
                (is_array($value) && in_array($field, ['hand_over', 'take_in', 'acceptances'], true))
                || (is_array($value) && is_int($field))
            ) {
                self::refuseFuture($value, $here);
            } elseif (in_array($field, self::DONE, true) && is_string($value)) {
                self::refuse($value, $here);
            }
        }
    }

    /** @throws BadInput */
    public static function refuse(string $moment, string $field): void
    {
        try {
            $when = new \DateTimeImmutable($moment);
        } catch (\Exception) {
            throw new BadInput('time', $field, "“{$moment}” is no moment there is. Write it as 2026-11-24T09:30:00Z.");
        }
        if ($when > now()->toDateTimeImmutable()->modify(self::APART)) {
            throw new BadInput(
                'future',
                $field,
                "“{$moment}” has not come yet, and what was done was done before now. Check the year, and the clock of this device.",
            );
        }
    }
}
