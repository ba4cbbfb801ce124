<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** Something to pay for. With a price per kg its amount follows from the mass of the blank. */
final readonly class CostFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public CostKind $kind,
        public string $name,
        public ?float $amount,
        public bool $eachPiece,
        public ?float $pricePerKg,
        public ?float $massKg,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->text('id'),
            kind: $f->choice('kind', CostKind::class),
            name: $f->text('name'),
            amount: $f->numberOrNull('amount'),
            eachPiece: $f->flag('each_piece'),
            pricePerKg: $f->numberOrNull('price_per_kg'),
            massKg: $f->numberOrNull('mass_kg'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind->value,
            'name' => $this->name,
            'amount' => $this->amount,
            'each_piece' => $this->eachPiece,
            'price_per_kg' => $this->pricePerKg,
            'mass_kg' => $this->massKg,
        ];
    }
}
