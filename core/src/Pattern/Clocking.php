<?php

declare(strict_types=1);

namespace Oldpart\Core\Pattern;

/** Two hole circles about one centre, one turned so that most metal is left between their holes. */
final readonly class Clocking
{
    private function __construct(public float $turnDeg, public float $wallMm)
    {
    }

    /**
     * @param  float  $holeAMm  of each hole of a, above 0
     * @param  float  $holeBMm  of each hole of b, above 0
     *
     * Source: the two nearest lie symmetrically to the middle of the widest gap between them; law of cosines.
     */
    public static function of(HoleCircle $a, float $holeAMm, HoleCircle $b, float $holeBMm): self
    {
        $period = 360 / $b->holes;
        $apart = [];
        foreach (range(0, $a->holes - 1) as $i) {
            $at = fmod($a->startDeg + (360 * $i) / $a->holes - $b->startDeg, $period);
            $apart[] = $at < 0 ? $at + $period : $at;
        }
        sort($apart);
        [$turn, $widest] = [0.0, -1.0];
        foreach ($apart as $i => $from) {
            $to = $apart[$i + 1] ?? $apart[0] + $period;
            if ($to - $from > $widest + 1e-9) {
                [$turn, $widest] = [fmod(($from + $to) / 2, $period), $to - $from];
            }
        }
        [$ra, $rb] = [$a->diameterMm / 2, $b->diameterMm / 2];
        $between = sqrt(max(0.0, $ra ** 2 + $rb ** 2 - 2 * $ra * $rb * cos(deg2rad($widest / 2))));

        return new self($turn, $between - ($holeAMm + $holeBMm) / 2);
    }
}
