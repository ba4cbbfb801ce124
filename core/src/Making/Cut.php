<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

/** One cut as it went: what was dialled and what came off, both on diameter, mm. */
final readonly class Cut
{
    public function __construct(public float $dialledMm, public float $removedMm)
    {
    }
}
