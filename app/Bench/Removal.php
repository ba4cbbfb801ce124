<?php

declare(strict_types=1);

namespace App\Bench;

use Oldpart\Core\Advice\BadInput;

/**
 * What goes when a thing is taken away: a part with its surfaces, a surface with its joints; what is on record stays.
 */
final class Removal
{
    /**
     * @param  array<string, mixed>  $job
     * @return list<array{FactList, string, array<string, mixed>, array<string, mixed>|null}> list, id, the thing before, what stays of it
     *
     * @throws BadInput when readings or cuts hang on it, or it is not there
     */
    public static function of(array $job, FactList $list, string $thing): array
    {
        if ($list->isRecord()) {
            throw new BadInput(
                'kept',
                $list->value,
                $list === FactList::Mistakes
                    ? 'What was found wrong is kept for the record. Where it was right after all, find the new number wrong in its turn, or undo.'
                    : 'This is kept for the record. Set it aside with a reason instead.',
            );
        }
        $before =
            self::rows($job, $list)[$thing] ??
            throw new BadInput('gone', $list->value, 'This is not in the job any more.');
        $surfaces = match ($list) {
            FactList::Parts => array_filter(
                self::rows($job, FactList::Surfaces),
                static fn (array $s): bool => $s['part'] === $thing,
            ),
            FactList::Surfaces => [$thing => $before],
            default => [],
        };
        $steps = [];
        if ($list === FactList::Joints) {
            self::refusePressed($job, $thing, (string) $before['name']);
        }
        foreach ($surfaces as $id => $surface) {
            self::refuseRecorded($job, (string) $id, (string) $surface['name']);
        }
        foreach (self::rows($job, FactList::Joints) as $id => $joint) {
            $hangs = isset($surfaces[$joint['inner']]) || isset($surfaces[$joint['outer']]);
            if ($hangs || ($joint['along'] !== null && isset($surfaces[$joint['along']]))) {
                if ($hangs) {
                    self::refusePressed($job, (string) $id, (string) $joint['name']);
                }
                $steps[] = [FactList::Joints, $id, $joint, $hangs ? null : [...$joint, 'along' => null]];
            }
        }
        foreach (self::rows($job, FactList::Loops) as $id => $loop) {
            $lengths = array_map(
                static fn (array $l): array => isset($surfaces[$l['surface'] ?? '']) ? [...$l, 'surface' => null] : $l,
                $loop['lengths'],
            );
            if ($lengths !== $loop['lengths']) {
                $steps[] = [FactList::Loops, $id, $loop, [...$loop, 'lengths' => $lengths]];
            }
        }
        foreach (self::rows($job, FactList::Photos) as $id => $photo) {
            if ($photo['surface'] !== null && isset($surfaces[$photo['surface']])) {
                $steps[] = [FactList::Photos, $id, $photo, [...$photo, 'surface' => null]];
            }
        }
        foreach ($list === FactList::Parts ? $surfaces : [] as $id => $surface) {
            $steps[] = [FactList::Surfaces, $id, $surface, null];
        }

        return [...$steps, [$list, $thing, $before, null]];
    }

    /**
     * @param  array<string, mixed>  $job
     * @return array<string, mixed>
     */
    public static function without(array $job, FactList $list, string $thing): array
    {
        $job[$list->value] = array_values(
            array_filter($job[$list->value], static fn (array $t): bool => $t['id'] !== $thing),
        );

        return $job;
    }

    /** @param  array<string, mixed>  $job */
    private static function refuseRecorded(array $job, string $surface, string $name): void
    {
        foreach ([FactList::Readings, FactList::Cuts] as $list) {
            $count = count(array_filter($job[$list->value], static fn (array $r): bool => $r['surface'] === $surface));
            if ($count > 0) {
                throw new BadInput(
                    'kept',
                    'surfaces',
                    "{$name} has {$count} {$list->value}, which are kept for the record. Rename it, or say at its condition that it is missing.",
                );
            }
        }
    }

    /** @param  array<string, mixed>  $job */
    private static function refusePressed(array $job, string $joint, string $name): void
    {
        $count = count(
            array_filter($job[FactList::Pushes->value], static fn (array $p): bool => $p['joint'] === $joint),
        );
        if ($count > 0) {
            throw new BadInput(
                'kept',
                'joints',
                "{$name} has {$count} forces of its pressing, which are kept for the record.",
            );
        }
    }

    /**
     * @param  array<string, mixed>  $job
     * @return array<string, array<string, mixed>> by id
     */
    private static function rows(array $job, FactList $list): array
    {
        /** @var array<string, array<string, mixed>> $rows */
        $rows = array_column($job[$list->value], null, 'id');

        return $rows;
    }
}
