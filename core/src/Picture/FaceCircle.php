<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** A circle seen from the face: a boss or disc, or a hole; mm, y upward. */
final readonly class FaceCircle
{
    public function __construct(
        public string $name,
        public float $xMm,
        public float $yMm,
        public float $radiusMm,
        public bool $hole,
        public ?Say $says = null,
        public bool $labelled = true,
        public bool $thread = false,
        public bool $free = false,
    ) {
    }

    /** The same with this written beside it. */
    public function says(FaceSize $size): self
    {
        return new self(
            name: $this->name,
            xMm: $this->xMm,
            yMm: $this->yMm,
            radiusMm: $this->radiusMm,
            hole: $this->hole,
            says: $size->says,
            labelled: true,
            thread: $this->thread,
            free: $size->free,
        );
    }

    public function mirrored(): self
    {
        return new self(
            name: $this->name,
            xMm: -$this->xMm,
            yMm: $this->yMm,
            radiusMm: $this->radiusMm,
            hole: $this->hole,
            says: $this->says,
            labelled: $this->labelled,
            thread: $this->thread,
            free: $this->free,
        );
    }
}
