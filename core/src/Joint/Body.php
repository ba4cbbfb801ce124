<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Material;

/**
 * A part as one lump of heat: what it is of, how much of it, how much surface it loses heat through, and how warm it
 * is.
 */
final readonly class Body
{
    public function __construct(
        public Material $material,
        public float $volumeMm3,
        public float $areaMm2,
        public float $celsius,
    ) {
        if (! is_finite($volumeMm3) || ! is_finite($areaMm2) || $volumeMm3 <= 0 || $areaMm2 <= 0) {
            throw new BadInput('out-of-range', 'volume_mm3', 'A part has a volume and a surface above zero.');
        }
        if ($material->densityKgM3 === null || $material->specificHeatJKgK === null || $material->alphaPerK === null) {
            throw new BadInput(
                'material',
                'material',
                'To say how fast it cools, density, specific heat and expansion of its material are needed.',
            );
        }
    }

    /** A ring or a plug by its sizes; both ends count. */
    public static function ring(
        Material $material,
        float $outsideMm,
        float $boreMm,
        float $lengthMm,
        float $celsius,
    ): self {
        $end = (M_PI / 4) * ($outsideMm ** 2 - $boreMm ** 2);

        return new self($material, $end * $lengthMm, 2 * $end + M_PI * ($outsideMm + $boreMm) * $lengthMm, $celsius);
    }

    /** τ = ρ c V/(h A), s. Source: lumped capacitance (Incropera, transient conduction). */
    public function timeConstantS(float $h): float
    {
        return ((float) $this->material->densityKgM3 *
            (float) $this->material->specificHeatJKgK *
            ($this->volumeMm3 / $this->areaMm2 / 1000)) /
            $h;
    }

    public function celsiusAfter(float $seconds, float $roomC, float $h): float
    {
        return $roomC + ($this->celsius - $roomC) * exp(-$seconds / $this->timeConstantS($h));
    }
}
