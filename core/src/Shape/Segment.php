<?php

declare(strict_types=1);

namespace Oldpart\Core\Shape;

/**
 * A stretch of a turned surface along the axis, straight between its two radii; mm. An eccentric bore has its axis off
 * by `offsetMm`.
 */
final readonly class Segment
{
    public function __construct(
        public float $fromMm,
        public float $toMm,
        public float $startMm,
        public float $endMm,
        public float $offsetMm = 0.0,
        public bool $cutsOutside = false,
        public ?string $mark = null,
    ) {
    }

    /** The radius at a place between its ends. */
    public function at(float $xMm): float
    {
        $run = $this->toMm - $this->fromMm;

        return $run <= 0
            ? $this->startMm
            : $this->startMm + (($this->endMm - $this->startMm) * ($xMm - $this->fromMm)) / $run;
    }

    public function covers(float $xMm): bool
    {
        return $xMm > $this->fromMm && $xMm < $this->toMm;
    }
}
