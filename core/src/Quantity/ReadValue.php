<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

use Oldpart\Core\Advice\BadInput;

/**
 * A value half way through reading a sum: a bare number takes the field's unit when it meets a length,
 * a fraction takes inches, a length has its millimetres already. `weights` says how often each size in it counts: 1 for
 * a size alone, 1 and −1 for a difference, a half each in a mean.
 */
final readonly class ReadValue
{
    public const NUMBER = 'number';

    public const FRACTION = 'fraction';

    public const LENGTH = 'length';

    /** @param  list<float>  $weights */
    public function __construct(public float $amount, public string $kind, public array $weights = [1.0])
    {
    }

    public function in(float $mmPerUnit): self
    {
        if ($this->kind === self::LENGTH) {
            throw new BadInput('unit-twice', 'text', 'One size carries two units. Leave one of them out.');
        }

        return new self($this->amount * $mmPerUnit, self::LENGTH, $this->weights);
    }

    public function toMm(Unit $unit): float
    {
        return match ($this->kind) {
            self::LENGTH => $this->amount,
            self::FRACTION => $this->amount * 25.4,
            default => $this->amount * $unit->inMm(),
        };
    }

    public function plus(self $other, float $sign, Unit $unit): self
    {
        $weights = [...$this->weights, ...self::scaled($other->weights, $sign)];
        if ($this->kind === $other->kind) {
            return new self($this->amount + $sign * $other->amount, $this->kind, $weights);
        }

        return new self($this->toMm($unit) + $sign * $other->toMm($unit), self::LENGTH, $weights);
    }

    public function times(self $other): self
    {
        if ($this->kind === self::LENGTH && $other->kind === self::LENGTH) {
            throw new BadInput(
                'area',
                'text',
                'A length times a length is an area, not a size. Leave the unit off one of them.',
            );
        }

        // Of two bare numbers the whole one, or the smaller, says how often.
        $rank = static fn (self $v): array => [$v->kind !== self::NUMBER, floor($v->amount) !== $v->amount, $v->amount];
        [$number, $size] = $rank($this) <= $rank($other) ? [$this, $other] : [$other, $this];

        return new self(
            $this->amount * $other->amount,
            $this->stronger($other),
            self::scaled($size->weights, $number->amount),
        );
    }

    public function over(self $other): self
    {
        if ($other->amount == 0.0) {
            throw new BadInput(
                'zero-denominator',
                'text',
                'The sum divides by zero. Check the number after the slash.',
            );
        }
        if ($other->kind === self::LENGTH) {
            throw new BadInput(
                'ratio',
                'text',
                'Dividing by a length does not give a size. Leave the unit off the number after the slash.',
            );
        }

        return new self(
            $this->amount / $other->amount,
            $this->kind === self::NUMBER ? $other->kind : $this->kind,
            self::scaled($this->weights, 1 / $other->amount),
        );
    }

    /**
     * @param  list<float>  $weights
     * @return list<float>
     */
    private static function scaled(array $weights, float $by): array
    {
        return array_map(static fn (float $w): float => $w * $by, $weights);
    }

    public function signed(float $sign): self
    {
        return new self($sign * $this->amount, $this->kind, self::scaled($this->weights, $sign));
    }

    private function stronger(self $other): string
    {
        foreach ([self::LENGTH, self::FRACTION] as $kind) {
            if ($this->kind === $kind || $other->kind === $kind) {
                return $kind;
            }
        }

        return self::NUMBER;
    }
}
