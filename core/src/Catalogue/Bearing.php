<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

/** A rolling bearing by its boundary sizes, mm; the least chamfer of its rings where it is known. */
final readonly class Bearing implements \JsonSerializable
{
    private const INCH_TAPERED = 'inch tapered';

    public function __construct(
        public string $designation,
        public string $series,
        public float $boreMm,
        public float $outsideMm,
        public float $widthMm,
        public ?float $chamferMinMm = null,
        /** With shields or seals, where it is wider then. */
        public ?float $shieldedWidthMm = null,
        /** Radial clearance group on its stamp; CN where none is. */
        public string $group = 'CN',
        /** Tolerance class on its stamp that is finer than Normal, such as P6; null for Normal. */
        public ?string $class = null,
        /** Its bore is not that of its number. */
        public bool $hasOwnBore = false,
    ) {
    }

    /** As stamped. */
    public function with(BearingStamp $stamp): self
    {
        $wider = $stamp->isShielded ? $this->shieldedWidthMm ?? $this->widthMm : $this->widthMm;

        return new self(
            designation: $this->designation,
            series: $this->series,
            boreMm: $stamp->boreMm ?? $this->boreMm,
            outsideMm: $this->outsideMm,
            widthMm: $wider,
            chamferMinMm: $this->chamferMinMm,
            shieldedWidthMm: $this->shieldedWidthMm,
            group: $stamp->group ?? 'CN',
            class: $stamp->class,
            hasOwnBore: $stamp->boreMm !== null,
        );
    }

    /** The wider one, with shields or seals; itself where both are alike. */
    public function shielded(): self
    {
        return $this->shieldedWidthMm === null
            ? $this
            : new self(
                designation: $this->designation.' shielded',
                series: $this->series,
                boreMm: $this->boreMm,
                outsideMm: $this->outsideMm,
                widthMm: $this->shieldedWidthMm,
                chamferMinMm: $this->chamferMinMm,
                shieldedWidthMm: $this->shieldedWidthMm,
            );
    }

    /** Of a kind whose clearance is set when it is put together. */
    public function isAdjusted(): bool
    {
        return $this->series === self::INCH_TAPERED;
    }

    /** Made in inch sizes. */
    public function isInch(): bool
    {
        return in_array($this->series, ['R', 'R heavy', self::INCH_TAPERED], true);
    }

    /** A deep-groove ball bearing, for which clearance groups are known here. */
    public function isBall(): bool
    {
        return ! $this->isAdjusted();
    }

    /** The thickness of a ring, as a quarter of what lies between bore and outside; common practice. */
    public function ringMm(): float
    {
        return ($this->outsideMm - $this->boreMm) / 8;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'designation' => $this->designation,
            'series' => $this->series,
            'bore_mm' => $this->boreMm,
            'outside_mm' => $this->outsideMm,
            'width_mm' => $this->widthMm,
        ];
    }
}
