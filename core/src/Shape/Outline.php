<?php

declare(strict_types=1);

namespace Oldpart\Core\Shape;

/** Outlines of plates and levers, mm, y upward. */
final class Outline
{
    /** @return list<array{float, float}> about the middle */
    public static function rectangle(float $width, float $height): array
    {
        return [
            [-$width / 2, -$height / 2],
            [$width / 2, -$height / 2],
            [$width / 2, $height / 2],
            [-$width / 2, $height / 2],
        ];
    }

    /**
     * The line a band would take round circles: a lever round its bosses (convex hull, Andrew's monotone chain).
     *
     * @param  list<array{float, float, float}>  $circles  x, y, radius
     * @return list<array{float, float}>
     */
    public static function round(array $circles): array
    {
        $points = [];
        foreach ($circles as [$x, $y, $radius]) {
            for ($i = 0; $i < 48; $i++) {
                $points[] = [$x + $radius * cos((2 * M_PI * $i) / 48), $y + $radius * sin((2 * M_PI * $i) / 48)];
            }
        }
        sort($points);
        $half = static function (array $points): array {
            $chain = [];
            foreach ($points as $p) {
                while (($n = count($chain)) > 1 && self::turn($chain[$n - 2], $chain[$n - 1], $p) <= 0) {
                    array_pop($chain);
                }
                $chain[] = $p;
            }
            array_pop($chain);

            return $chain;
        };

        return count($points) < 3 ? [] : [...$half($points), ...$half(array_reverse($points))];
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     */
    private static function turn(array $a, array $b, array $c): float
    {
        return ($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]);
    }
}
