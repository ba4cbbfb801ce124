<?php

declare(strict_types=1);

namespace Oldpart\Core\Shaft;

use Oldpart\Core\Advice\BadInput;

/** The mass that takes an unbalance out, and the hole that is it. Source: m r = U. */
final readonly class Correction
{
    public float $massG;

    public float $deepMm;

    /**
     * @param  float  $unbalanceGmm  0 or more
     * @param  float  $radiusMm  where it is drilled, above 0
     *
     * @throws BadInput for a hole of nothing
     */
    public function __construct(float $unbalanceGmm, float $radiusMm, float $drillMm, float $densityKgM3)
    {
        foreach (
            ['radius_mm' => $radiusMm, 'drill_mm' => $drillMm, 'density_kg_m3' => $densityKgM3] as $field => $value
        ) {
            if (! ($value > 0)) {
                throw new BadInput('size', $field, 'Radius, drill and density must be above zero.');
            }
        }
        if (! ($unbalanceGmm >= 0)) {
            throw new BadInput('unbalance', 'unbalance_gmm', 'The unbalance is zero or more: drill on the heavy side.');
        }
        $this->massG = $unbalanceGmm / $radiusMm;
        $this->deepMm = $this->massG / ((($densityKgM3 / 1e6) * M_PI * $drillMm ** 2) / 4);
    }
}
