<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

final readonly class Area implements \JsonSerializable
{
    /**
     * @param  list<array{float, float}>  $points
     * @param  list<list<array{float, float}>>  $holes
     */
    public function __construct(
        public array $points,
        public array $holes,
        public Tone $tone,
        public Fill $fill,
        public float $width,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $short = static fn (array $points): array => array_map(
            static fn (array $p): array => [round($p[0], 2), round($p[1], 2)],
            $points,
        );

        return [
            'type' => 'area',
            'rings' => array_map($short, [$this->points, ...$this->holes]),
            'tone' => $this->tone->value,
            'fill' => $this->fill->value,
            'width' => $this->width,
        ];
    }
}
