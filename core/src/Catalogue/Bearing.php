<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

/** A rolling bearing by its boundary sizes, mm; the least chamfer of its rings where it is known. */
final readonly class Bearing implements \JsonSerializable
{
    public function __construct(
        public string $designation,
        public string $series,
        public float $boreMm,
        public float $outsideMm,
        public float $widthMm,
        public ?float $chamferMinMm = null,
    ) {
    }

    /** Made in inch sizes. */
    public function isInch(): bool
    {
        return in_array($this->series, ['R', 'inch tapered'], true);
    }

    /** A deep-groove ball bearing, for which clearance groups are known here. */
    public function isBall(): bool
    {
        return $this->series !== 'inch tapered';
    }

    /** The thickness of a ring, as a quarter of what lies between bore and outside; common practice. */
    public function ringMm(): float
    {
        return ($this->outsideMm - $this->boreMm) / 8;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['designation' => $this->designation, 'series' => $this->series, 'bore_mm' => $this->boreMm, 'outside_mm' => $this->outsideMm, 'width_mm' => $this->widthMm];
    }
}
