<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

/** What is read where, before the readings: one design serves any readings taken in it. */
final readonly class LinearDesign
{
    /**
     * @param  list<array<int, float>>  $rows
     * @param  list<float>  $weights
     * @param  array<int, array<int, float>>  $covariance
     */
    private function __construct(private array $rows, private array $weights, private array $covariance)
    {
    }

    /**
     * @param  list<array<int, float>>  $rows  the factors of the unknowns, each as long as there are unknowns
     * @param  list<float>  $weights  one over the variance of each, above 0
     * @return ?self null where the rows do not settle every unknown
     *
     * Source: normal equations, solved by elimination with the largest pivot.
     */
    public static function of(array $rows, array $weights): ?self
    {
        $n = count($rows[0] ?? []);
        $matrix = array_fill(0, $n, array_fill(0, 2 * $n, 0.0));
        foreach ($rows as $i => $row) {
            for ($j = 0; $j < $n; $j++) {
                $its = $weights[$i] * $row[$j];
                if ($its === 0.0) {
                    continue;
                }
                for ($k = 0; $k < $n; $k++) {
                    $matrix[$j][$k] += $its * $row[$k];
                }
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
            $matrix[$j][$n + $j] = 1.0;
        }
        $solved = self::eliminate($matrix, $n);
        if ($solved === null) {
            return null;
        }
        $covariance = [];
        for ($j = 0; $j < $n; $j++) {
            for ($k = 0; $k < $n; $k++) {
                $covariance[$j][$k] = $solved[$j][$n + $k] / ($units[$j] * $units[$k]);
            }
        }

        return new self($rows, $weights, $covariance);
    }

    /** @param  list<float>  $values  as many as rows */
    public function fit(array $values): LinearFit
    {
        $n = count($this->covariance);
        $right = array_fill(0, $n, 0.0);
        // About the first of them, so that no digits are lost.
        $about = $values[0];
        foreach ($this->rows as $i => $row) {
            $its = $this->weights[$i] * ($values[$i] - $about * $row[0]);
            foreach ($row as $j => $factor) {
                $right[$j] += $its * $factor;
            }
        }
        $found = [];
        for ($j = 0; $j < $n; $j++) {
            $sum = 0.0;
            foreach ($this->covariance[$j] as $k => $c) {
                $sum += $c * $right[$k];
            }
            $found[] = $sum;
        }
        $squares = 0.0;
        foreach ($this->rows as $i => $row) {
            $rest = $values[$i] - $about * $row[0];
            foreach ($row as $j => $factor) {
                $rest -= $factor * $found[$j];
            }
            $squares += $this->weights[$i] * $rest * $rest;
        }
        $found[0] += $about;

        return new LinearFit($found, $this->covariance, $squares);
    }

    /**
     * @param  array<int, array<int, float>>  $matrix  n rows: the normal matrix with ones along its diagonal, the unit matrix
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
