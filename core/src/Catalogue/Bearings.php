<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

use Oldpart\Core\Advice\BadInput;

/** Boundary sizes of rolling bearings (data/bearings.json). */
final class Bearings
{
    /** @return list<Bearing> */
    public static function all(): array
    {
        /** @var list<array{string, string, float, float, float, ?float, ?float}> $rows */
        $rows = Table::rows('bearings');

        return Table::once(self::class, static fn (): array => array_map(
            static fn (array $r): Bearing => new Bearing(
                designation: $r[0],
                series: $r[1],
                boreMm: (float) $r[2],
                outsideMm: (float) $r[3],
                widthMm: (float) $r[4],
                chamferMinMm: $r[5] === null ? null : (float) $r[5],
                shieldedWidthMm: $r[6] === null ? null : (float) $r[6],
            ),
            $rows,
        ));
    }

    /**
     * By what is stamped on it: its number, then what BearingStamp understands (`6204-2RS C3`, `R8ZZ`, `6203-5/8`);
     * `SS`, `S` and `W` before it are stainless.
     *
     * @throws BadInput when the table has no such bearing, or a suffix may change its sizes
     */
    public static function named(string $designation, string $field = 'designation'): Bearing
    {
        $stamped = preg_replace('~\s+~', ' ', mb_strtoupper(trim($designation))) ?? '';
        $bare = preg_replace('~^(?:SS|S|W) ?(?=[R6])~', '', $stamped) ?? $stamped;
        $found = null;
        foreach (self::all() as $bearing) {
            // A longer number that begins alike is another bearing: R4A is no R4, 62/22 no 62.
            if (
                preg_match('~^'.preg_quote($bearing->designation, '~').'(?!\d)(.*)$~', $bare, $m) === 1
                && ($found === null || strlen($bearing->designation) > strlen($found[0]->designation))
            ) {
                $found = [$bearing, $m[1]];
            }
        }
        if ($found === null) {
            throw new BadInput(
                'unknown-bearing',
                $field,
                "“{$designation}” is not in the bearing table. Give its bore, outside and width instead.",
            );
        }

        return $found[0]->with(BearingStamp::read($found[1], $found[0], $stamped, $field));
    }

    /**
     * Which bearing this was: those whose sizes are within reach of the ones measured, nearest first.
     *
     * @param  ?float  $boreMm  measured, or null where it can't be
     * @param  float  $withinMm  how far each may be off, above 0
     * @return list<Bearing>
     *
     * @throws BadInput when nothing is given to find it by
     */
    public static function like(?float $boreMm, ?float $outsideMm, ?float $widthMm, float $withinMm): array
    {
        $given = array_filter(
            ['boreMm' => $boreMm, 'outsideMm' => $outsideMm, 'widthMm' => $widthMm],
            static fn (?float $mm): bool => $mm !== null,
        );
        if ($given === []) {
            throw new BadInput('nothing-given', 'bore_mm', 'Give at least one of bore, outside and width.');
        }
        if (
            array_filter($given, static fn (float $mm): bool => ! is_finite($mm) || $mm <= 0) !== []
            || ! is_finite($withinMm)
            || $withinMm <= 0
        ) {
            throw new BadInput('out-of-range', 'bore_mm', 'Sizes of a bearing are above zero.');
        }
        $off = static fn (Bearing $b): float => max(
            array_map(
                static fn (string $which, float $mm): float => abs($b->{$which} - $mm),
                array_keys($given),
                $given,
            ),
        );
        $found = [];
        foreach (self::all() as $bearing) {
            $either = array_values(
                array_filter([$bearing, $bearing->shielded()], static fn (Bearing $b): bool => $off($b) <= $withinMm),
            );
            usort($either, static fn (Bearing $a, Bearing $b): int => $off($a) <=> $off($b));
            array_push($found, ...array_slice($either, 0, 1));
        }
        usort($found, static fn (Bearing $a, Bearing $b): int => $off($a) <=> $off($b));

        return $found;
    }
}
