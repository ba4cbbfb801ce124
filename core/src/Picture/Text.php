<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Unit;

final readonly class Text implements \JsonSerializable
{
    /** @param  ?Unit  $only drawn only when this unit is shown */
    public function __construct(
        public float $x,
        public float $y,
        public Say $say,
        public float $size,
        public Anchor $anchor,
        public Tone $tone,
        public bool $mono,
        public bool $bold,
        public ?Unit $only,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'type' => 'text',
            'x' => round($this->x, 2),
            'y' => round($this->y, 2),
            'say' => $this->say,
            'size' => $this->size,
            'anchor' => $this->anchor->value,
            'tone' => $this->tone->value,
            'mono' => $this->mono,
            'bold' => $this->bold,
            'only' => $this->only?->value,
        ];
    }
}
