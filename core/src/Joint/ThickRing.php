<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

/**
 * Thick cylinders under pressure at the joint, plane stress, elastic. All diameters in mm, pressures and stresses in
 * MPa, changes on diameter in mm. Sources: Lamé; Shigley's Mechanical Engineering Design, press and shrink fits.
 */
final readonly class ThickRing
{
    /**
     * The joint pressure per mm of interference, MPa/mm:
     * p/δ = 1 / { d [ (1/E_o)((d_o² + d²)/(d_o² − d²) + ν_o) + (1/E_i)((d² + d_i²)/(d² − d_i²) − ν_i) ] }
     */
    public static function stiffness(PressFit $fit): float
    {
        return $fit->backing->stiffnessMpaMm ??
            1 /
                ($fit->diameterMm *
                    ((self::outerRatio($fit) + $fit->outer->nu) / ($fit->outer->eGpa * 1000) +
                        (self::innerRatio($fit) - $fit->inner->nu) / ($fit->inner->eGpa * 1000)));
    }

    /** (d_o² + d²)/(d_o² − d²): the hoop stress at the outer part's bore per unit of pressure. */
    public static function outerRatio(PressFit $fit): float
    {
        return $fit->backing->hoopRatio ??
            ($fit->outerOdMm ** 2 + $fit->diameterMm ** 2) / ($fit->outerOdMm ** 2 - $fit->diameterMm ** 2);
    }

    /** (d² + d_i²)/(d² − d_i²): the hoop compression at the inner part's outside per unit of pressure. */
    public static function innerRatio(PressFit $fit): float
    {
        return ($fit->diameterMm ** 2 + $fit->innerBoreMm ** 2) / ($fit->diameterMm ** 2 - $fit->innerBoreMm ** 2);
    }

    /** Hoop stress at the bore of a hollow inner part: −2 p d²/(d² − d_i²). */
    public static function innerBoreHoop(PressFit $fit, float $pressure): float
    {
        return (-2 * $pressure * $fit->diameterMm ** 2) / ($fit->diameterMm ** 2 - $fit->innerBoreMm ** 2);
    }

    /** Closing of the bore: 2 p d² d_i / (E_i (d² − d_i²)); 0 for a solid inner part. */
    public static function boreClosing(PressFit $fit, float $pressure): float
    {
        return (-self::innerBoreHoop($fit, $pressure) * $fit->innerBoreMm) / ($fit->inner->eGpa * 1000);
    }

    /** Growth of the outside: 2 p d² d_o / (E_o (d_o² − d²)). */
    public static function outerGrowth(PressFit $fit, float $pressure): float
    {
        return $fit->backing !== null
            ? $pressure * $fit->backing->outerGrowthMmMpa
            : (2 * $pressure * $fit->diameterMm ** 2 * $fit->outerOdMm) /
                    ($fit->outer->eGpa * 1000 * ($fit->outerOdMm ** 2 - $fit->diameterMm ** 2));
    }

    /**
     * The pressure at which the whole outer ring has given, σ_y ln(d_o/d): whatever the interference, it can't rise
     * further; null where no yield is known. Source: Tresca ring in full plasticity (Timoshenko, Strength of
     * Materials).
     */
    public static function plasticPressure(PressFit $fit): ?float
    {
        return $fit->outer->yieldMpa === null || $fit->outer->brittle
            ? null
            : $fit->outer->yieldMpa * log($fit->outerOdMm / $fit->diameterMm);
    }

    /** Von Mises at the outer part's bore: hoop +p·ratio, radial −p, no axial stress. */
    public static function outerMises(PressFit $fit, float $pressure): float
    {
        $hoop = $pressure * self::outerRatio($fit);

        return sqrt($hoop ** 2 + $hoop * $pressure + $pressure ** 2);
    }

    /** The greatest von Mises stress in the inner part: at its bore when hollow, p throughout when solid. */
    public static function innerMises(PressFit $fit, float $pressure): float
    {
        return $fit->isHollow() ? abs(self::innerBoreHoop($fit, $pressure)) : $pressure;
    }
}
