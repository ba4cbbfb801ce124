<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

/** A place of a drawing that can be pointed at: an upright line with a name. */
final readonly class Tap implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $name,
        public float $x,
        public float $top,
        public float $bottom,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'x' => round($this->x, 2),
            'top' => round($this->top, 2),
            'bottom' => round($this->bottom, 2),
        ];
    }
}
