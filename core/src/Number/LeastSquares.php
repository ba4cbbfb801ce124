<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

/** Least squares by the normal equations. */
final class LeastSquares
{
    /**
     * Three unknowns (Cramer's rule).
     *
     * @param  list<array{float, float, float}>  $rows  the factors of the unknowns
     * @param  list<float>  $values  as many
     * @return array{float, float, float}
     */
    public static function three(array $rows, array $values): array
    {
        $n = [[0.0, 0.0, 0.0], [0.0, 0.0, 0.0], [0.0, 0.0, 0.0]];
        $r = [0.0, 0.0, 0.0];
        foreach ($rows as $i => $row) {
            for ($j = 0; $j < 3; $j++) {
                $r[$j] += $row[$j] * $values[$i];
                for ($k = 0; $k < 3; $k++) {
                    $n[$j][$k] += $row[$j] * $row[$k];
                }
            }
        }
        $det = static fn (array $q): float => $q[0][0] * ($q[1][1] * $q[2][2] - $q[1][2] * $q[2][1]) -
            $q[0][1] * ($q[1][0] * $q[2][2] - $q[1][2] * $q[2][0]) +
            $q[0][2] * ($q[1][0] * $q[2][1] - $q[1][1] * $q[2][0]);
        $d = $det($n);
        $with = static function (int $column) use ($n, $r): array {
            foreach ([0, 1, 2] as $j) {
                $n[$j][$column] = $r[$j];
            }

            return $n;
        };

        return [$det($with(0)) / $d, $det($with(1)) / $d, $det($with(2)) / $d];
    }
}
