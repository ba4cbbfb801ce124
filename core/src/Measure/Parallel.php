<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Number\LinearFit;

/**
 * A thickness or length read round a face: how far its two faces are from parallel and from flat, and what a facing cut
 * takes to clean it up.
 * The wedge is the best plane through the readings on one circle, t(θ) = m + a cos θ + b sin θ, by least squares.
 */
final readonly class Parallel
{
    /**
     * @param  float  $wedgeMm  thickest less thinnest of the plane, across the circle
     * @param  float  $thickestDeg  where it is thickest
     * @param  ?float  $offFlatMm  from the highest to the lowest above that plane; null where three places always lie on one
     * @param  float  $cleanUpMm  from the thickest place to the thinnest: what facing parallel to the other face takes off there
     */
    private function __construct(
        public float $wedgeMm,
        public float $thickestDeg,
        public ?float $offFlatMm,
        public float $cleanUpMm,
    ) {
    }

    /**
     * Null where the places do not go round: fewer than three ways, or all within half a turn.
     *
     * @param  list<array{deg: float, mm: float}>  $spots  one or more at each angle
     */
    public static function of(array $spots): ?self
    {
        $at = [];
        foreach ($spots as $spot) {
            $at[(string) round(fmod(fmod($spot['deg'], 360.0) + 360.0, 360.0), 3)][] = $spot['mm'];
        }
        $angles = array_map(floatval(...), array_keys($at));
        sort($angles);
        $widest = 0.0;
        foreach ($angles as $i => $deg) {
            $widest = max($widest, ($angles[$i + 1] ?? $angles[0] + 360.0) - $deg);
        }
        if (count($angles) < 3 || $widest > 180.0 + 1e-9) {
            return null;
        }
        $means = array_map(static fn (array $values): float => array_sum($values) / count($values), array_values($at));
        $of = array_map(floatval(...), array_keys($at));
        $fit = LinearFit::of(
            array_map(static fn (float $d): array => [1.0, cos(deg2rad($d)), sin(deg2rad($d))], $of),
            $means,
            array_fill(0, count($means), 1.0),
        );
        if ($fit === null) {
            return null;
        }
        [$m, $a, $b] = $fit->found;
        $residuals = [];
        foreach ($of as $i => $deg) {
            $residuals[] = $means[$i] - $m - $a * cos(deg2rad($deg)) - $b * sin(deg2rad($deg));
        }

        return new self(
            2 * hypot($a, $b),
            fmod(rad2deg(atan2($b, $a)) + 360.0, 360.0),
            count($of) > 3 ? self::between($residuals) : null,
            self::between(array_column($spots, 'mm')),
        );
    }

    /** @param  list<float>  $values */
    private static function between(array $values): float
    {
        return $values === [] ? 0.0 : max($values) - min($values);
    }
}
