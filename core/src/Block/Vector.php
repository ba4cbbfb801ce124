<?php

declare(strict_types=1);

namespace Oldpart\Core\Block;

/** A place or a direction in a block, mm. */
final readonly class Vector
{
    /** What is this near is in one place. */
    public const NEAR_MM = 1e-6;

    public function __construct(public float $x, public float $y, public float $z)
    {
    }

    public function plus(self $other, float $times): self
    {
        return new self($this->x + $times * $other->x, $this->y + $times * $other->y, $this->z + $times * $other->z);
    }

    public function minus(self $other): self
    {
        return $this->plus($other, -1.0);
    }

    public function dot(self $other): float
    {
        return $this->x * $other->x + $this->y * $other->y + $this->z * $other->z;
    }

    public function length(): float
    {
        return sqrt($this->dot($this));
    }
}
