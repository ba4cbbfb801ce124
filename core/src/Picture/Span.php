<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** A length to be written below a drawing, between two places along it (in the drawing's own units). */
final readonly class Span
{
    public function __construct(
        public float $from,
        public float $to,
        public float $edge,
        public string $name,
        public ?Say $says,
        public Tone $tone,
    ) {
    }
}
