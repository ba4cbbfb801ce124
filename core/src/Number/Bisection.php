<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

/** Where a function that only rises, or only falls, passes a value. */
final class Bisection
{
    /** Halvings: 2⁻⁶⁰ of the first interval is below what a float can tell. */
    private const HALVINGS = 60;

    /**
     * The place in [low, high] up to which the condition holds.
     *
     * @param  callable(float): bool  $holds  true below the place, false above it
     * @return array{float, float} the last two places it lies between
     */
    public static function between(callable $holds, float $low, float $high): array
    {
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            $holds($middle) ? ($low = $middle) : ($high = $middle);
        }

        return [$low, $high];
    }

    /**
     * The middle of these two places.
     *
     * @param  callable(float): bool  $holds  true below the place, false above it
     */
    public static function place(callable $holds, float $low, float $high): float
    {
        [$below, $above] = self::between($holds, $low, $high);

        return ($below + $above) / 2;
    }
}
