<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\SurfaceFacts;

/** A shape of a job, and what it meets. */
final readonly class ShapeCase
{
    public function __construct(
        public ShapeSizes $sizes,
        public SurfaceFacts $surface,
        public bool $isCut,
        public ?JointFacts $joint,
        public ?SurfaceFacts $mate,
    ) {
    }

    /** What is said of it, or of its mate where it is made to that. */
    public function shape(): ?string
    {
        $own = trim($this->surface->shape ?? '');
        $mates = $this->isCut ? trim($this->mate->shape ?? '') : '';

        return $own !== '' ? $own : ($mates !== '' ? $mates : null);
    }

    public function of(string $what = ''): ?KnownSize
    {
        return $this->sizes->of($this->surface, $what);
    }

    public function mates(string $what = ''): ?KnownSize
    {
        return $this->mate === null ? null : $this->sizes->of($this->mate, $what);
    }

    /** What is taken apart and read, in a word. */
    public function name(): string
    {
        return $this->surface->name;
    }
}
