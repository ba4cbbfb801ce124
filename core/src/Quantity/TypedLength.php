<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

/** A length with what was typed for it, kept for ever beside the canonical value. */
final readonly class TypedLength implements \JsonSerializable
{
    public function __construct(
        public Length $length,
        public string $typed,
        public Unit $unit,
        /** Of a reading by a pair of pins: how far apart they are, mm. */
        public ?float $betweenMm = null,
        /** @var list<float> how often each size in it counts: 1 where it is no sum, 1 and −1 in a difference */
        public array $weights = [1.0],
        /** Of a comparison with a master: the master's size, mm. */
        public ?float $masterMm = null,
    ) {
    }

    /** @return array{typed: string, unit: string, mm: float} */
    public function jsonSerialize(): array
    {
        return ['typed' => $this->typed, 'unit' => $this->unit->value, 'mm' => $this->length->mm];
    }
}
