<?php

declare(strict_types=1);

namespace Oldpart\Core\Pattern;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Number\Lowest;

/** One pattern laid on another, shifted and turned as well as it goes; mm and degrees. */
final readonly class PatternFit
{
    /** @param  list<float>  $residualsMm  how far each is off then */
    private function __construct(
        public float $dxMm,
        public float $dyMm,
        public float $turnDeg,
        public array $residualsMm,
        /** The least that the farthest one can be off, shifted and turned for that alone. */
        public float $leastMostMm,
    ) {
    }

    /**
     * Turn about the origin, then shift, puts ours onto theirs with the least squares of the distances.
     *
     * @param  list<Point>  $ours
     * @param  list<Point>  $theirs  as many, in the same order; two at least
     *
     * @throws BadInput for patterns that cannot be laid on each other
     *
     * Source: orthogonal Procrustes in the plane; for the farthest one the smallest circle round what is left, by turn.
     */
    public static function of(array $ours, array $theirs): self
    {
        $n = count($ours);
        if ($n < 2 || count($theirs) !== $n) {
            throw new BadInput(
                'patterns',
                'theirs',
                'Both patterns need the same holes in the same order, two at least.',
            );
        }
        [$a, $b] = [self::middle($ours), self::middle($theirs)];
        [$dot, $cross, $spread] = [0.0, 0.0, 0.0];
        foreach ($ours as $i => $p) {
            [$x, $y] = [$p->x - $a->x, $p->y - $a->y];
            [$u, $v] = [$theirs[$i]->x - $b->x, $theirs[$i]->y - $b->y];
            $dot += $x * $u + $y * $v;
            $cross += $x * $v - $y * $u;
            $spread += hypot($x, $y);
        }
        if ($spread < 1e-9) {
            throw new BadInput('patterns', 'ours', 'All of our holes lie in one place: they have no direction.');
        }
        $turn = rad2deg(atan2($cross, $dot));
        $turned = $a->moved($turn, 0.0, 0.0);
        [$dx, $dy] = [$b->x - $turned->x, $b->y - $turned->y];
        $off = [];
        foreach ($ours as $i => $p) {
            $off[] = $p->moved($turn, $dx, $dy)->to($theirs[$i]);
        }

        return new self($dx, $dy, $turn, $off, self::leastMost($ours, $theirs, $turn, max($off), $spread / $n));
    }

    public function largestMm(): float
    {
        return max(0.0, ...$this->residualsMm);
    }

    /**
     * @param  list<Point>  $ours
     * @param  list<Point>  $theirs
     */
    private static function leastMost(array $ours, array $theirs, float $turn, float $largest, float $radius): float
    {
        if ($largest < 1e-12) {
            return 0.0;
        }
        $at = static function (float $deg) use ($ours, $theirs): float {
            $left = [];
            foreach ($ours as $i => $p) {
                $its = $p->moved($deg, 0.0, 0.0);
                $left[] = new Point($theirs[$i]->x - $its->x, $theirs[$i]->y - $its->y);
            }

            return SmallestCircle::round($left);
        };
        // Turned further than this, a hole at the middle distance is off by more than the worst one is already.
        $reach = min(180.0, rad2deg((4 * $largest) / $radius));

        return min($at($turn), Lowest::between($at, $turn - $reach, $turn + $reach)[1]);
    }

    /** @param  non-empty-list<Point>  $points */
    private static function middle(array $points): Point
    {
        return new Point(
            array_sum(array_column($points, 'x')) / count($points),
            array_sum(array_column($points, 'y')) / count($points),
        );
    }
}
