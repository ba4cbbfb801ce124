<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Catalogue\Material;

/**
 * A housing round the outer part of a joint, into which that part is itself pressed: it stiffens it, and takes some of
 * the pull. Elastic, and as long as the outer part stays in contact with its housing. Source: Lamé, both joints at once
 * (NestedRings).
 */
final readonly class Backing
{
    /** Any will do: all is in proportion. */
    private const TRIAL_MM = 0.01;

    /**
     * @param  float  $stiffnessMpaMm  pressure of the joint by its interference
     * @param  float  $hoopRatio  hoop stress at the outer part's bore per pressure; what its own fit presses it together with is left out, on the safe side
     * @param  float  $outerGrowthMmMpa  of the outer part's outside on diameter, per pressure
     */
    private function __construct(
        public float $stiffnessMpaMm,
        public float $hoopRatio,
        public float $outerGrowthMmMpa,
    ) {
    }

    /** @param  float  $housingOdMm  above the outer part's outside */
    public static function of(PressFit $fit, float $housingOdMm, Material $housing): self
    {
        [$d1, $d2, $d3] = [$fit->diameterMm, $fit->outerOdMm, $housingOdMm];
        $nested = NestedRings::of([$fit->innerBoreMm, $d1, $d2, $d3], self::TRIAL_MM, 0.0, [
            $fit->inner,
            $fit->outer,
            $housing,
        ]);
        [$p1, $p2] = [$nested->innerPressureMpa, $nested->outerPressureMpa];

        return new self(
            $p1 / self::TRIAL_MM,
            ($p1 * ($d1 ** 2 + $d2 ** 2) - 2 * $p2 * $d2 ** 2) / ($d2 ** 2 - $d1 ** 2) / $p1,
            // The housing's bore goes with it: u = p d ((d_o² + d²)/(d_o² − d²) + ν)/E.
            (($p2 / $p1) * $d2 * (($d3 ** 2 + $d2 ** 2) / ($d3 ** 2 - $d2 ** 2) + (float) $housing->nu)) /
                ($housing->eGpa * 1000),
        );
    }
}
