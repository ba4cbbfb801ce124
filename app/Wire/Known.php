<?php

declare(strict_types=1);

namespace App\Wire;

use App\Bench\Sender;
use Illuminate\Support\Facades\Cache;

/**
 * What a browser was sent of a job last, as marks only: so that what did not change is not sent again. It may be lost at any time;
 * everything is sent then.
 *
 * @phpstan-type Marks array{whole: array<string, string>, lists: array<string, array<string, string>>}
 */
final class Known
{
    /** A browser may have asked twice before it heard: of so many answers the marks are kept. */
    private const KEPT = 4;

    private const HOURS = 12;

    /** @return ?array{facts: Marks, answers: Marks} */
    public static function byTag(string $job, ?string $tag): ?array
    {
        return $tag === null || $tag === '' ? null : (self::all($job)[$tag] ?? null);
    }

    /** @param  array{facts: Marks, answers: Marks}  $marks */
    public static function keep(string $job, string $tag, array $marks): void
    {
        $all = self::all($job);
        if (! isset($all[$tag])) {
            // Where it can't be kept, everything is sent the next time.
            rescue(
                static fn () => Cache::put(
                    self::key($job),
                    array_slice([...$all, $tag => $marks], -self::KEPT, null, true),
                    now()->addHours(self::HOURS),
                ),
                report: false,
            );
        }
    }

    /** @return array<string, array{facts: Marks, answers: Marks}> */
    private static function all(string $job): array
    {
        $all = rescue(static fn () => Cache::get(self::key($job)), report: false);

        /** @var array<string, array{facts: Marks, answers: Marks}> */
        return is_array($all) ? $all : [];
    }

    private static function key(string $job): string
    {
        return 'known:'.$job.':'.(Sender::name() ?? '');
    }
}
