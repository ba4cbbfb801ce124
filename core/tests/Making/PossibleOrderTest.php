<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Making\PossibleOrder;
use Oldpart\Core\Making\Precedence;
use PHPUnit\Framework\TestCase;

/** Orders against all permutations of small assemblies; rings against all subsets of their conditions. */
final class PossibleOrderTest extends TestCase
{
    private static function before(string $first, string $then, int $weight = 1): Precedence
    {
        return new Precedence($first, $then, "{$first} before {$then}", $weight);
    }

    public function test_the_wished_order_stays_where_it_can(): void
    {
        $order = PossibleOrder::of(['a', 'b', 'c', 'd'], [self::before('c', 'b')]);
        self::assertSame([['a', 'c', 'b', 'd'], []], [$order->order, $order->rings]);
        self::assertSame(['b', 'a'], PossibleOrder::of(['b', 'a'], [])->order);
        self::assertSame(['a'], PossibleOrder::of(['a'], [self::before('a', 'gone'), self::before('gone', 'a')])->order);
    }

    public function test_a_ring_is_named_and_its_weakest_given_up(): void
    {
        $made = PossibleOrder::of(['a', 'b', 'c'], [self::before('a', 'b', 3), self::before('b', 'c', 1), self::before('c', 'a', 2)]);
        self::assertCount(1, $made->rings);
        self::assertSame('b before c', PossibleOrder::weakest($made->rings[0])->why);
        self::assertSame(['c', 'a', 'b'], $made->order);
        $round = array_map(static fn (Precedence $p): string => $p->first.$p->then, $made->rings[0]);
        self::assertSame(['ab', 'bc', 'ca'], $round);
    }

    /** Of two rings the shorter is told first: it is the one that can be seen through. */
    public function test_the_shortest_ring_first(): void
    {
        $made = PossibleOrder::of(
            ['a', 'b', 'c', 'd'],
            [self::before('a', 'b'), self::before('b', 'c'), self::before('c', 'a'), self::before('c', 'd'), self::before('d', 'c')],
        );
        self::assertSame([2, 3], array_map(count(...), $made->rings));
    }

    public function test_what_an_order_breaks(): void
    {
        $conditions = [self::before('a', 'b'), self::before('b', 'c'), self::before('a', 'gone')];
        self::assertSame([], PossibleOrder::broken(['a', 'b', 'c'], $conditions));
        self::assertSame([$conditions[1]], PossibleOrder::broken(['a', 'c', 'b'], $conditions));
    }

    /** Whenever any order of all there are meets the conditions, one that does is found; else there is a ring. */
    public function test_against_every_order_there_is(): void
    {
        mt_srand(5);
        for ($trial = 0; $trial < 200; $trial++) {
            $things = array_slice(['a', 'b', 'c', 'd', 'e'], 0, mt_rand(2, 5));
            $conditions = [];
            for ($n = mt_rand(1, 7); $n > 0; $n--) {
                [$first, $then] = [$things[array_rand($things)], $things[array_rand($things)]];
                if ($first !== $then) {
                    $conditions[] = self::before($first, $then, mt_rand(1, 4));
                }
            }
            $can = array_filter(
                self::permutations($things),
                static fn (array $order): bool => PossibleOrder::broken($order, $conditions) === [],
            ) !== [];
            $made = PossibleOrder::of($things, $conditions);
            self::assertSame($can, $made->rings === []);
            self::assertEqualsCanonicalizing($things, $made->order);
            if ($can) {
                self::assertSame([], PossibleOrder::broken($made->order, $conditions));
            }
            foreach ($made->rings as $ring) {
                // It can't be met whole, and without any one of it it can.
                self::assertNotSame([], PossibleOrder::of($things, $ring)->rings);
                foreach (array_keys($ring) as $i) {
                    $less = array_values(array_diff_key($ring, [$i => 0]));
                    self::assertSame([], PossibleOrder::of($things, $less)->rings, 'no more is named than is needed');
                }
            }
        }
    }

    /**
     * @param  list<string>  $things
     * @return list<list<string>>
     */
    private static function permutations(array $things): array
    {
        if (count($things) < 2) {
            return [$things];
        }
        $all = [];
        foreach ($things as $i => $thing) {
            $rest = array_values(array_diff_key($things, [$i => 0]));
            foreach (self::permutations($rest) as $order) {
                $all[] = [$thing, ...$order];
            }
        }

        return $all;
    }

    /** What must come before something that is not there counts for nothing, and makes no ring. */
    public function test_what_is_not_there_counts_for_nothing(): void
    {
        $made = PossibleOrder::of(['a', 'b'], [self::before('b', 'gone'), self::before('gone', 'a'), self::before('a', 'other')]);
        self::assertSame([['a', 'b'], []], [$made->order, $made->rings]);
    }
}
