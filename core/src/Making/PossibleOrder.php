<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

/**
 * An order in which every condition is met, as near to a wished one as that allows; or the shortest ring of conditions
 * that cannot all be met, and which of them to break.
 *
 * Source: topological order by repeatedly taking what nothing has to precede; shortest cycle by breadth-first search.
 */
final readonly class PossibleOrder
{
    /**
     * @param  list<string>  $order  all things; where there is a ring, as if its weakest condition were not there
     * @param  list<non-empty-list<Precedence>>  $rings  each the shortest there is, in the order it runs round; empty: all are met
     */
    private function __construct(public array $order, public array $rings)
    {
    }

    /**
     * @param  list<string>  $wished  every thing once, in the order one would like
     * @param  list<Precedence>  $conditions  those of things that are not there count for nothing
     */
    public static function of(array $wished, array $conditions): self
    {
        $conditions = array_values(array_filter(
            $conditions,
            static fn (Precedence $p): bool => in_array($p->first, $wished, true) && in_array($p->then, $wished, true),
        ));
        $rings = [];
        while (true) {
            $order = self::ordered($wished, $conditions);
            if ($order !== null) {
                return new self($order, $rings);
            }
            $ring = self::shortestRing($conditions);
            if ($ring === []) {
                return new self($wished, $rings);
            }
            $rings[] = $ring;
            $broken = self::weakest($ring);
            $conditions = array_values(array_filter(
                $conditions,
                static fn (Precedence $p): bool => $p !== $broken,
            ));
        }
    }

    /**
     * What to give up of a ring: the one that weighs least, the last of equals.
     *
     * @param  non-empty-list<Precedence>  $ring
     */
    public static function weakest(array $ring): Precedence
    {
        $weakest = $ring[0];
        foreach ($ring as $one) {
            $weakest = $one->weight <= $weakest->weight ? $one : $weakest;
        }

        return $weakest;
    }

    /**
     * The conditions that an order breaks.
     *
     * @param  list<string>  $order
     * @param  list<Precedence>  $conditions
     * @return list<Precedence>
     */
    public static function broken(array $order, array $conditions): array
    {
        $place = array_flip($order);

        return array_values(array_filter(
            $conditions,
            static fn (Precedence $p): bool => isset($place[$p->first], $place[$p->then])
                && $place[$p->first] >= $place[$p->then],
        ));
    }

    /**
     * @param  list<string>  $wished
     * @param  list<Precedence>  $conditions
     * @return ?list<string> null where it can't be done
     */
    private static function ordered(array $wished, array $conditions): ?array
    {
        $order = [];
        $left = $wished;
        while ($left !== []) {
            $next = null;
            foreach ($left as $thing) {
                $waits = array_filter(
                    $conditions,
                    static fn (Precedence $p): bool => $p->then === $thing && in_array($p->first, $left, true),
                );
                if ($waits === []) {
                    $next = $thing;
                    break;
                }
            }
            if ($next === null) {
                return null;
            }
            $order[] = $next;
            $left = array_values(array_filter($left, static fn (string $thing): bool => $thing !== $next));
        }

        return $order;
    }

    /**
     * @param  list<Precedence>  $conditions
     * @return list<Precedence> none: there is no ring
     */
    private static function shortestRing(array $conditions): array
    {
        $shortest = [];
        foreach ($conditions as $start) {
            $path = self::way($start->then, $start->first, $conditions);
            if ($path !== null && ($shortest === [] || count($path) + 1 < count($shortest))) {
                $shortest = [$start, ...$path];
            }
        }

        return $shortest;
    }

    /**
     * The fewest conditions that lead from one thing to another.
     *
     * @param  list<Precedence>  $conditions
     * @return ?list<Precedence>
     */
    private static function way(string $from, string $to, array $conditions): ?array
    {
        /** @var array<string, list<Precedence>> $ways */
        $ways = [$from => []];
        $edge = [$from];
        while ($edge !== []) {
            $next = [];
            foreach ($edge as $thing) {
                if ($thing === $to) {
                    return $ways[$thing];
                }
                foreach ($conditions as $one) {
                    if ($one->first === $thing && ! isset($ways[$one->then])) {
                        $ways[$one->then] = [...$ways[$thing], $one];
                        $next[] = $one->then;
                    }
                }
            }
            $edge = $next;
        }

        return null;
    }
}
