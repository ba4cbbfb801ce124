<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Number;

use Oldpart\Core\Number\Assignment;
use PHPUnit\Framework\TestCase;

/** The cheapest assignment against every other there is. */
final class AssignmentTest extends TestCase
{
    /** The example of scipy.optimize.linear_sum_assignment in its documentation, from memory: 5 in all. */
    public function test_a_known_example(): void
    {
        self::assertSame([0 => 1, 1 => 0, 2 => 2], Assignment::cheapest([[4.0, 1.0, 3.0], [2.0, 0.0, 5.0], [3.0, 2.0, 2.0]]));
    }

    public function test_nothing_to_assign(): void
    {
        self::assertSame([], Assignment::cheapest([]));
        self::assertSame([], Assignment::cheapest([[]]));
    }

    /** Tried against all permutations, square and with more of one side. */
    public function test_against_all_there_are(): void
    {
        mt_srand(11);
        foreach ([[1, 1], [3, 3], [5, 5], [2, 5], [5, 2], [4, 6], [6, 4], [1, 4], [4, 1]] as [$rows, $columns]) {
            for ($trial = 0; $trial < 20; $trial++) {
                $costs = array_map(
                    static fn (): array => array_map(static fn (): float => mt_rand(-50, 50) / 4, array_fill(0, $columns, 0)),
                    array_fill(0, $rows, 0),
                );
                $pairs = Assignment::cheapest($costs);
                self::assertCount(min($rows, $columns), $pairs);
                self::assertSame(array_values(array_unique($pairs)), array_values($pairs), 'none twice');
                $cost = array_sum(array_map(static fn (int $r, int $c): float => $costs[$r][$c], array_keys($pairs), $pairs));
                self::assertEqualsWithDelta(self::leastOf($costs, 0, []), $cost, 1e-9);
            }
        }
    }

    /**
     * @param  list<list<float>>  $costs
     * @param  array<int, true>  $taken
     */
    private static function leastOf(array $costs, int $row, array $taken): float
    {
        $left = count($costs) - $row;
        if ($left === 0) {
            return 0.0;
        }
        $free = count($costs[0]) - count($taken);
        // Where there are more rows than columns, a row may go without.
        $least = $left > $free ? self::leastOf($costs, $row + 1, $taken) : INF;
        foreach ($costs[$row] as $column => $cost) {
            if (! isset($taken[$column])) {
                $least = min($least, $cost + self::leastOf($costs, $row + 1, $taken + [$column => true]));
            }
        }

        return $least;
    }
}
