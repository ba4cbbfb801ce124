<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

/** Where a function of one number is lowest. */
final class Lowest
{
    private const STEPS = 400;

    private const THIRDS = 60;

    /**
     * By steps over the whole stretch, then by thirds about the lowest of them.
     *
     * @param  callable(float): float  $of
     * @return array{float, float} the place, and how low it is there
     */
    public static function between(callable $of, float $from, float $to): array
    {
        [$best, $low] = [$from, $of($from)];
        $step = ($to - $from) / self::STEPS;
        for ($i = 1; $i <= self::STEPS; $i++) {
            $its = $of($from + $i * $step);
            if ($its < $low) {
                [$best, $low] = [$from + $i * $step, $its];
            }
        }
        [$one, $two] = [max($from, $best - $step), min($to, $best + $step)];
        for ($i = 0; $i < self::THIRDS; $i++) {
            [$p, $q] = [$one + ($two - $one) / 3, $two - ($two - $one) / 3];
            if ($of($p) < $of($q)) {
                $two = $q;
            } else {
                $one = $p;
            }
        }
        $fine = ($one + $two) / 2;
        $its = $of($fine);

        return $its <= $low ? [$fine, $its] : [$best, $low];
    }
}
