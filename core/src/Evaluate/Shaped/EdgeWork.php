<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/** A chamfer: as it was said, or as long as a lead-in mostly is. */
final readonly class EdgeWork
{
    /** Of the diameter it leads into, and at least and at most, mm. Common practice, no source. */
    private const OF_DIAMETER = 0.03;

    private const LEAST_MM = 0.5;

    private const MOST_MM = 2.5;

    public function __construct(private ShapeCase $case)
    {
    }

    public function surface(): ShapedSurface
    {
        $surface = $this->case->surface;
        $inside = $surface->type === SurfaceType::ChamferInside;
        $said = $this->case->of();
        $round = $this->case->sizes->round($surface, $inside ? SurfaceType::Bore : SurfaceType::Shaft);
        if ($said === null && $round === null) {
            return ShapedSurface::open($surface, $this->case->isCut, Say::plain('Say its leg at Survey, or the diameter it leads into.'));
        }
        $leg = $said->mm ?? max(self::LEAST_MM, min(self::MOST_MM, self::OF_DIAMETER * ($round->mm ?? 0.0)));
        $numbers = [ShapeNumber::size('Leg, at 45°', $leg)];
        if ($round !== null) {
            $numbers[] = ShapeNumber::size(
                $inside ? 'Across its mouth' : 'Across its end',
                $round->mm + ($inside ? 2 : -2) * $leg,
            );
        }

        return new ShapedSurface(
            surface: $surface,
            isCut: $this->case->isCut,
            is: Say::with('chamfer of {l}', ['l' => LengthWriter::sizeInWords($leg)]),
            because: Say::plain(
                $said !== null ? 'As noted.' : 'Nobody said: taken as a lead-in of this diameter mostly is.',
            ),
            numbers: $numbers,
            sets: $this->case->isCut ? [Say::plain('Last, once the diameter is to size: a chamfer cut before shrinks with every cut.')] : [],
            checks: [Say::plain('No burr at either edge: run a fingernail over it, inward and outward.')],
            notes: [
                Note::info('corner', 'Where it meets a shoulder of its mate, it has to clear the fillet there, or the nose of the tool that turned it: leg over that radius by a few tenths.'),
            ],
            working: [new WorkingStep('Chamfer', 'three hundredths of the diameter, half a millimetre to two and a half', LengthWriter::size($leg), 'common practice, no source')],
        );
    }
}
