<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Material;

/**
 * Three rings in each other: a bush in a liner in a housing, each fit with its own interference. Plane stress, elastic;
 * diameters mm, pressures
 * MPa, movements on diameter mm. Source: Lamé thick cylinders, the two pressures from both fits meeting at once.
 */
final readonly class NestedRings
{
    /**
     * @param  float  $innerPressureMpa  between bush and liner
     * @param  float  $outerPressureMpa  between liner and housing
     * @param  float  $boreClosingMm  of the bush
     * @param  float  $linerClosingMm  of the liner's bore when it is pressed in alone, before the bush
     * @param  float  $housingHoopMpa  at the housing's bore
     */
    private function __construct(
        public float $innerPressureMpa,
        public float $outerPressureMpa,
        public float $boreClosingMm,
        public float $linerClosingMm,
        public float $housingHoopMpa,
    ) {
    }

    /**
     * @param  list{float, float, float, float}  $diametersMm  bore of the bush (0: solid), bush in liner, liner in housing, outside: rising
     * @param  float  $innerInterferenceMm  bush in liner, as it is with the liner already in place; 0 or more
     * @param  float  $outerInterferenceMm  liner in housing; 0 or more
     * @param  list{Material, Material, Material}  $materials  bush, liner, housing
     *
     * @throws BadInput for diameters that do not rise, or a material without stiffness
     */
    public static function of(
        array $diametersMm,
        float $innerInterferenceMm,
        float $outerInterferenceMm,
        array $materials,
    ): self {
        [$d0, $d1, $d2, $d3] = $diametersMm;
        if (! ($d0 >= 0 && $d1 > $d0 && $d2 > $d1 && $d3 > $d2 && is_finite($d3))) {
            throw new BadInput(
                'out-of-range',
                'diameters_mm',
                'Four diameters that rise, from the bore of the bush to the outside of the housing.',
            );
        }
        if (! ($innerInterferenceMm >= 0) || ! ($outerInterferenceMm >= 0)) {
            throw new BadInput('out-of-range', 'interference_mm', 'An interference is zero or more.');
        }
        foreach ($materials as $material) {
            if ($material->eGpa <= 0 || $material->nu === null) {
                throw new BadInput('material', 'materials', 'Each ring needs its stiffness and Poisson’s ratio.');
            }
        }
        [$bush, $liner, $housing] = $materials;
        // How much each face moves outward on diameter for a MPa at either of the two joints.
        $out = static fn (
            float $a,
            float $b,
            Material $m,
            float $at,
            float $inside,
            float $outside,
        ): float => self::movement(a: $a, b: $b, m: $m, at: $at, inside: $inside, outside: $outside);
        $a11 = $out($d1, $d2, $liner, $d1, 1, 0) - $out($d0, $d1, $bush, $d1, 0, 1);
        $a12 = $out($d1, $d2, $liner, $d1, 0, 1);
        $a21 = -$out($d1, $d2, $liner, $d2, 1, 0);
        $a22 = $out($d2, $d3, $housing, $d2, 1, 0) - $out($d1, $d2, $liner, $d2, 0, 1);
        // The liner pressed in alone closes by so much; the bush is sized to the liner as it then is.
        $alone = $outerInterferenceMm / $a22;
        $closed = -$out($d1, $d2, $liner, $d1, 0, $alone);
        $first = $innerInterferenceMm - $closed;
        $determinant = $a11 * $a22 - $a12 * $a21;
        $p1 = ($first * $a22 - $a12 * $outerInterferenceMm) / $determinant;
        $p2 = ($a11 * $outerInterferenceMm - $a21 * $first) / $determinant;

        return new self(
            $p1,
            $p2,
            $d0 > 0 ? -$out($d0, $d1, $bush, $d0, 0, $p1) : 0.0,
            $closed,
            ($p2 * ($d3 ** 2 + $d2 ** 2)) / ($d3 ** 2 - $d2 ** 2),
        );
    }

    /** How much the diameter of a ring at a face moves outward under a pressure inside and one outside. */
    private static function movement(float $a, float $b, Material $m, float $at, float $inside, float $outside): float
    {
        $e = $m->eGpa * 1000;
        $nu = (float) $m->nu;
        $wall = $b ** 2 - $a ** 2;
        $even = ((((1 - $nu) / $e) * ($inside * $a ** 2 - $outside * $b ** 2)) / $wall) * $at;

        return $even + ($a > 0 ? (((1 + $nu) / $e) * ($inside - $outside) * $a ** 2 * $b ** 2) / ($wall * $at) : 0.0);
    }
}
