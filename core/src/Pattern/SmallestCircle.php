<?php

declare(strict_types=1);

namespace Oldpart\Core\Pattern;

/** The smallest circle round points; mm. Source: elementary geometry, point by point as Welzl does. */
final class SmallestCircle
{
    /**
     * @param  list<Point>  $points  one at least
     * @return float its radius
     */
    public static function round(array $points): float
    {
        [$c, $r] = [$points[0], 0.0];
        foreach ($points as $i => $p) {
            if (self::holds($c, $r, $p)) {
                continue;
            }
            [$c, $r] = [$p, 0.0];
            for ($j = 0; $j < $i; $j++) {
                if (self::holds($c, $r, $points[$j])) {
                    continue;
                }
                [$c, $r] = self::two($p, $points[$j]);
                for ($k = 0; $k < $j; $k++) {
                    if (! self::holds($c, $r, $points[$k])) {
                        [$c, $r] = self::three($p, $points[$j], $points[$k]);
                    }
                }
            }
        }

        return $r;
    }

    private static function holds(Point $c, float $r, Point $p): bool
    {
        return $c->to($p) <= $r + 1e-12 * max(1.0, $r);
    }

    /** @return array{Point, float} */
    private static function two(Point $a, Point $b): array
    {
        return [new Point(($a->x + $b->x) / 2, ($a->y + $b->y) / 2), $a->to($b) / 2];
    }

    /** @return array{Point, float} through all three; in a line, over the two farthest */
    private static function three(Point $a, Point $b, Point $c): array
    {
        [$bx, $by, $cx, $cy] = [$b->x - $a->x, $b->y - $a->y, $c->x - $a->x, $c->y - $a->y];
        $d = 2 * ($bx * $cy - $by * $cx);
        if (abs($d) < 1e-18) {
            $pairs = [self::two($a, $b), self::two($a, $c), self::two($b, $c)];
            usort($pairs, static fn (array $p, array $q): int => $q[1] <=> $p[1]);

            return $pairs[0];
        }
        $x = ($cy * ($bx * $bx + $by * $by) - $by * ($cx * $cx + $cy * $cy)) / $d;
        $y = ($bx * ($cx * $cx + $cy * $cy) - $cx * ($bx * $bx + $by * $by)) / $d;

        return [new Point($a->x + $x, $a->y + $y), hypot($x, $y)];
    }
}
