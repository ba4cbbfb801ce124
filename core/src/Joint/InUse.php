<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Material;

/** What heat and speed in use do to an interference. */
final class InUse
{
    /**
     * The interference when each part is at a temperature of its own, mm on diameter:
     * δ = δ₂₀ + d (ε_i − ε_o), ε the strain against 20 °C. Source: linear expansion.
     *
     * @throws BadInput for a material without its expansion
     */
    public static function interferenceAt(
        float $diameterMm,
        float $interferenceMm,
        Material $inner,
        Material $outer,
        float $innerC,
        float $outerC,
    ): float {
        foreach (['inner' => $inner, 'outer' => $outer] as $which => $material) {
            if ($material->alphaPerK === null) {
                throw new BadInput(
                    'material',
                    "{$which}.alpha_per_k",
                    "How far the {$which} part’s material expands is needed.",
                );
            }
        }

        return $interferenceMm +
            $diameterMm *
                (Expansion::strain((float) $inner->alphaPerK, $innerC) -
                    Expansion::strain((float) $outer->alphaPerK, $outerC));
    }

    /**
     * The temperature, both parts alike, at which an interference is gone; null where it only gets tighter with heat,
     * or never goes up to
     * 400 °C.
     */
    public static function goneAtC(float $diameterMm, float $interferenceMm, Material $inner, Material $outer): ?float
    {
        $difference = ((float) $outer->alphaPerK - (float) $inner->alphaPerK) * $diameterMm;
        if ($difference <= 0) {
            return null;
        }
        if ($interferenceMm <= 0) {
            return 20.0;
        }
        $at = 20 + $interferenceMm / $difference;

        return $at <= 400 ? $at : null;
    }

    /**
     * By how much turning loosens it, mm on diameter per (rad/s)², after rotating discs: outer u = ρ b/(4E) [(3+ν) c² +
     * (1−ν) b²], inner u = ρ b/(4E) [(1−ν) b² + (3+ν) a²] with radii a bore, b joint, c outside; the interference falls
     * by 2 (u_o − u_i). Source: Timoshenko, rotating discs; Shigley.
     */
    public static function lossPerSpeedSquared(PressFit $fit): float
    {
        [$a, $b, $c] = [$fit->innerBoreMm / 2000, $fit->diameterMm / 2000, $fit->outerOdMm / 2000];
        $outer =
            ((self::density($fit->outer, 'outer') * $b) / (4 * $fit->outer->eGpa * 1e9)) *
            ((3 + (float) $fit->outer->nu) * $c ** 2 + (1 - (float) $fit->outer->nu) * $b ** 2);
        $inner =
            ((self::density($fit->inner, 'inner') * $b) / (4 * $fit->inner->eGpa * 1e9)) *
            ((1 - (float) $fit->inner->nu) * $b ** 2 + (3 + (float) $fit->inner->nu) * $a ** 2);

        return 2000 * ($outer - $inner);
    }

    /** The speed at which an interference is gone, rev/min; null where turning does not loosen it. */
    public static function goneAtRpm(PressFit $fit, float $interferenceMm): ?float
    {
        $loss = self::lossPerSpeedSquared($fit);

        return $loss <= 0 || $interferenceMm <= 0 ? null : (sqrt($interferenceMm / $loss) * 60) / (2 * M_PI);
    }

    private static function density(Material $material, string $which): float
    {
        return $material->densityKgM3 ??
            throw new BadInput(
                'material',
                "{$which}.density_kg_m3",
                "How heavy the {$which} part’s material is is needed.",
            );
    }
}
