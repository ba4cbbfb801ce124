<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;

/**
 * An outer part whose outside steps along the joint: each stretch presses as a ring of its own thickness, with the same interference.
 * Source: Lamé, stretch by stretch; the steps' help to each other is left out, on the safe side.
 */
final readonly class SteppedRing
{
    /**
     * @param  float  $pressureMpa  mean over the length, by which it holds
     * @param  float  $greatestHoopMpa  in the stretch that is pulled most
     * @param  float  $weakestOdMm  the outside of that stretch
     * @param  float  $equivalentOdMm  of a plain ring that would hold as much
     */
    private function __construct(public float $pressureMpa, public float $greatestHoopMpa, public float $weakestOdMm, public float $equivalentOdMm)
    {
    }

    /**
     * @param  PressFit  $fit  the joint, its own outside left aside
     * @param  non-empty-list<array{od_mm: float, length_mm: float}>  $stretches  along the joint
     *
     * @throws BadInput for a stretch without length, or no larger than the joint
     */
    public static function of(PressFit $fit, array $stretches): self
    {
        $whole = $sum = $hoop = 0.0;
        $weakest = $stretches[0]['od_mm'];
        foreach ($stretches as $stretch) {
            if (! ($stretch['length_mm'] > 0)) {
                throw new BadInput('out-of-range', 'length_mm', 'Each stretch of the outside has a length above zero.');
            }
            $own = self::at($fit, $stretch['od_mm']);
            $pressure = $fit->interferenceMm->max * ThickRing::stiffness($own);
            $whole += $stretch['length_mm'];
            $sum += $pressure * $stretch['length_mm'];
            if ($pressure * ThickRing::outerRatio($own) > $hoop) {
                $hoop = $pressure * ThickRing::outerRatio($own);
                $weakest = $stretch['od_mm'];
            }
        }
        $mean = $sum / $whole;
        // The plain ring with the mean pressure: stiffness rises with the outside.
        [$low, $high] = [min(array_column($stretches, 'od_mm')), max(array_column($stretches, 'od_mm'))];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            $fit->interferenceMm->max * ThickRing::stiffness(self::at($fit, $middle)) < $mean ? $low = $middle : $high = $middle;
        }

        return new self($mean, $hoop, $weakest, ($low + $high) / 2);
    }

    private static function at(PressFit $fit, float $odMm): PressFit
    {
        return new PressFit($fit->diameterMm, $fit->innerBoreMm, $odMm, $fit->lengthMm, $fit->interferenceMm, $fit->inner, $fit->outer, $fit->friction);
    }
}
