<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

/** One of the cuts that are left: what it is to take off, and what to dial for that, mm on diameter. */
final readonly class PlannedCut implements \JsonSerializable
{
    public function __construct(public float $takeMm, public float $dialMm, public CutKind $kind)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['take_mm' => $this->takeMm, 'dial_mm' => $this->dialMm, 'kind' => $this->kind];
    }
}
