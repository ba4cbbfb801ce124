<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** A size to be written beside a drawing, with the place its leader points to (in the drawing's own units). */
final readonly class Label
{
    public function __construct(
        public float $x,
        public float $y,
        public string $name,
        public ?Say $says,
        public Tone $tone,
        /** Nobody has to measure it: lighter type. */
        public bool $free = false,
        /** What its name leads to. */
        public ?string $id = null,
    ) {
    }
}
