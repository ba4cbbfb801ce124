<?php

declare(strict_types=1);

namespace Oldpart\Core\Casting;

use Oldpart\Core\Advice\BadInput;

/** What is left to bore a side, at its thinnest, where the rough bore lies off the axis that governs; mm. */
final readonly class EndsStock
{
    public float $nearMm;

    public float $farMm;

    /** @throws BadInput for a bore of nothing */
    public function __construct(
        private float $roughMm,
        float $finishedMm,
        private float $offNearMm,
        private float $offFarMm,
    ) {
        if (! ($roughMm > 0) || ! ($finishedMm > 0)) {
            throw new BadInput('bore', $roughMm > 0 ? 'finished_mm' : 'rough_mm', 'Rough and finished bore must be above zero.');
        }
        $stock = ($finishedMm - $roughMm) / 2;
        $this->nearMm = $stock - abs($offNearMm);
        $this->farMm = $stock - abs($offFarMm);
    }

    /** The smallest finished bore that cleans up by so much a side. */
    public function leastBoreMm(float $cleanMm): float
    {
        return $this->roughMm + 2 * (max(abs($this->offNearMm), abs($this->offFarMm)) + max(0.0, $cleanMm));
    }
}
