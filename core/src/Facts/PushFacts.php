<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\TypedLength;

/** The force seen at a depth while a joint was pressed. */
final readonly class PushFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $joint,
        public TypedLength $depth,
        public float $forceN,
        public ?string $at,
        /** Who did it, by the name they signed in with; null where nobody does. */
        public ?string $by = null,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->text('id'),
            joint: $f->text('joint'),
            depth: $f->length('depth'),
            forceN: $f->number('force_n'),
            at: $f->textOrNull('at'),
            by: $f->textOrNull('by'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'joint' => $this->joint,
            'depth' => $this->depth,
            'force_n' => $this->forceN,
            'at' => $this->at,
            'by' => $this->by,
        ];
    }
}
