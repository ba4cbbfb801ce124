<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\TypedLength;

/** One of several mates that the pieces of a batch go to: its mark, the joint it is of, its size and what read it. */
final readonly class MateFacts implements \JsonSerializable
{
    private function __construct(
        public string $mark,
        public string $joint,
        public TypedLength $size,
        public string $instrument,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self($f->label('mark'), $f->text('joint'), $f->length('size'), $f->text('instrument'));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'mark' => $this->mark,
            'joint' => $this->joint,
            'size' => $this->size,
            'instrument' => $this->instrument,
        ];
    }
}
