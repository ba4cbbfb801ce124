<?php

declare(strict_types=1);

namespace Oldpart\Core\Shape;

use Oldpart\Core\Advice\BadInput;

/**
 * The outline of a plate from its corners in order, each with its radius: straight lines and arcs that run into each
 * other; mm, y upward. Source: geometry of the tangent circle in a corner.
 */
final readonly class RoundedOutline
{
    /** A radius below that is a sharp corner, mm. */
    private const SHARP_MM = 1e-6;

    /** Two sides that lie on one another enclose nothing to round, rad. */
    private const FOLDED = 1e-6;

    /** Two radii that meet on a side may be over it by what the figures were rounded by, mm. */
    private const ROUNDED_MM = 0.001;

    /** An arc is drawn in so many pieces a right angle. */
    private const PIECES = 12;

    /** @var list<array{corner: int, from: array{float, float}, to: array{float, float}, middle: array{float, float}, radius: float}> the arcs */
    public array $arcs;

    /** @var list<array{float, float}> close enough to draw and to check walls by */
    public array $points;

    public float $areaMm2;

    public float $roundMm;

    /**
     * @param  list<array{x: float, y: float, r: float}>  $corners  three at least, radii 0 or more
     *
     * @throws BadInput for corners that make no outline, or radii that do not fit between them
     */
    public function __construct(array $corners)
    {
        $n = count($corners);
        if ($n < 3) {
            throw new BadInput('corners', 'corners', 'An outline has three corners at least.');
        }
        [$arcs, $points, $takes, $area, $round] = [[], [], [], 0.0, 0.0];
        foreach ($corners as $i => $corner) {
            [$before, $after] = [$corners[($i + $n - 1) % $n], $corners[($i + 1) % $n]];
            [$ax, $ay, $a] = self::way($corner, $before);
            [$bx, $by, $b] = self::way($corner, $after);
            if ($a < 1e-9 || $b < 1e-9) {
                throw new BadInput('corners', "corners.{$i}.x_mm", 'Corner '.($i + 1).' lies on its neighbour: leave one of them out.');
            }
            if (! ($corner['r'] >= 0)) {
                throw new BadInput('radius', "corners.{$i}.radius_mm", 'A radius is zero or more.');
            }
            $between = acos(max(-1.0, min(1.0, $ax * $bx + $ay * $by)));
            // Sharper than any file, or straight on: nothing to round.
            $isSharp = $corner['r'] < self::SHARP_MM || $between > M_PI - 1e-6 || $between < self::FOLDED;
            $take = $isSharp ? 0.0 : $corner['r'] / tan($between / 2);
            $takes[$i] = $take;
            // Twice the area, by the shoelace; what each arc takes from it or gives follows.
            $area += $corner['x'] * $after['y'] - $after['x'] * $corner['y'];
            $round += $b;
            if ($take <= 0) {
                $points[] = [$corner['x'], $corner['y']];

                continue;
            }
            $from = [$corner['x'] + $ax * $take, $corner['y'] + $ay * $take];
            $to = [$corner['x'] + $bx * $take, $corner['y'] + $by * $take];
            $half = hypot($take, $corner['r']);
            [$mx, $my] = [$ax + $bx, $ay + $by];
            $long = hypot($mx, $my);
            $middle = [$corner['x'] + $mx / $long * $half, $corner['y'] + $my / $long * $half];
            $arcs[] = ['corner' => $i + 1, 'from' => $from, 'to' => $to, 'middle' => $middle, 'radius' => $corner['r']];
            array_push($points, ...self::arc($middle, $from, $to, $corner['r']));
            $round += $corner['r'] * (M_PI - $between) - 2 * $take;
        }
        foreach ($corners as $i => $corner) {
            $next = ($i + 1) % $n;
            $edge = hypot($corners[$next]['x'] - $corner['x'], $corners[$next]['y'] - $corner['y']);
            if ($edge + self::ROUNDED_MM < $takes[$i] + $takes[$next]) {
                throw new BadInput('radius', "corners.{$i}.radius_mm", 'The radii of corners '.($i + 1).' and '.($next + 1).' do not fit on the side between them: smaller ones.');
            }
        }
        $turn = $area < 0 ? -1 : 1;
        $cut = 0.0;
        foreach ($arcs as $arc) {
            $corner = $corners[$arc['corner'] - 1];
            $take = $takes[$arc['corner'] - 1];
            $between = 2 * atan($arc['radius'] / $take);
            $piece = $arc['radius'] * $take - ($arc['radius'] ** 2 * (M_PI - $between)) / 2;
            $cross = (
                $arc['from'][0] - $corner['x']
            ) * ($arc['to'][1] - $corner['y']) - ($arc['from'][1] - $corner['y']) * ($arc['to'][0] - $corner['x']);
            // A corner that stands out loses the piece beyond its arc; one that goes in gains it.
            $cut += $cross * $turn < 0 ? $piece : -$piece;
        }
        $this->arcs = $arcs;
        $this->points = $points;
        $this->areaMm2 = abs($area) / 2 - $cut;
        $this->roundMm = $round;
    }

    /**
     * How far a place lies inside the outline, mm; below zero: outside.
     */
    public function insideMm(float $x, float $y): float
    {
        [$n, $least, $inside] = [count($this->points), INF, false];
        for ($i = 0, $j = $n - 1; $i < $n; $j = $i++) {
            [[$ax, $ay], [$bx, $by]] = [$this->points[$j], $this->points[$i]];
            $long = ($bx - $ax) ** 2 + ($by - $ay) ** 2;
            $t = $long > 0 ? max(0.0, min(1.0, (($x - $ax) * ($bx - $ax) + ($y - $ay) * ($by - $ay)) / $long)) : 0.0;
            $least = min($least, hypot($x - $ax - $t * ($bx - $ax), $y - $ay - $t * ($by - $ay)));
            if (($ay > $y) !== ($by > $y) && $x < ($bx - $ax) * ($y - $ay) / ($by - $ay) + $ax) {
                $inside = ! $inside;
            }
        }

        return $inside ? $least : -$least;
    }

    /**
     * @param  array{x: float, y: float, r: float}  $a
     * @param  array{x: float, y: float, r: float}  $b
     * @return array{float, float, float} its direction, and how far
     */
    private static function way(array $a, array $b): array
    {
        $long = hypot($b['x'] - $a['x'], $b['y'] - $a['y']);

        return $long < 1e-9 ? [0.0, 0.0, 0.0] : [($b['x'] - $a['x']) / $long, ($b['y'] - $a['y']) / $long, $long];
    }

    /**
     * @param  array{float, float}  $middle
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return list<array{float, float}>
     */
    private static function arc(array $middle, array $from, array $to, float $radius): array
    {
        $start = atan2($from[1] - $middle[1], $from[0] - $middle[0]);
        $sweep = fmod(atan2($to[1] - $middle[1], $to[0] - $middle[0]) - $start + 3 * M_PI, 2 * M_PI) - M_PI;
        $pieces = max(2, (int) ceil(abs($sweep) / (M_PI / 2) * self::PIECES));

        return array_map(
            static fn (int $i): array => [
                $middle[0] + $radius * cos($start + $sweep * $i / $pieces),
                $middle[1] + $radius * sin($start + $sweep * $i / $pieces),
            ],
            range(0, $pieces),
        );
    }
}
