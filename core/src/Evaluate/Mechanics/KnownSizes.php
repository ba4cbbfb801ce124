<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Evaluate\Shapes\Sizes;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;

/** A size that mechanics may use, best first: measured, made, to be made, noted. A sketch is none. */
final readonly class KnownSizes
{
    /**
     * Places along the part, sketched where nothing better is known: which surface lies round which, never how large it
     * is.
     */
    public Sizes $placing;

    /**
     * @param  array<string, FoundSize>  $found
     * @param  array<string, Band>  $bands  of made surfaces, after assembly
     * @param  array<string, Range>  $made  with their doubt
     */
    public function __construct(JobFacts $facts, private array $found, private array $bands, private array $made)
    {
        $this->placing = new Sizes($facts, $found, $bands);
    }

    public function mm(SurfaceFacts $surface): ?float
    {
        return $this->found[$surface->id]->meanMm ??
            ((isset($this->made[$surface->id]) ? $this->made[$surface->id]->middle() : null) ??
                ((isset($this->bands[$surface->id]) ? $this->bands[$surface->id]->middleMm() : null) ??
                    $surface->size?->length->mm));
    }

    /** The size that leaves the thinner wall: of an outside its smallest spot; a bore's mean. */
    public function thinMm(SurfaceFacts $surface, bool $outside): float
    {
        return $outside && isset($this->found[$surface->id])
            ? $this->found[$surface->id]->looseMm
            : $this->mm($surface) ?? 0.0;
    }

    public function isOnlyTyped(SurfaceFacts $surface): bool
    {
        return ! isset($this->found[$surface->id])
            && ! isset($this->made[$surface->id])
            && ! isset($this->bands[$surface->id])
            && $surface->size !== null;
    }
}
