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
    /**
     * @param  Range  $effectiveMm  on the mean of the mate, at 20 °C, less what the roughness takes
     * @param  Range  $gripMm  from what is sure at the loosest spot, warm or cold, to the most at the tightest
     * @param  float  $pressForceLeastN  that must be seen at full depth
     * @param  float  $stiffnessMpaMm  mean over the length
     * @param  list<Note>  $notes
     * @param  non-empty-list<PressFit>  $stretches  along the joint, each with its own walls; one where they are alike
     */
    private function __construct(
        public PressFit $fit,
        public Range $effectiveMm,
        public Range $gripMm,
        public Range $pressureMpa,
        public Range $outerHoopMpa,
        public ?Range $innerBoreHoopMpa,
        public Range $boreClosingMm,
        public Range $outerGrowthMm,
        public Range $holdAxialN,
        public Range $holdTorqueNm,
        public float $pressForceN,
        public float $pressForceLeastN,
        public float $stiffnessMpaMm,
        public ?float $outerFactor,
        public ?float $innerFactor,
        public array $notes,
        public Working $working,
        public array $stretches,
    ) {
    }

    /**
     * Elastic. Holding: the low friction with what is left at the loosest spot, rough and in the worse of cold and
     * running warm. Cracking and yield: the tightest spot, smooth, in the worse of both. Closing: from the loosest to
     * the tightest station. Press force at full depth: the high friction with the mean over the stations. Factors: a
     * ductile part's yield over von Mises, a brittle outer part's tensile strength over its hoop stress; null where no
     * limit is known or applies.
     *
     * Sources: Lamé; Shigley, press and shrink fits; DIN 7190-1 for the loss to roughness, δ − 0.8 (Rz_i + Rz_o);
     * linear expansion.
     */
    public static function of(PressFit $fit): self
    {
        $loss = Roughness::loss($fit->roughInner, $fit->roughOuter);
        $left = static fn (float $mm): float => max(0.0, $mm);
        [$least, $most] = [$fit->interferenceMm->min - $loss->max, $fit->interferenceMm->max - $loss->min];
        $warm = $fit->warmMm() ?? 0.0;
        $stiffness = ThickRing::stiffness($fit);
        $effective = new Range($left($least), $left($most));
        $grip = new Range(
            $left($least - $fit->form->looserMm + min(0.0, $warm)),
            $left($most + $fit->form->tighterMm + max(0.0, $warm)),
        );
        $pressure = $grip->times($stiffness);
        $stations = new Range(
            $left($least + min($fit->form->alongMm)) * $stiffness,
            $left($most + max($fit->form->alongMm)) * $stiffness,
        );
        $area = M_PI * $fit->diameterMm * $fit->lengthMm;
        $force = $fit->friction->high * $stiffness * $fit->form->meanOf($most) * $area;
        $axial = Range::of(
            $fit->friction->low * $pressure->min * $area,
            max($force, $fit->friction->low * $pressure->min * $area),
        );
        $outerFactor = self::outerFactor($fit, $pressure->max);
        $innerFactor = self::innerFactor($fit, $pressure->max);
        $closing = new Range(
            ThickRing::boreClosing($fit, $stations->min),
            ThickRing::boreClosing($fit, $stations->max),
        );
        $torque = $axial->times($fit->diameterMm / 2000);

        return new self(
            fit: $fit,
            effectiveMm: $effective,
            gripMm: $grip,
            pressureMpa: $pressure,
            outerHoopMpa: $pressure->times(ThickRing::outerRatio($fit)),
            innerBoreHoopMpa: $fit->isHollow()
                ? Range::of(
                    ThickRing::innerBoreHoop($fit, $pressure->max),
                    ThickRing::innerBoreHoop($fit, $pressure->min),
                )
                : null,
            boreClosingMm: $closing,
            outerGrowthMm: new Range(
                ThickRing::outerGrowth($fit, $stations->min),
                ThickRing::outerGrowth($fit, $stations->max),
            ),
            holdAxialN: $axial,
            holdTorqueNm: $torque,
            pressForceN: $force,
            pressForceLeastN: $fit->friction->low * $stiffness * $fit->form->meanOf($least) * $area,
            stiffnessMpaMm: $stiffness,
            outerFactor: $outerFactor,
            innerFactor: $innerFactor,
            notes: PressAdvice::notes($fit, $effective, $grip, $outerFactor, $innerFactor),
            working: PressAdvice::working(
                fit: $fit,
                effective: $effective,
                grip: $grip,
                stiffness: $stiffness,
                pressure: $pressure,
                closing: $closing,
                axial: $axial,
                torque: $torque,
                outerFactor: $outerFactor,
            ),
            stretches: [$fit],
        );
    }

    /**
     * A joint whose walls step along it: each stretch presses as rings of its own thickness with the same interference;
     * what they hold and ask for is added, the stretch that stands least decides. Source: Lamé, stretch by stretch; the
     * steps' help to each other is left out, on the safe side.
     *
     * @param  non-empty-list<PressFit>  $stretches
     */
    public static function along(array $stretches): self
    {
        if (count($stretches) === 1) {
            return self::of($stretches[0]);
        }
        $all = array_map(self::of(...), $stretches);
        $sum = static fn (callable $of): float => array_sum(array_map($of, $all));
        /** @param  callable(self): Range  $of */
        $hull = static function (callable $of) use ($all): Range {
            $ranges = array_map($of, $all);

            return new Range(min(array_column($ranges, 'min')), max(array_column($ranges, 'max')));
        };
        $length = $sum(static fn (self $p): float => $p->fit->lengthMm);
        $weakest = $all[0];
        foreach ($all as $press) {
            if (
                ($press->outerFactor ?? INF) < ($weakest->outerFactor ?? INF)
                || ($press->outerFactor === null && $press->outerHoopMpa->max > $weakest->outerHoopMpa->max)
            ) {
                $weakest = $press;
            }
        }
        $bores = array_values(array_filter(array_map(static fn (self $p): ?Range => $p->innerBoreHoopMpa, $all)));
        $factors = array_values(array_filter(array_map(static fn (self $p): ?float => $p->innerFactor, $all)));
        $inner = $factors === [] ? null : min($factors);
        $fit = $weakest->fit->over($length);
        $axial = new Range(
            $sum(static fn (self $p): float => $p->holdAxialN->min),
            $sum(static fn (self $p): float => $p->holdAxialN->max),
        );

        return new self(
            fit: $fit,
            effectiveMm: $weakest->effectiveMm,
            gripMm: $weakest->gripMm,
            pressureMpa: $hull(static fn (self $p): Range => $p->pressureMpa),
            outerHoopMpa: $hull(static fn (self $p): Range => $p->outerHoopMpa),
            innerBoreHoopMpa: $bores === []
                ? null
                : new Range(min(array_column($bores, 'min')), max(array_column($bores, 'max'))),
            boreClosingMm: $hull(static fn (self $p): Range => $p->boreClosingMm),
            outerGrowthMm: $hull(static fn (self $p): Range => $p->outerGrowthMm),
            holdAxialN: $axial,
            holdTorqueNm: $axial->times($fit->diameterMm / 2000),
            pressForceN: $sum(static fn (self $p): float => $p->pressForceN),
            pressForceLeastN: $sum(static fn (self $p): float => $p->pressForceLeastN),
            stiffnessMpaMm: $sum(static fn (self $p): float => $p->stiffnessMpaMm * $p->fit->lengthMm) / $length,
            outerFactor: $weakest->outerFactor,
            innerFactor: $inner,
            notes: [
                ...PressAdvice::notes($fit, $weakest->effectiveMm, $weakest->gripMm, $weakest->outerFactor, $inner),
                PressAdvice::stepped($stretches),
            ],
            working: PressAdvice::stretches($all)->and(...$weakest->working->steps),
            stretches: $stretches,
        );
    }

    /**
     * The same with more to say.
     *
     * @param  list<Note>  $more
     */
    public function noting(array $more): self
    {
        return $more === []
            ? $this
            : new self(
                fit: $this->fit,
                effectiveMm: $this->effectiveMm,
                gripMm: $this->gripMm,
                pressureMpa: $this->pressureMpa,
                outerHoopMpa: $this->outerHoopMpa,
                innerBoreHoopMpa: $this->innerBoreHoopMpa,
                boreClosingMm: $this->boreClosingMm,
                outerGrowthMm: $this->outerGrowthMm,
                holdAxialN: $this->holdAxialN,
                holdTorqueNm: $this->holdTorqueNm,
                pressForceN: $this->pressForceN,
                pressForceLeastN: $this->pressForceLeastN,
                stiffnessMpaMm: $this->stiffnessMpaMm,
                outerFactor: $this->outerFactor,
                innerFactor: $this->innerFactor,
                notes: [...$this->notes, ...$more],
                working: $this->working,
                stretches: $this->stretches,
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
            return $fit->outer->tensileMpa === null
                ? null
                : $fit->outer->tensileMpa / ($pressure * ThickRing::outerRatio($fit));
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
            'grip_mm' => $this->gripMm,
            'pressure_mpa' => $this->pressureMpa,
            'outer_hoop_mpa' => $this->outerHoopMpa,
            'inner_bore_hoop_mpa' => $this->innerBoreHoopMpa,
            'bore_closing_mm' => $this->boreClosingMm,
            'outer_growth_mm' => $this->outerGrowthMm,
            'hold_axial_n' => $this->holdAxialN,
            'hold_torque_nm' => $this->holdTorqueNm,
            'press_force_n' => $this->pressForceN,
            'press_force_least_n' => $this->pressForceLeastN,
            'outer_factor' => $this->outerFactor,
            'inner_factor' => $this->innerFactor,
            'friction' => ['low' => $this->fit->friction->low, 'high' => $this->fit->friction->high],
            'rz_um' => ['inner' => $this->fit->roughInner->rzUm, 'outer' => $this->fit->roughOuter->rzUm],
            'notes' => $this->notes,
            'working' => $this->working,
        ];
    }
}
