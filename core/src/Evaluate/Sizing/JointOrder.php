<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\CutFacts;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Facts\ReadState;
use Oldpart\Core\Facts\Side;
use Oldpart\Core\Facts\SurfaceFacts;

/**
 * In what order joints are sized. Where both sides of one are cut, the side made first decides, and the other waits for
 * it; whatever sizes that first side comes before. Where they wait for each other in a circle, it is said in words.
 */
final readonly class JointOrder
{
    /**
     * @param  list<int>  $order  places of the joints in the job, those that others wait for first
     * @param  array<string, Say>  $circles  by joint: who waits for whom
     */
    private function __construct(public array $order, public array $circles)
    {
    }

    public static function of(JobFacts $facts): self
    {
        $waits = self::waits($facts);
        $order = $circles = [];
        $done = [];
        foreach (array_keys($facts->joints) as $at) {
            self::visit(
                facts: $facts,
                waits: $waits,
                at: $at,
                way: [],
                done: $done,
                order: $order,
                circles: $circles,
            );
        }

        return new self($order, $circles);
    }

    /**
     * Which side is made first where both are cut: as it was said, else the one that was cut first. Null where nothing
     * says it yet, or not both are cut.
     */
    public static function first(JobFacts $facts, JointFacts $joint): ?Side
    {
        [$inner, $outer] = [$facts->surface($joint->inner), $facts->surface($joint->outer)];
        if ($inner === null || $outer === null || ! $facts->isCut($inner) || ! $facts->isCut($outer)) {
            return null;
        }
        if ($joint->first !== null) {
            return $joint->first;
        }
        [$in, $out] = [self::firstCut($facts, $inner), self::firstCut($facts, $outer)];

        return match (true) {
            $in === null && $out === null => null,
            $out === null, $in !== null && $in < $out => Side::Inner,
            default => Side::Outer,
        };
    }

    /** The surface a joint sizes; null where neither side is cut, or either may be first. */
    private static function sizes(JobFacts $facts, JointFacts $joint): ?SurfaceFacts
    {
        [$inner, $outer] = [$facts->surface($joint->inner), $facts->surface($joint->outer)];
        if ($inner === null || $outer === null) {
            return null;
        }
        $first = self::first($facts, $joint);

        return match (true) {
            $first !== null => $first === Side::Inner ? $outer : $inner,
            $facts->isCut($inner) && $facts->isCut($outer) => null,
            $facts->isCut($inner) => $inner,
            $facts->isCut($outer) => $outer,
            default => null,
        };
    }

    /** @return array<int, list<int>> by joint: those that size the side it is made to */
    private static function waits(JobFacts $facts): array
    {
        $sizes = array_map(
            static fn (JointFacts $j): ?string => self::sizes($facts, $j)?->id,
            $facts->joints,
        );
        $waits = [];
        foreach ($facts->joints as $at => $joint) {
            $first = self::first($facts, $joint);
            $for = $first === null ? null : ($first === Side::Inner ? $joint->inner : $joint->outer);
            $made = $for !== null && self::isRead($facts, $for);
            $waits[$at] = $for === null || $made ? [] : array_keys($sizes, $for, true);
        }

        return $waits;
    }

    /**
     * @param  array<int, list<int>>  $waits
     * @param  list<int>  $way  the joints that wait for this one
     * @param  array<int, true>  $done
     * @param  list<int>  $order
     * @param  array<string, Say>  $circles
     */
    private static function visit(
        JobFacts $facts,
        array $waits,
        int $at,
        array $way,
        array &$done,
        array &$order,
        array &$circles,
    ): void {
        if (isset($done[$at])) {
            return;
        }
        $back = array_search($at, $way, true);
        if ($back !== false) {
            $says = self::circle($facts, array_slice($way, (int) $back));
            foreach (array_slice($way, (int) $back) as $member) {
                $circles[$facts->joints[$member]->id] ??= $says;
            }

            return;
        }
        foreach ($waits[$at] as $other) {
            self::visit(
                facts: $facts,
                waits: $waits,
                at: $other,
                way: [...$way, $at],
                done: $done,
                order: $order,
                circles: $circles,
            );
        }
        $done[$at] = true;
        $order[] = $at;
    }

    /** @param  list<int>  $circle */
    private static function circle(JobFacts $facts, array $circle): Say
    {
        $words = [];
        foreach ($circle as $at) {
            $joint = $facts->joints[$at];
            $first = self::first($facts, $joint) === Side::Inner ? $joint->inner : $joint->outer;
            $words[] = "“{$joint->name}” waits for the ".lcfirst($facts->surface($first)->name ?? $first);
        }

        return Say::plain(
            'Nothing here can be made first: '.
                implode(', ', $words).
                ', and so round again. Say at one of them that the other side is made first.',
        );
    }

    private static function isRead(JobFacts $facts, string $surface): bool
    {
        return array_filter(
            $facts->readingsOf($surface),
            static fn (ReadingFacts $r): bool => $r->state === ReadState::Done,
        ) !== [];
    }

    private static function firstCut(JobFacts $facts, SurfaceFacts $surface): ?int
    {
        foreach ($facts->cuts as $at => $cut) {
            if (self::counts($cut, $surface)) {
                return $at;
            }
        }

        return null;
    }

    private static function counts(CutFacts $cut, SurfaceFacts $surface): bool
    {
        return $cut->surface === $surface->id && $cut->setAside === null;
    }
}
