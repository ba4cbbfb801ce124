<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Gauge\SimulatedGauge;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;

/** What a gauge shows, and what it is made up of. All mm, on the size that is read. */
final readonly class Seen
{
    /** Held wrong, a gauge is off by so many times what its feel and its springing make it scatter. */
    private const FEEL = 2.5;

    /** What a gauge without a feel of its own still gives way when it is squeezed. */
    private const LEAST_FEEL_MM = 0.002;

    /** So near an end a burr is under the gauge. */
    private const END = 0.12;

    private function __construct(
        public float $shownMm,
        /** The size at that place, at 20 °C. */
        public float $trueMm,
        /** The same less the surface's mean. */
        public float $formMm,
        public float $gaugeMm,
        public float $warmMm,
        public float $burrMm,
        public float $jawsMm,
        public float $faceMm,
        /** Tilted, squeezed or barely touching. */
        public float $heldMm,
        /** How much it grows for each degree, mm/K. */
        public float $perKelvinMm,
    ) {
    }

    /**
     * @param  float  $celsius  of the part
     * @param  bool  $clean  its burrs are off
     */
    public static function by(
        Instrument $tool,
        TrueSurface $surface,
        Deed $deed,
        Truth $truth,
        float $celsius,
        bool $clean,
        Dice $dice,
        Unit $unit,
    ): self {
        $tool = self::marked($tool, $unit);
        if ($tool->travelMm !== null && $surface->kind !== SurfaceKind::Length) {
            $swing = 2 * $surface->offCentreMm + $surface->shape->ovalityMm / 2;

            return self::of($tool, $swing, $dice, $truth->gaugeErrors[$tool->code] ?? 0.0);
        }
        $threePoint = $tool->code === 'three-point';
        $shape = $surface->shape;
        $local = $threePoint
            ? $shape->threePoint($deed->along, $deed->angleDeg)
            : $shape->twoPoint($deed->along, $deed->angleDeg);
        $outside = $surface->kind === SurfaceKind::Bore ? -1 : 1;
        $atEnd = $deed->along <= self::END || $deed->along >= 1 - self::END;
        $burr = ! $clean && $atEnd ? $outside * $surface->burrMm : 0.0;
        $jaws = -$tool->jawShiftMm($surface->kind, $shape->sizeMm)->middle();
        $face = $deed->otherFace ? $surface->otherFaceMm : 0.0;
        $tilt = $surface->kind === SurfaceKind::Bore && ! $threePoint
            ? $local / cos(deg2rad($deed->tiltDeg)) - $local
            : 0.0;
        $held = $tilt - $outside * self::FEEL * max(self::LEAST_FEEL_MM, $tool->feelMm) * $deed->feel;
        $error = $truth->gaugeErrors[$tool->code] ?? 0.0;
        $at = TrueSurface::with($surface->at($celsius), sizeMm: $shape->sizeMm + $burr + $jaws + $face + $held);
        $shown = (new SimulatedGauge($tool, $dice->random, $error))
            ->read($at, $deed->along, $deed->angleDeg, $threePoint);

        return new self(
            shownMm: max(0.0, $shown),
            trueMm: $local,
            formMm: $local - $shape->sizeMm,
            gaugeMm: $error,
            warmMm: $surface->at($celsius)->warm($local) - $local,
            burrMm: $burr,
            jawsMm: $jaws,
            faceMm: $face,
            heldMm: $held,
            perKelvinMm: $local * $shape->alphaPerK,
        );
    }

    private static function of(Instrument $tool, float $mm, Dice $dice, float $error): self
    {
        $shown = $mm + $error + $tool->repeatabilityMm * $dice->normal();
        $step = max(1e-4, $tool->resolutionMm);

        return new self(
            shownMm: max(0.0, round($shown / $step) * $step),
            trueMm: $mm,
            formMm: 0.0,
            gaugeMm: $error,
            warmMm: 0.0,
            burrMm: 0.0,
            jawsMm: 0.0,
            faceMm: 0.0,
            heldMm: 0.0,
            perKelvinMm: 0.0,
        );
    }

    /** An inch gauge has inch marks: tenths of a thou, half thous or thous. */
    public static function marked(Instrument $tool, Unit $unit): Instrument
    {
        if ($unit === Unit::Millimetre || $tool->resolutionMm <= 0) {
            return $tool;
        }
        $step = match (true) {
            $tool->resolutionMm <= 0.003 => 0.0001,
            $tool->resolutionMm <= 0.011 => 0.0005,
            $tool->resolutionMm <= 0.03 => 0.001,
            default => 1 / 64,
        };

        return Instrument::read(new Fields([
            ...array_map(
                static fn (mixed $v): mixed => is_float($v) && is_infinite($v) ? 1e6 : $v,
                $tool->jsonSerialize(),
            ),
            'resolution_mm' => 25.4 * $step,
        ]));
    }

    /** @return array<string, float> what it is made up of, to be told at the end */
    public function parts(): array
    {
        return [
            'true_mm' => $this->trueMm,
            'form_mm' => $this->formMm,
            'gauge_mm' => $this->gaugeMm,
            'warm_mm' => $this->warmMm,
            'burr_mm' => $this->burrMm,
            'jaws_mm' => $this->jawsMm,
            'face_mm' => $this->faceMm,
            'held_mm' => $this->heldMm,
            'per_k_mm' => $this->perKelvinMm,
        ];
    }
}
