<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Quantity\Unit;

final readonly class Line implements \JsonSerializable
{
    /** @param  ?Unit  $only drawn only when this unit is shown */
    public function __construct(
        public float $x1,
        public float $y1,
        public float $x2,
        public float $y2,
        public Tone $tone,
        public float $width,
        public bool $dashed,
        public ?Unit $only,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'type' => 'line',
            'x1' => round($this->x1, 2),
            'y1' => round($this->y1, 2),
            'x2' => round($this->x2, 2),
            'y2' => round($this->y2, 2),
            'tone' => $this->tone->value,
            'width' => $this->width,
            'dashed' => $this->dashed,
            'only' => $this->only?->value,
        ];
    }
}
