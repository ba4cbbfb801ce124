<?php

declare(strict_types=1);

namespace Oldpart\Core\Shaft;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Number\LinearFit;
use Oldpart\Core\Number\Lowest;

/** Where a shaft is bent, by what an indicator reads along it as it turns; mm and degrees. */
final readonly class BentShaft
{
    private function __construct(
        public float $kinkAtMm,
        public float $angleDeg,
        public float $planeDeg,
        public float $bowMm,
    ) {
    }

    /**
     * The centre line lies half of the reading toward the high spot. Two straight lines that meet are laid through it.
     *
     * @param  list<array{at: float, tir: float, high: float}>  $stations  mm, mm, degrees; three at least
     *
     * @throws BadInput for too few stations, or two in one place
     *
     * Source: least squares.
     */
    public static function of(array $stations): self
    {
        if (count($stations) < 3) {
            throw new BadInput('stations', 'stations', 'A bend needs three stations at least: one on either side of it, and one more.');
        }
        usort($stations, static fn (array $a, array $b): int => $a['at'] <=> $b['at']);
        foreach ($stations as $i => $s) {
            if (! ($s['tir'] >= 0)) {
                throw new BadInput('tir', "stations.{$i}.tir_mm", 'The full reading of the indicator is zero or more.');
            }
            if ($i > 0 && ! ($s['at'] > $stations[$i - 1]['at'])) {
                throw new BadInput('at', "stations.{$i}.at_mm", 'Two stations lie in one place.');
            }
        }
        $at = array_column($stations, 'at');
        $x = array_map(static fn (array $s): float => ($s['tir'] / 2) * cos(deg2rad($s['high'])), $stations);
        $y = array_map(static fn (array $s): float => ($s['tir'] / 2) * sin(deg2rad($s['high'])), $stations);
        $last = count($at) - 1;
        $kink = $last === 2 ? $at[1] : self::place($at, $x, $y);
        [$fx, $fy] = [self::lines($at, $x, $kink), self::lines($at, $y, $kink)];
        if ($fx === null || $fy === null) {
            throw new BadInput('stations', 'stations', 'The stations lie too near each other to show a bend.');
        }
        $c = [$fx->found[2] ?? 0.0, $fy->found[2] ?? 0.0];
        // Of the two lines together, the corner is farthest from the straight line through their ends.
        $long = $at[$last] - $at[0];
        $share = (($kink - $at[0]) * ($at[$last] - $kink)) / $long;

        return new self(
            $kink,
            rad2deg(atan(hypot(...$c))),
            hypot(...$c) > 0 ? rad2deg(atan2($c[1], $c[0])) : 0.0,
            hypot(...$c) * $share,
        );
    }

    /**
     * @param  non-empty-list<float>  $at
     * @param  list<float>  $x
     * @param  list<float>  $y
     */
    private static function place(array $at, array $x, array $y): float
    {
        $n = count($at);
        $mean = array_sum($at) / $n;
        $along = array_map(static fn (float $s): float => $s - $mean, $at);
        $spread = array_sum(array_map(static fn (float $a): float => $a ** 2, $along));
        $off = [self::offTheLine($along, $spread, $x), self::offTheLine($along, $spread, $y)];
        // What a corner at a place explains of what one straight line leaves; the most is the least squares.
        $leaves = static function (float $kink) use ($at, $along, $spread, $off, $n): float {
            [$sum, $squares, $slope, $inX, $inY] = [0.0, 0.0, 0.0, 0.0, 0.0];
            foreach ($at as $i => $s) {
                $h = $s - $kink;
                if ($h > 0) {
                    $sum += $h;
                    $squares += $h * $h;
                    $slope += $along[$i] * $h;
                    $inX += $h * $off[0][$i];
                    $inY += $h * $off[1][$i];
                }
            }
            $own = $squares - ($sum * $sum) / $n - ($slope * $slope) / $spread;

            return $own < 1e-12 ? 0.0 : -($inX * $inX + $inY * $inY) / $own;
        };

        return Lowest::between($leaves, $at[1], $at[$n - 2])[0];
    }

    /**
     * @param  list<float>  $along  from the middle
     * @param  list<float>  $values
     * @return list<float> what a straight line through them leaves
     */
    private static function offTheLine(array $along, float $spread, array $values): array
    {
        $mean = array_sum($values) / count($values);
        $slope = array_sum(array_map(static fn (float $a, float $v): float => $a * $v, $along, $values)) / $spread;

        return array_map(static fn (float $a, float $v): float => $v - $mean - $slope * $a, $along, $values);
    }

    /**
     * @param  list<float>  $at
     * @param  list<float>  $values
     */
    private static function lines(array $at, array $values, float $kink): ?LinearFit
    {
        $rows = array_map(static fn (float $s): array => [1.0, $s - $at[0], max(0.0, $s - $kink)], $at);

        return LinearFit::of($rows, $values, array_fill(0, count($at), 1.0));
    }
}
