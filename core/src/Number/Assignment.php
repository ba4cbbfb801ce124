<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

/** Who goes with whom at the least cost in all: exact, by shortest augmenting paths. */
final class Assignment
{
    /**
     * Every row gets a column of its own, or every column a row where there are fewer of them.
     *
     * @param  list<list<float>>  $costs  by row, by column; all rows of one length, all finite
     * @return array<int, int> column by row; a row that got none is left out
     *
     * Source: H. W. Kuhn, The Hungarian method for the assignment problem, Naval Research Logistics 2 (1955), in the
     * form with potentials, O(n³).
     */
    public static function cheapest(array $costs): array
    {
        $rows = count($costs);
        $columns = count($costs[0] ?? []);
        if ($rows === 0 || $columns === 0) {
            return [];
        }
        if ($rows > $columns) {
            $turned = array_map(static fn (int $c): array => array_column($costs, $c), range(0, $columns - 1));
            $pairs = array_flip(self::cheapest($turned));
            ksort($pairs);

            return $pairs;
        }
        // Column 0 stands for none: what each row is held against while its path is looked for.
        $rowPrice = array_fill(0, $rows + 1, 0.0);
        $columnPrice = array_fill(0, $columns + 1, 0.0);
        $rowOf = array_fill(0, $columns + 1, 0);
        for ($row = 1; $row <= $rows; $row++) {
            $rowOf[0] = $row;
            $at = 0;
            $least = array_fill(0, $columns + 1, INF);
            $from = array_fill(0, $columns + 1, 0);
            $seen = array_fill(0, $columns + 1, false);
            do {
                $seen[$at] = true;
                $r = $rowOf[$at];
                [$delta, $next] = [INF, 0];
                for ($c = 1; $c <= $columns; $c++) {
                    if ($seen[$c]) {
                        continue;
                    }
                    $rest = $costs[$r - 1][$c - 1] - $rowPrice[$r] - $columnPrice[$c];
                    if ($rest < $least[$c]) {
                        [$least[$c], $from[$c]] = [$rest, $at];
                    }
                    if ($least[$c] < $delta) {
                        [$delta, $next] = [$least[$c], $c];
                    }
                }
                for ($c = 0; $c <= $columns; $c++) {
                    if ($seen[$c]) {
                        $rowPrice[$rowOf[$c]] += $delta;
                        $columnPrice[$c] -= $delta;
                    } else {
                        $least[$c] -= $delta;
                    }
                }
                $at = $next;
            } while ($rowOf[$at] !== 0);
            while ($at !== 0) {
                $rowOf[$at] = $rowOf[$from[$at]];
                $at = $from[$at];
            }
        }
        $pairs = [];
        for ($c = 1; $c <= $columns; $c++) {
            if ($rowOf[$c] > 0) {
                $pairs[$rowOf[$c] - 1] = $c - 1;
            }
        }
        ksort($pairs);

        return $pairs;
    }
}
