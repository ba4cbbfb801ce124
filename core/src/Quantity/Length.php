<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

/** A length or a difference of lengths; canonical in millimetres. */
final readonly class Length
{
    private function __construct(public float $mm)
    {
    }

    public static function mm(float $mm): self
    {
        return new self($mm);
    }

    public static function inches(float $inches): self
    {
        return new self($inches * 25.4);
    }

    public static function thou(float $thou): self
    {
        return new self($thou * 0.0254);
    }

    public static function um(float $um): self
    {
        return new self($um / 1000);
    }

    public function in(): float
    {
        return $this->mm / 25.4;
    }

    public function plus(self $other): self
    {
        return new self($this->mm + $other->mm);
    }

    public function minus(self $other): self
    {
        return new self($this->mm - $other->mm);
    }
}
