<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Gauge\TrueShape;
use Oldpart\Core\Measure\SurfaceKind;

/** A surface as it really is, which nobody sees. */
final readonly class TrueSurface
{
    public function __construct(
        public string $id,
        public string $part,
        public SurfaceKind $kind,
        /** At 20 °C. */
        public TrueShape $shape,
        /** What stands up at its ends until it is taken off: outside it reads large, inside small, mm. */
        public float $burrMm = 0.0,
        /** A length that can be read from another face too: by how much that is more, mm. */
        public float $otherFaceMm = 0.0,
        /** How far its centre is from the one it turns about, mm; an indicator shows twice that. */
        public float $offCentreMm = 0.0,
        /** It is cut, so that what it is now is a blank. */
        public bool $cut = false,
        /** How far it runs, mm. */
        public float $longMm = 20.0,
    ) {
    }

    public function shaped(TrueShape $shape): self
    {
        return new self(
            id: $this->id,
            part: $this->part,
            kind: $this->kind,
            shape: $shape,
            burrMm: $this->burrMm,
            otherFaceMm: $this->otherFaceMm,
            offCentreMm: $this->offCentreMm,
            cut: $this->cut,
            longMm: $this->longMm,
        );
    }

    /** Its mean changed by so much, mm, on diameter. */
    public function grown(float $mm): self
    {
        return $this->shaped(self::with($this->shape, sizeMm: $this->shape->sizeMm + $mm));
    }

    /** @param  float  $celsius  how warm its part is */
    public function at(float $celsius): TrueShape
    {
        return self::with($this->shape, temperatureC: $celsius);
    }

    /** The smallest diameter that two points find anywhere, at 20 °C. */
    public function smallestMm(): float
    {
        return $this->shape->sizeMm - $this->formMm();
    }

    /** The largest one. */
    public function largestMm(): float
    {
        return $this->shape->sizeMm + $this->formMm();
    }

    private function formMm(): float
    {
        return ($this->shape->ovalityMm + abs($this->shape->taperMm)) / 2 + 2 * abs($this->shape->lobesMm);
    }

    public static function with(
        TrueShape $shape,
        ?float $sizeMm = null,
        ?float $ovalityMm = null,
        ?float $taperMm = null,
        ?float $lobesMm = null,
        ?float $temperatureC = null,
    ): TrueShape {
        return new TrueShape(
            sizeMm: $sizeMm ?? $shape->sizeMm,
            ovalityMm: $ovalityMm ?? $shape->ovalityMm,
            taperMm: $taperMm ?? $shape->taperMm,
            lobesMm: $lobesMm ?? $shape->lobesMm,
            temperatureC: $temperatureC ?? $shape->temperatureC,
            alphaPerK: $shape->alphaPerK,
        );
    }
}
