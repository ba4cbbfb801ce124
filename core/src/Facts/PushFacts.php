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
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            $f->text('id'),
            $f->text('joint'),
            $f->length('depth'),
            $f->number('force_n'),
            $f->textOrNull('at'),
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
        ];
    }
}
