<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Assembly;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\ConditionKind;
use Oldpart\Core\Facts\FasteningFacts;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\PartCondition;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Facts\StripFacts;
use Oldpart\Core\Joint\FasteningKind;
use Oldpart\Core\Making\PossibleOrder;
use Oldpart\Core\Making\Precedence;

/**
 * In what order the parts go in and their screws are tightened: as it came apart, backwards, or as somebody moved it,
 * as far as the conditions allow; a ring of conditions that cannot all be met is named.
 */
final readonly class AssemblyOrder
{
    /** What one condition weighs against another: what can't be is kept longest. */
    private const WEIGHTS = ['blocks' => 4, 'covers' => 3, 'reached before' => 3, 'before' => 2, 'loose until' => 1];

    /**
     * @param  list<AssemblyItem>  $items
     * @param  list<Note>  $notes
     */
    private function __construct(public array $items, public array $notes)
    {
    }

    /** @param  list<SizedJoint>  $joints */
    public static function of(JobFacts $facts, array $joints, bool $withheld): self
    {
        $parts = array_column($facts->parts, null, 'id');
        $screwed = array_values(array_filter($joints, static fn (SizedJoint $j): bool => self::screws($j) !== []));
        $wished = self::wished($facts, $joints);
        // Tightened as soon as both parts are in, where nothing says otherwise.
        foreach ($screwed as $joint) {
            $after = 0;
            foreach (self::partsOf($facts, $joint) as $part) {
                $after = max($after, (int) array_search("in:{$part}", $wished, true) + 1);
            }
            array_splice($wished, $after, 0, ["tighten:{$joint->joint->id}"]);
        }
        $conditions = self::conditions($facts, $screwed);
        $possible = PossibleOrder::of($wished, $conditions);
        $in = [];
        $items = [];
        foreach ($possible->order as $code) {
            $joint = array_values(array_filter($joints, static fn (SizedJoint $j): bool => "tighten:{$j->joint->id}" === $code))[0] ?? null;
            if ($joint !== null) {
                $items[] = new AssemblyItem(
                    $code,
                    "Tighten “{$joint->joint->name}”",
                    JointHow::tightened(self::screws($joint), self::isDowelled($joint)),
                );

                continue;
            }
            $part = $parts[substr($code, 3)] ?? null;
            if (! $part instanceof PartFacts) {
                continue;
            }
            $with = array_values(array_filter(
                $joints,
                static fn (SizedJoint $j): bool => in_array($part->id, self::partsOf($facts, $j), true)
                    && array_diff(self::partsOf($facts, $j), [...$in, $part->id]) === [],
            ));
            $items[] = new AssemblyItem(
                $code,
                $in === [] ? "{$part->name}: stands ready" : $part->name,
                array_merge(...array_map(
                    static fn (SizedJoint $j): array => JointHow::all($j, $withheld, $facts->shop->temperatureC),
                    $with,
                )),
            );
            $in[] = $part->id;
        }

        return new self($items, self::notes($facts, $possible, $conditions, $joints));
    }

    /**
     * @param  list<SizedJoint>  $joints
     * @return list<string> codes of parts: as somebody moved them, else as they came off, backwards
     */
    private static function wished(JobFacts $facts, array $joints): array
    {
        $ids = self::usual($facts, $joints);
        $off = array_reverse(array_map(static fn (StripFacts $s): string => $s->part, $facts->assembly->strip));
        $order = $facts->assembly->order !== []
            ? [...$facts->assembly->order, ...$ids]
            // What never came off is there first.
            : [...array_diff($ids, $off), ...$off];
        $order = array_values(array_unique(array_intersect($order, $ids)));

        return array_map(static fn (string $id): string => "in:{$id}", $order);
    }

    /**
     * Where nobody said how it came apart: first what most others go into, then each time what sits tightest in what
     * is there.
     *
     * @param  list<SizedJoint>  $joints
     * @return list<string> ids of parts
     */
    private static function usual(JobFacts $facts, array $joints): array
    {
        $left = array_map(static fn (PartFacts $p): string => $p->id, $facts->parts);
        $takes = array_count_values(array_filter(array_map(
            static fn (SizedJoint $j): ?string => $facts->surface($j->joint->outer)?->part,
            $joints,
        )));
        $order = [];
        while ($left !== []) {
            $best = null;
            $least = PHP_INT_MAX;
            foreach ($left as $id) {
                $rank = $order === [] ? -($takes[$id] ?? 0) : self::rank($facts, $joints, $order, $id);
                if ($rank < $least) {
                    [$best, $least] = [$id, $rank];
                }
            }
            $order[] = (string) $best;
            $left = array_values(array_diff($left, [$best]));
        }

        return $order;
    }

    /**
     * @param  list<SizedJoint>  $joints
     * @param  list<string>  $there
     */
    private static function rank(JobFacts $facts, array $joints, array $there, string $part): int
    {
        $rank = 9;
        foreach ($joints as $joint) {
            $of = self::partsOf($facts, $joint);
            if (in_array($part, $of, true) && array_intersect($of, $there) !== [] && ! $joint->purpose->isLength) {
                $rank = min($rank, match (true) {
                    $joint->isTight() => 0,
                    $joint->purpose->bonds => 1,
                    $joint->canBeTight() => 2,
                    $joint->purpose->runs => 5,
                    default => 3,
                });
            }
        }

        return $rank;
    }

    /**
     * @param  list<SizedJoint>  $screwed
     * @return list<Precedence>
     */
    private static function conditions(JobFacts $facts, array $screwed): array
    {
        $names = array_column(
            array_map(static fn (PartFacts $p): array => ['id' => $p->id, 'name' => $p->name], $facts->parts),
            'name',
            'id',
        );
        $conditions = [];
        foreach ($screwed as $joint) {
            foreach (self::partsOf($facts, $joint) as $part) {
                $conditions[] = new Precedence("in:{$part}", "tighten:{$joint->joint->id}", 'a screw has to have both parts', 100);
            }
        }
        foreach ($facts->assembly->conditions as $one) {
            [$part, $other] = [$names[$one->part] ?? null, $names[$one->other] ?? null];
            if ($part !== null && $other !== null) {
                array_push($conditions, ...self::condition($facts, $screwed, $one, [$part, $other]));
            }
        }

        return $conditions;
    }

    /**
     * @param  list<SizedJoint>  $screwed
     * @param  array{string, string}  $names
     * @return list<Precedence>
     */
    private static function condition(JobFacts $facts, array $screwed, PartCondition $one, array $names): array
    {
        [$part, $other] = $names;
        $note = $one->note === '' ? '' : " ({$one->note})";
        $weight = self::WEIGHTS[$one->kind->value];
        $of = static fn (string $id): array => array_values(array_filter(
            $screwed,
            static fn (SizedJoint $j): bool => in_array($id, self::partsOf($facts, $j), true),
        ));
        $make = static fn (string $first, string $then, string $why): Precedence => new Precedence(
            $first,
            $then,
            $why.$note,
            $weight,
            $one->id,
        );

        return match ($one->kind) {
            ConditionKind::Before => [$make("in:{$one->part}", "in:{$one->other}", "“{$part}” goes in before “{$other}”")],
            ConditionKind::Blocks => [$make("in:{$one->other}", "in:{$one->part}", "“{$part}” blocks the way of “{$other}”")],
            ConditionKind::Reached => [
                $make("in:{$one->part}", "in:{$one->other}", "“{$part}” has to be reached before “{$other}” is in"),
                ...array_map(
                    static fn (SizedJoint $j): Precedence => $make("tighten:{$j->joint->id}", "in:{$one->other}", "the screws of “{$part}” have to be reached before “{$other}” is in"),
                    array_values(array_filter(
                        $of($one->part),
                        static fn (SizedJoint $j): bool => ! in_array($one->other, self::partsOf($facts, $j), true),
                    )),
                ),
            ],
            ConditionKind::Loose => array_map(
                static fn (SizedJoint $j): Precedence => $make("in:{$one->other}", "tighten:{$j->joint->id}", "the screws of “{$part}” stay loose until “{$other}” is in"),
                $of($one->part),
            ),
            ConditionKind::Covers => array_map(
                static fn (SizedJoint $j): Precedence => $make("tighten:{$j->joint->id}", "in:{$one->part}", "“{$part}” covers the screws of “{$other}”"),
                $of($one->other),
            ),
        };
    }

    /**
     * @param  list<Precedence>  $conditions
     * @param  list<SizedJoint>  $joints
     * @return list<Note>
     */
    private static function notes(JobFacts $facts, PossibleOrder $possible, array $conditions, array $joints): array
    {
        $notes = [];
        foreach ($possible->rings as $ring) {
            $whys = implode('; ', array_map(static fn (Precedence $p): string => $p->why, $ring));
            $notes[] = Note::stop(
                'ring',
                'This can’t all be: '.$whys.'. What gives way most easily is: '.PossibleOrder::weakest($ring)->why.'. The order below does without it: take it out, or another of them.',
                PossibleOrder::weakest($ring)->id,
            );
        }
        // What somebody moved against a condition was put right: that is said.
        $moved = $facts->assembly->order === []
            ? []
            : PossibleOrder::broken(self::wished($facts, $joints), $conditions);
        foreach ($moved as $broken) {
            $notes[] = Note::info('moved-back', "Not quite as it was moved: {$broken->why}.");
        }

        return $notes;
    }

    /** @return list<FasteningFacts> */
    private static function screws(SizedJoint $joint): array
    {
        return array_values(array_filter(
            $joint->joint->held,
            static fn (FasteningFacts $f): bool => in_array(
                $f->kind,
                [FasteningKind::SetScrews, FasteningKind::Bolts, FasteningKind::TaperBush],
                true,
            ),
        ));
    }

    private static function isDowelled(SizedJoint $joint): bool
    {
        return array_filter(
            $joint->joint->held,
            static fn (FasteningFacts $f): bool => $f->kind === FasteningKind::Dowels,
        ) !== [];
    }

    /** @return list<string> */
    private static function partsOf(JobFacts $facts, SizedJoint $joint): array
    {
        return array_values(array_unique(array_filter([
            $facts->surface($joint->joint->inner)?->part,
            $facts->surface($joint->joint->outer)?->part,
        ])));
    }
}
