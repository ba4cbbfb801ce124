<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

/**
 * How far a size moves with temperature, as a share of it, from 20 °C. Above 20 °C the table's expansion holds; toward
 * the cold it falls: its mean down to −196 °C is about a quarter lower (steel 8.8, bronze 14, aluminium 18 e-6/K),
 * taken as falling evenly. Source: general handbook knowledge of cryogenic contraction.
 */
final class Expansion
{
    public const COLDEST_C = -196.0;

    private const LOWER_BY = 0.25;

    /**
     * @param  float  $alphaPerK  of the table, 20 to 100 °C
     * @return float the strain at a temperature against 20 °C, negative in the cold
     */
    public static function strain(float $alphaPerK, float $celsius): float
    {
        $dt = $celsius - 20;

        return $dt >= 0 ? $alphaPerK * $dt : $alphaPerK * $dt * (1 - (self::LOWER_BY * -$dt) / (20 - self::COLDEST_C));
    }

    /**
     * The temperature at which it has shrunk by a strain (positive) against 20 °C; null where even liquid nitrogen does
     * not do it.
     */
    public static function chilledBy(float $alphaPerK, float $strain): ?float
    {
        $span = 20 - self::COLDEST_C;
        // α ΔT (1 − ¼ ΔT/216) = strain: the smaller root.
        $inside = 1 - (((4 * self::LOWER_BY) / $span) * $strain) / $alphaPerK;
        if ($inside < 0) {
            return null;
        }
        $dt = ((1 - sqrt($inside)) * $span) / (2 * self::LOWER_BY);

        return $dt <= $span + 1e-9 ? 20 - $dt : null;
    }
}
