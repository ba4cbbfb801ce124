<?php

declare(strict_types=1);

namespace Oldpart\Core\Pattern;

/** A place on a plate, mm, x to the right, y upward. */
final readonly class Point
{
    public function __construct(public float $x, public float $y)
    {
    }

    public function to(self $other): float
    {
        return hypot($other->x - $this->x, $other->y - $this->y);
    }

    /** Turned about the origin, counter-clockwise, then shifted. */
    public function moved(float $turnDeg, float $dx, float $dy): self
    {
        [$c, $s] = [cos(deg2rad($turnDeg)), sin(deg2rad($turnDeg))];

        return new self($c * $this->x - $s * $this->y + $dx, $s * $this->x + $c * $this->y + $dy);
    }
}
