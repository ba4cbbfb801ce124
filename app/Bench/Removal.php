<?php

declare(strict_types=1);

namespace App\Bench;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\ReckoningFacts;

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
                match ($list) {
                    FactList::Mistakes => 'What was found wrong is kept for the record. Where it was right after all, find the new number wrong in its turn, or undo.',
                    FactList::Trials => 'What was tried is kept for the record. Note the next trial beside it, or undo.',
                    default => 'This is kept for the record. Set it aside with a reason instead.',
                },
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
        if ($list === FactList::Joints || $list === FactList::Loops) {
            self::refuseTried($job, $list === FactList::Joints ? 'joint' : 'loop', $thing, (string) $before['name']);
            array_push($steps, ...self::decisions($job, $list === FactList::Joints ? 'joint' : 'loop', [$thing => 0]));
        }
        foreach ($surfaces as $id => $surface) {
            self::refuseRecorded($job, (string) $id, (string) $surface['name']);
        }
        foreach (self::rows($job, FactList::Joints) as $id => $joint) {
            $hangs = isset($surfaces[$joint['inner']]) || isset($surfaces[$joint['outer']]);
            if ($hangs || ($joint['along'] !== null && isset($surfaces[$joint['along']]))) {
                if ($hangs) {
                    self::refusePressed($job, (string) $id, (string) $joint['name']);
                    self::refuseTried($job, 'joint', (string) $id, (string) $joint['name']);
                    array_push($steps, ...self::decisions($job, 'joint', [$id => 0]));
                }
                $steps[] = [FactList::Joints, $id, $joint, $hangs ? null : [...$joint, 'along' => null]];
            }
        }
        foreach (self::rows($job, FactList::Loops) as $id => $loop) {
            $lengths = self::lengthsWithout($loop['lengths'], $surfaces);
            if ($lengths === $loop['lengths']) {
                continue;
            }
            if (count($lengths) >= 2) {
                $steps[] = [FactList::Loops, $id, $loop, [...$loop, 'lengths' => $lengths]];

                continue;
            }
            self::refuseTried($job, 'loop', (string) $id, (string) $loop['name']);
            array_push($steps, ...self::decisions($job, 'loop', [$id => 0]));
            $steps[] = [FactList::Loops, $id, $loop, null];
        }
        array_push($steps, ...self::decisions($job, 'surface', $surfaces));
        foreach (self::rows($job, FactList::Reckonings) as $id => $one) {
            $left = $one;
            foreach (['from', 'gives'] as $which) {
                $left[$which] = array_filter(
                    (array) $one[$which],
                    static fn (string $s): bool => $s !== $thing && ! isset($surfaces[ReckoningFacts::surfaceOf($s)]),
                );
            }
            if ($left !== $one) {
                $steps[] = [FactList::Reckonings, $id, $one, $left];
            }
        }
        foreach (self::rows($job, FactList::Surfaces) as $id => $surface) {
            $leader = $surfaces[$surface['centred_on'] ?? ''] ?? null;
            if ($leader !== null && ! isset($surfaces[$id])) {
                // It stays where it was.
                $stays = ['x' => $leader['x'], 'y' => $leader['y'], 'centred_on' => $leader['centred_on'] ?? null];
                $steps[] = [FactList::Surfaces, $id, $surface, [...$surface, ...$stays]];
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

    /**
     * A length that is only that of a surface goes with it, so that nothing asks for it any more; one with a size of
     * its own stays.
     *
     * @param  list<array<string, mixed>>  $lengths
     * @param  array<string, mixed>  $gone  surfaces, by id
     * @return list<array<string, mixed>>
     */
    private static function lengthsWithout(array $lengths, array $gone): array
    {
        $left = [];
        foreach ($lengths as $length) {
            $hangs = is_string($length['surface'] ?? null) && isset($gone[$length['surface']]);
            if (! $hangs || $length['size'] !== null) {
                $left[] = $hangs ? [...$length, 'surface' => null] : $length;
            }
        }

        return $left;
    }

    /**
     * @param  array<string, mixed>  $job
     * @param  array<string, mixed>  $gone  by id
     * @return list<array{FactList, string, array<string, mixed>, null}> what was decided about them goes with them
     */
    private static function decisions(array $job, string $about, array $gone): array
    {
        $steps = [];
        foreach (self::rows($job, FactList::Concessions) as $id => $one) {
            if (is_string($one[$about]) && isset($gone[$one[$about]])) {
                $steps[] = [FactList::Concessions, $id, $one, null];
            }
        }

        return $steps;
    }

    /** @param  array<string, mixed>  $job */
    private static function refuseTried(array $job, string $about, string $id, string $name): void
    {
        $count = count(array_filter($job[FactList::Trials->value], static fn (array $t): bool => $t[$about] === $id));
        if ($count > 0) {
            throw new BadInput(
                'kept',
                "{$about}s",
                "{$name} was tried together {$count} times, which is kept for the record.",
            );
        }
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
        $mates = array_filter(
            $job['batch']['mates'] ?? [],
            static fn (array $mate): bool => $mate['joint'] === $joint,
        );
        if ($mates !== []) {
            throw new BadInput(
                'kept',
                'joints',
                "{$name} has ".count($mates).' mates measured for its batch. Take those off at Make first.',
            );
        }
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
