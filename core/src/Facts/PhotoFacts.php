<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/**
 * A photograph: what it shows and where on it a surface is pinned (fractions of width and height). The picture itself
 * stays in the shop.
 */
final readonly class PhotoFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $note,
        public ?string $surface,
        public ?float $x,
        public ?float $y,
        public int $width,
        public int $height,
        public ?string $takenAt,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->text('id'),
            note: $f->textOrNull('note') ?? '',
            surface: $f->textOrNull('surface'),
            x: $f->numberOrNull('x'),
            y: $f->numberOrNull('y'),
            width: (int) $f->number('width'),
            height: (int) $f->number('height'),
            takenAt: $f->textOrNull('taken_at'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'note' => $this->note,
            'surface' => $this->surface,
            'x' => $this->x,
            'y' => $this->y,
            'width' => $this->width,
            'height' => $this->height,
            'taken_at' => $this->takenAt,
        ];
    }
}
