<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Offset\Eccentric;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/** A bore or seat that lies off the axis of a turned part: by how much and which way, and how it is set. */
final readonly class OffsetWork
{
    public function __construct(private ShapeCase $case)
    {
    }

    /** Null where it lies on the axis, or nobody said where. */
    public function surface(): ?ShapedSurface
    {
        $surface = $this->case->surface;
        $of = new Eccentric($surface->x->length->mm ?? 0.0, $surface->y->length->mm ?? 0.0);
        if ($of->offsetMm < 1e-6) {
            return null;
        }
        $bar = $this->case->sizes->round($surface, SurfaceType::Shaft);
        $size = $this->case->of();
        $numbers = [
            ShapeNumber::size('Off the axis by', $of->offsetMm),
            ShapeNumber::said('Toward', Say::plain(round($of->directionDeg, 2).'°, from the right, upward')),
            ShapeNumber::size('In four jaws the indicator swings', $of->swingMm()),
        ];
        $notes = [
            Note::info('full-swing', 'The full swing is twice the offset. Dialled one way from the middle it reads the offset only: the usual mistake is to set half of it.'),
        ];
        if ($bar !== null) {
            try {
                $numbers[] = ShapeNumber::size('Packing under one of three jaws', $of->packingMm($bar->mm));
            } catch (BadInput $bad) {
                $notes[] = Note::info('no-packing', $bad->getMessage());
            }
            $wall = $size === null || $surface->type !== SurfaceType::Bore
                ? null
                : ($bar->mm - $size->mm) / 2 - $of->offsetMm;
            if ($wall !== null) {
                $numbers[] = ShapeNumber::said('Wall left on the thin side', Say::with($wall < 0 ? 'none: it breaks out' : '{w}', [
                    'w' => LengthWriter::size(max(0.0, $wall)),
                ]));
                if ($wall < 0) {
                    $notes[] = Note::stop('breaks-out', 'It breaks out of the part on that side: check the offset, or take a larger blank.');
                }
            }
        }

        return new ShapedSurface(
            surface: $surface,
            isCut: $this->case->isCut,
            is: Say::with('off the axis by {o}', ['o' => LengthWriter::sizeInWords($of->offsetMm)]),
            because: Say::plain('By its centre, as typed at Survey.'),
            numbers: $numbers,
            sets: $this->case->isCut
                ? [
                    Say::plain('Mark the direction on the face with a punch before it is set over: it can’t be told from the chips afterwards.'),
                    Say::with('Four jaws: bring it true on the outside first, then set it over until the indicator swings {s} in all, high side toward the mark.', [
                        's' => LengthWriter::size($of->swingMm()),
                    ]),
                    Say::plain('Check at two places along it: set over it is easily held aslant as well.'),
                ]
                : [],
            checks: [
                Say::plain('Read the thin and the thick wall: half of their difference is the offset.'),
            ],
            notes: $notes,
            working: [
                new WorkingStep('Offset', '√(x² + y²), toward atan2(y, x); swing twice that', Say::with('{o}', ['o' => LengthWriter::size($of->offsetMm)]), 'geometry'),
            ],
        );
    }
}
