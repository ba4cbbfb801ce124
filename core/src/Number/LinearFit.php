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
    public function __construct(public array $found, public array $covariance, public float $squares)
    {
    }

    /**
     * @param  list<array<int, float>>  $rows  the factors of the unknowns, each as long as there are unknowns
     * @param  list<float>  $values  as many as rows
     * @param  list<float>  $weights  one over the variance of each, above 0
     * @return ?self null where the rows do not settle every unknown
     */
    public static function of(array $rows, array $values, array $weights): ?self
    {
        return LinearDesign::of($rows, $weights)?->fit($values);
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
            if ($a !== 0.0) {
                foreach ($factors as $k => $b) {
                    $sum += $a * $b * $this->covariance[$j][$k];
                }
            }
        }

        return $sum;
    }
}
