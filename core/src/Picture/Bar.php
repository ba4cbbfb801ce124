<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

/** One bar of a BarsPicture: from where to where, and what is written at its end. */
final readonly class Bar
{
    public function __construct(
        public string $name,
        public float $to,
        public string $says,
        public float $from = 0.0,
        public Tone $tone = Tone::Found,
    ) {
    }
}
