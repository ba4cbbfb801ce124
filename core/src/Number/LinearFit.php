<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

/** Weighted linear least squares with the covariance of what it finds. */
final readonly class LinearFit
{
    /**
     * @param  list<float>  $found  the unknowns
     * @param  array<int, array<int, float>>  $covariance  of the unknowns, in the variance of a row of weight 1
     * @param  float  $squares  weighted sum of the squared rests
     */
    private function __construct(public array $found, public array $covariance, public float $squares)
    {
    }

    /**
     * @param  list<array<int, float>>  $rows  the factors of the unknowns, each as long as there are unknowns
     * @param  list<float>  $values  as many as rows
     * @param  list<float>  $weights  one over the variance of each, above 0
     * @return ?self null where the rows do not settle every unknown
     *
     * Source: normal equations, solved by elimination with the largest pivot.
     */
    public static function of(array $rows, array $values, array $weights): ?self
    {
        $n = count($rows[0] ?? []);
        $matrix = array_fill(0, $n, array_fill(0, 2 * $n + 1, 0.0));
        foreach ($rows as $i => $row) {
            for ($j = 0; $j < $n; $j++) {
                $its = $weights[$i] * $row[$j];
                if ($its === 0.0) {
                    continue;
                }
                for ($k = 0; $k < $n; $k++) {
                    $matrix[$j][$k] += $its * $row[$k];
                }
                $matrix[$j][2 * $n] += $its * $values[$i];
            }
        }
        // Each unknown in units of its own, so that what is known to a micrometre and to a metre stand side by side.
        $units = [];
        for ($j = 0; $j < $n; $j++) {
            if ($matrix[$j][$j] <= 0.0) {
                return null;
            }
            $units[$j] = sqrt($matrix[$j][$j]);
        }
        for ($j = 0; $j < $n; $j++) {
            for ($k = 0; $k < $n; $k++) {
                $matrix[$j][$k] /= $units[$j] * $units[$k];
            }
            $matrix[$j][2 * $n] /= $units[$j];
            $matrix[$j][$n + $j] = 1.0;
        }
        $solved = self::eliminate($matrix, $n);
        if ($solved === null) {
            return null;
        }
        $found = array_map(
            static fn (array $row, float $unit): float => $row[2 * $n] / $unit,
            $solved,
            array_values($units),
        );
        $squares = 0.0;
        foreach ($rows as $i => $row) {
            $rest = $values[$i];
            foreach ($found as $j => $x) {
                $rest -= $row[$j] * $x;
            }
            $squares += $weights[$i] * $rest * $rest;
        }

        $covariance = [];
        for ($j = 0; $j < $n; $j++) {
            for ($k = 0; $k < $n; $k++) {
                $covariance[$j][$k] = $solved[$j][$n + $k] / ($units[$j] * $units[$k]);
            }
        }

        return new self($found, $covariance, $squares);
    }

    /**
     * The variance of a sum of the unknowns, each so often, in that of a row of weight 1.
     *
     * @param  array<int, float>  $factors
     */
    public function varianceOf(array $factors): float
    {
        $sum = 0.0;
        foreach ($factors as $j => $a) {
            foreach ($factors as $k => $b) {
                $sum += $a * $b * $this->covariance[$j][$k];
            }
        }

        return $sum;
    }

    /**
     * @param  array<int, array<int, float>>  $matrix  n rows: the normal matrix with ones along its diagonal, the unit matrix, the right side
     * @return ?list<list<float>>
     */
    private static function eliminate(array $matrix, int $n): ?array
    {
        for ($j = 0; $j < $n; $j++) {
            $pivot = $j;
            for ($i = $j + 1; $i < $n; $i++) {
                if (abs($matrix[$i][$j]) > abs($matrix[$pivot][$j])) {
                    $pivot = $i;
                }
            }
            if (abs($matrix[$pivot][$j]) <= 1e-11) {
                return null;
            }
            [$matrix[$j], $matrix[$pivot]] = [$matrix[$pivot], $matrix[$j]];
            $by = $matrix[$j][$j];
            foreach ($matrix[$j] as $k => $value) {
                $matrix[$j][$k] = $value / $by;
            }
            for ($i = 0; $i < $n; $i++) {
                $times = $matrix[$i][$j];
                if ($i !== $j && $times !== 0.0) {
                    foreach ($matrix[$j] as $k => $value) {
                        $matrix[$i][$k] -= $times * $value;
                    }
                }
            }
        }

        return array_values(array_map(array_values(...), $matrix));
    }
}
