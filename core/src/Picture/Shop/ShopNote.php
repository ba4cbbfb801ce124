<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture\Shop;

use Oldpart\Core\Advice\Say;

/** A call-out of a shop drawing: a thread, a keyway, holes, a chamfer; what it points at, and its lines. */
final readonly class ShopNote
{
    /**
     * @param  non-empty-list<Say>  $lines
     * @param  array{float, float}|null  $widthMm  from where to where, of what may be too narrow to be seen: a groove
     */
    public function __construct(
        public float $atMm,
        public float $radiusMm,
        public array $lines,
        public ?array $widthMm = null,
    ) {
    }

    /** The same, with the letter of its detail before it. */
    public function lettered(string $letter): self
    {
        $lines = $this->lines;
        $lines[0] = Say::with("{$letter}: {s}", ['s' => $lines[0]]);

        return new self($this->atMm, $this->radiusMm, $lines, $this->widthMm);
    }
}
