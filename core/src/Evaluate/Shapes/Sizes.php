<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shapes;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\TypedLength;

/**
 * The best that is known of each surface's size: measured, to be made, or noted; and where nothing is known yet, the
 * sketch, in proportion to what is.
 */
final readonly class Sizes
{
    /** From the sizes of the sketch to the sizes of this job. */
    private float $proportion;

    /**
     * @param  array<string, FoundSize>  $found
     * @param  array<string, Band>  $bands
     * @param  array<string, Band>  $shaped  of shapes that are cut: a thread is as large as its name says, whatever is sketched
     */
    public function __construct(
        JobFacts $facts,
        private array $found,
        private array $bands,
        private array $shaped = [],
    ) {
        $ratios = [];
        foreach ($facts->surfaces as $surface) {
            $known = isset($shaped[$surface->id]) ? null : $this->known($surface);
            $sketch = $surface->sketch->size ?? 0.0;
            if ($known !== null && $known > 0 && $sketch > 0) {
                $ratios[] = $known / $sketch;
            }
        }
        sort($ratios);
        $this->proportion = $ratios === [] ? 1.0 : $ratios[intdiv(count($ratios), 2)];
    }

    /** To draw by, mm; null where there is nothing to go by. */
    public function mm(SurfaceFacts $surface): ?float
    {
        return $this->known($surface) ?? $this->inProportion($surface->sketch?->size);
    }

    /** Measured, to make, or noted, mm; null when only sketched. */
    public function known(SurfaceFacts $surface): ?float
    {
        $band = $this->bands[$surface->id] ?? $this->shaped[$surface->id] ?? null;

        return $band?->middleMm() ?? $this->found[$surface->id]->meanMm ?? $surface->size?->length->mm;
    }

    public function second(SurfaceFacts $surface): ?float
    {
        return $this->either($surface->size2, $surface->sketch?->size2);
    }

    public function at(SurfaceFacts $surface): ?float
    {
        return $this->either($surface->at, $surface->sketch?->at);
    }

    public function long(SurfaceFacts $surface): ?float
    {
        return $this->either($surface->long, $surface->sketch?->long);
    }

    public function x(SurfaceFacts $surface): float
    {
        return $this->either($surface->x, $surface->sketch?->x) ?? 0.0;
    }

    public function y(SurfaceFacts $surface): float
    {
        return $this->either($surface->y, $surface->sketch?->y) ?? 0.0;
    }

    public function says(SurfaceFacts $surface): ?Say
    {
        $band = $this->bands[$surface->id] ?? null;

        return match (true) {
            $band !== null => $surface->kind === SurfaceKind::Bore
                ? LengthWriter::lower($band)
                : LengthWriter::upper($band),
            isset($this->found[$surface->id]) => LengthWriter::size($this->found[$surface->id]->meanMm),
            $surface->size !== null => Say::with('≈ {s}', ['s' => LengthWriter::size($surface->size->length->mm)]),
            default => null,
        };
    }

    private function either(?TypedLength $typed, ?float $sketch): ?float
    {
        return $typed->length->mm ?? $this->inProportion($sketch);
    }

    private function inProportion(?float $sketch): ?float
    {
        return $sketch === null ? null : $sketch * $this->proportion;
    }
}
