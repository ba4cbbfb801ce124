<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\TypedLength;

/**
 * The best that is known of each surface's size: measured, to be made, or noted with its source; and where nothing is
 * known yet, a size to draw it by, in proportion to what is.
 */
final readonly class Sizes
{
    /** From the sizes a kind is drawn by to the sizes of this job. */
    public float $proportion;

    /**
     * @param  array<string, FoundSize>  $found
     * @param  array<string, Band>  $bands
     */
    public function __construct(JobFacts $facts, private array $found, private array $bands)
    {
        $ratios = [];
        foreach ($facts->surfaces as $surface) {
            $known = $this->measured($surface);
            if ($known !== null && $known > 0 && $surface->source === null && $surface->size !== null && $surface->size->length->mm > 0) {
                $ratios[] = $known / $surface->size->length->mm;
            }
        }
        sort($ratios);
        $this->proportion = $ratios === [] ? 1.0 : $ratios[intdiv(count($ratios), 2)];
    }

    /** To draw by, mm; null where there is nothing to go by. */
    public function mm(SurfaceFacts $surface): ?float
    {
        return $this->known($surface) ?? $this->drawn($surface, $surface->size);
    }

    /** Measured, to make, or noted with its source, mm; null when only drawn. */
    public function known(SurfaceFacts $surface): ?float
    {
        return $this->measured($surface) ?? ($surface->source === null ? null : $surface->size?->length->mm);
    }

    /** Another of its lengths, to draw by, mm. */
    public function drawn(SurfaceFacts $surface, ?TypedLength $length): ?float
    {
        return $length === null ? null : $length->length->mm * ($surface->source === null ? $this->proportion : 1.0);
    }

    public function says(SurfaceFacts $surface): ?Say
    {
        $band = $this->bands[$surface->id] ?? null;
        $noted = $surface->source === null ? null : $surface->size?->length->mm;

        return match (true) {
            $band !== null => $surface->kind === SurfaceKind::Bore ? LengthWriter::lower($band) : LengthWriter::upper($band),
            isset($this->found[$surface->id]) => LengthWriter::size($this->found[$surface->id]->meanMm),
            $noted !== null => Say::with('≈ {s}', ['s' => LengthWriter::size($noted)]),
            default => null,
        };
    }

    public function isDrawnOnly(SurfaceFacts $surface): bool
    {
        return $this->known($surface) === null;
    }

    private function measured(SurfaceFacts $surface): ?float
    {
        return isset($this->bands[$surface->id]) ? $this->bands[$surface->id]->middleMm() : ($this->found[$surface->id]->meanMm ?? null);
    }
}
