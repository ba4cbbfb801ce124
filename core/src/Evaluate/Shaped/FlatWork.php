<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/** A flat on a round: how deep and how wide, from what it is across; a square or hexagon where it has four or six. */
final readonly class FlatWork
{
    public function __construct(private ShapeCase $case)
    {
    }

    /** Null where it is a face of its own, on no round. */
    public function surface(): ?ShapedSurface
    {
        $round = $this->case->sizes->round($this->case->surface, SurfaceType::Shaft);
        $across = $this->case->of('across') ?? $this->case->mates('across');
        $sides = max(1, $this->case->surface->count ?? 1);
        if ($round === null && $across === null) {
            return null;
        }
        if ($round === null || $across === null) {
            return ShapedSurface::open($this->case->surface, $this->case->isCut, Say::plain('Read the round it is cut on and across from the flat to the far side, of it or its mate.'));
        }
        // One flat leaves the round on the far side; opposite ones share what is cut away.
        $deep = $sides % 2 === 0 ? ($round->mm - $across->mm) / 2 : $round->mm - $across->mm;
        if ($deep <= 0 || $deep >= $round->mm / 2) {
            return ShapedSurface::open($this->case->surface, $this->case->isCut, Say::plain('Across the flat it has to be less than the round, and more than half of it. Read both again.'));
        }
        $wide = 2 * sqrt($deep * ($round->mm - $deep));

        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: $this->case->isCut,
            is: Say::with('{a} across'.($sides > 1 ? ", {$sides} flats" : ''), ['a' => LengthWriter::sizeInWords($across->mm)]),
            because: Say::plain('By what was read.'),
            numbers: [
                ShapeNumber::size('Deep, from the round', $deep),
                ShapeNumber::size('Wide', $wide),
                ShapeNumber::size('Across', $across->mm),
            ],
            sets: [
                Say::with('Let the cutter just touch the round, then go {d} deep'.($sides > 1 ? ', dividing by '.$sides : '').'.', ['d' => LengthWriter::size($deep)]),
            ],
            checks: [Say::plain('Read across with a micrometer while it is still held; the width tells little, since it changes fast with the depth.')],
            working: [
                new WorkingStep('Flat', 'deep = D − across, or half of it with one opposite; wide = 2√(deep (D − deep))', Say::with('{d} deep', ['d' => LengthWriter::size($deep)]), 'geometry of a chord'),
            ],
        );
    }
}
