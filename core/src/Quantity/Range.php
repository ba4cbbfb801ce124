<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

use Oldpart\Core\Advice\BadInput;

/** From the least to the greatest, algebraically; the unit is the caller's. */
final readonly class Range implements \JsonSerializable
{
    public function __construct(public float $min, public float $max)
    {
        if (! is_finite($min) || ! is_finite($max)) {
            throw new BadInput('not-finite', 'range', 'A range needs two ordinary numbers.');
        }
        if ($min > $max) {
            throw new BadInput(
                'range-reversed',
                'range',
                'The smaller number of a range comes first: min must not be above max.',
            );
        }
    }

    public static function of(float $a, float $b): self
    {
        return new self(min($a, $b), max($a, $b));
    }

    public function times(float $factor): self
    {
        return self::of($this->min * $factor, $this->max * $factor);
    }

    public function width(): float
    {
        return $this->max - $this->min;
    }

    public function middle(): float
    {
        return ($this->min + $this->max) / 2;
    }

    /** @return array{min: float, max: float} */
    public function jsonSerialize(): array
    {
        return ['min' => $this->min, 'max' => $this->max];
    }
}
