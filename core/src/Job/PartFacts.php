<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Exchange\Fields;

/** A part: found, to make or bought. The material is a name from the table, or null when unknown. */
final readonly class PartFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $name,
        public Origin $origin,
        public ?string $material,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            $f->text('id'),
            $f->text('name'),
            $f->choice('origin', Origin::class),
            $f->textOrNull('material'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'origin' => $this->origin->value,
            'material' => $this->material,
        ];
    }
}
