<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

/** A name on a drawing that leads to the thing it names: where it is tapped. */
final readonly class Spot implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $name,
        public float $x,
        public float $y,
        public float $width,
        public float $height,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'x' => round($this->x, 2),
            'y' => round($this->y, 2),
            'width' => round($this->width, 2),
            'height' => round($this->height, 2),
        ];
    }
}
