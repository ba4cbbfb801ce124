<?php

declare(strict_types=1);

namespace Oldpart\Core\Pattern;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Number\LinearFit;

/** The circle that points lie on, by least squares of their distance from it; mm. */
final readonly class FoundCircle
{
    private const ROUNDS = 60;

    /** @param  list<float>  $residualsMm  of each point, outward positive */
    private function __construct(public Point $centre, public float $diameterMm, public array $residualsMm)
    {
    }

    /**
     * @param  list<Point>  $points  three at least, not in a line
     *
     * @throws BadInput where no circle goes through them
     *
     * Source: least squares, Gauss and Newton's way from an algebraic start.
     */
    public static function through(array $points): self
    {
        if (count($points) < 3) {
            throw new BadInput('points', 'points', 'A circle needs three points at least.');
        }
        $mx = array_sum(array_column($points, 'x')) / count($points);
        $my = array_sum(array_column($points, 'y')) / count($points);
        $rows = $values = [];
        foreach ($points as $p) {
            $rows[] = [1.0, $p->x - $mx, $p->y - $my];
            $values[] = ($p->x - $mx) ** 2 + ($p->y - $my) ** 2;
        }
        $start = LinearFit::of($rows, $values, array_fill(0, count($points), 1.0));
        $r2 = $start === null ? 0.0 : $start->found[0] + ($start->found[1] ** 2 + $start->found[2] ** 2) / 4;
        if ($start === null || ! ($r2 > 0)) {
            throw new BadInput('points', 'points', 'These points lie in a line, or in one place: no circle goes through them.');
        }
        [$x, $y, $r] = [$mx + $start->found[1] / 2, $my + $start->found[2] / 2, sqrt($r2)];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $rows = $values = [];
            foreach ($points as $p) {
                $d = max(1e-12, hypot($p->x - $x, $p->y - $y));
                $rows[] = [1.0, ($p->x - $x) / $d, ($p->y - $y) / $d];
                $values[] = $d - $r;
            }
            $step = LinearFit::of($rows, $values, array_fill(0, count($points), 1.0));
            if ($step === null) {
                break;
            }
            [$dr, $dx, $dy] = $step->found;
            [$r, $x, $y] = [$r + $dr, $x + $dx, $y + $dy];
            if (abs($dr) + abs($dx) + abs($dy) < 1e-13 * max(1.0, $r)) {
                break;
            }
        }
        if (! is_finite($r) || $r > 1e7) {
            throw new BadInput('points', 'points', 'These points lie all but in a line: no circle goes through them.');
        }
        $centre = new Point($x, $y);

        return new self(
            $centre,
            2 * $r,
            array_map(static fn (Point $p): float => $centre->to($p) - $r, $points),
        );
    }
}
