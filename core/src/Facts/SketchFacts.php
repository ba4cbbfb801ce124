<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** What a surface is drawn by until its sizes are typed or measured, mm. Nobody's reading, never shown as a number. */
final readonly class SketchFacts implements \JsonSerializable
{
    public function __construct(
        public ?float $size,
        public ?float $size2,
        public ?float $at,
        public ?float $long,
        public ?float $x,
        public ?float $y,
        public ?float $pitch,
        public ?int $count,
    ) {
    }

    public static function read(Fields $f): self
    {
        $count = $f->numberOrNull('count');

        return new self(
            size: $f->numberOrNull('size'),
            size2: $f->numberOrNull('size2'),
            at: $f->numberOrNull('at'),
            long: $f->numberOrNull('long'),
            x: $f->numberOrNull('x'),
            y: $f->numberOrNull('y'),
            pitch: $f->numberOrNull('pitch'),
            count: $count === null ? null : (int) $count,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'size' => $this->size,
            'size2' => $this->size2,
            'at' => $this->at,
            'long' => $this->long,
            'x' => $this->x,
            'y' => $this->y,
            'pitch' => $this->pitch,
            'count' => $this->count,
        ];
    }
}
