<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Quantity\Range;

/**
 * What a press fit does over its whole range of interference. Pressure and stress in MPa, movements on diameter in
 * mm, force in N, torque in N·m.
 */
final readonly class Press implements \JsonSerializable
{
    /** @param  list<Note>  $notes */
    private function __construct(
        public PressFit $fit,
        public Range $effectiveMm,
        public Range $pressureMpa,
        public Range $outerHoopMpa,
        public ?Range $innerBoreHoopMpa,
        public Range $boreClosingMm,
        public Range $outerGrowthMm,
        public Range $holdAxialN,
        public Range $holdTorqueNm,
        public float $pressForceN,
        public ?float $outerFactor,
        public ?float $innerFactor,
        public array $notes,
        public Working $working,
    ) {
    }

    /**
     * Elastic. Holding: the low friction with the least pressure, to the high friction with the greatest. Press force
     * at full depth: F = μ_high · p_max · π d L. Factors: worst case; a ductile part's yield over von Mises, a brittle
     * outer part's tensile strength over its hoop stress; null where no limit is known or applies.
     *
     * Sources: Lamé; Shigley, press and shrink fits; DIN 7190-1 for the loss to roughness, δ − 0.8 (Rz_i + Rz_o).
     */
    public static function of(PressFit $fit): self
    {
        $loss = 0.8 * (($fit->rzInnerUm ?? 0.0) + ($fit->rzOuterUm ?? 0.0)) / 1000;
        $effective = new Range(max(0.0, $fit->interferenceMm->min - $loss), max(0.0, $fit->interferenceMm->max - $loss));
        $stiffness = ThickRing::stiffness($fit);
        $pressure = $effective->times($stiffness);
        $area = M_PI * $fit->diameterMm * $fit->lengthMm;
        $axial = new Range($fit->friction->low * $pressure->min * $area, $fit->friction->high * $pressure->max * $area);
        $outerFactor = self::outerFactor($fit, $pressure->max);
        $innerFactor = self::innerFactor($fit, $pressure->max);
        $closing = new Range(ThickRing::boreClosing($fit, $pressure->min), ThickRing::boreClosing($fit, $pressure->max));
        $torque = $axial->times($fit->diameterMm / 2000);

        return new self(
            $fit, $effective, $pressure,
            $pressure->times(ThickRing::outerRatio($fit)),
            $fit->isHollow() ? Range::of(ThickRing::innerBoreHoop($fit, $pressure->max), ThickRing::innerBoreHoop($fit, $pressure->min)) : null,
            $closing,
            new Range(ThickRing::outerGrowth($fit, $pressure->min), ThickRing::outerGrowth($fit, $pressure->max)),
            $axial, $torque, $axial->max, $outerFactor, $innerFactor,
            PressAdvice::notes($fit, $effective, $outerFactor, $innerFactor),
            PressAdvice::working($fit, $effective, $stiffness, $pressure, $closing, $axial, $torque, $outerFactor),
        );
    }

    /** The force at each tenth of the depth, N, with the high friction and the greatest pressure: it rises straight. */
    public function forceAtDepth(float $depthMm): float
    {
        return $this->pressForceN * min(1.0, max(0.0, $depthMm / $this->fit->lengthMm));
    }

    private static function outerFactor(PressFit $fit, float $pressure): ?float
    {
        if ($pressure <= 0) {
            return null;
        }
        if ($fit->outer->brittle) {
            return $fit->outer->tensileMpa === null ? null : $fit->outer->tensileMpa / ($pressure * ThickRing::outerRatio($fit));
        }

        return $fit->outer->yieldMpa === null ? null : $fit->outer->yieldMpa / ThickRing::outerMises($fit, $pressure);
    }

    /** A brittle inner part is squeezed, not pulled: its tensile limit does not apply. */
    private static function innerFactor(PressFit $fit, float $pressure): ?float
    {
        return $pressure <= 0 || $fit->inner->brittle || $fit->inner->yieldMpa === null
            ? null
            : $fit->inner->yieldMpa / ThickRing::innerMises($fit, $pressure);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'effective_interference_mm' => $this->effectiveMm,
            'pressure_mpa' => $this->pressureMpa,
            'outer_hoop_mpa' => $this->outerHoopMpa,
            'inner_bore_hoop_mpa' => $this->innerBoreHoopMpa,
            'bore_closing_mm' => $this->boreClosingMm,
            'outer_growth_mm' => $this->outerGrowthMm,
            'hold_axial_n' => $this->holdAxialN,
            'hold_torque_nm' => $this->holdTorqueNm,
            'press_force_n' => $this->pressForceN,
            'outer_factor' => $this->outerFactor,
            'inner_factor' => $this->innerFactor,
            'friction' => ['low' => $this->fit->friction->low, 'high' => $this->fit->friction->high],
            'notes' => $this->notes,
            'working' => $this->working,
        ];
    }
}
