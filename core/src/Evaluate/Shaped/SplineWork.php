<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Gear\StraightSpline;
use Oldpart\Core\Quantity\LengthWriter;

/** A spline: counted and measured, against the straight-sided ones; where none matches, the original is kept. */
final readonly class SplineWork
{
    public function __construct(private ShapeCase $case)
    {
    }

    public function surface(): ShapedSurface
    {
        $surface = $this->case->surface;
        [$major, $minor, $tooth] = [$this->case->of(), $this->case->of('minor'), $this->case->of('tooth')];
        if ($surface->count === null || $major === null) {
            return ShapedSurface::open($surface, $this->case->isCut, Say::plain(
                'Count its teeth (say how many at Survey), and read it across their tops, across the bottom, and the width of a tooth.',
            ));
        }
        $like = StraightSpline::like($surface->count, $major->mm, $minor?->mm, $tooth?->mm);
        $first = $like[0] ?? null;
        $read = array_filter(['At the bottom' => $minor, 'A tooth' => $tooth]);
        $numbers = [ShapeNumber::size('Across the tops', $major->mm)];
        foreach ($read as $name => $size) {
            $numbers[] = ShapeNumber::size($name, $size->mm);
        }

        return new ShapedSurface(
            surface: $surface,
            isCut: $this->case->isCut,
            is: Say::plain(
                $first === null
                    ? 'no straight-sided spline of the tables'
                    : "straight-sided {$first->label()}, {$first->series} series",
            ),
            because: Say::plain('By what was read.'),
            numbers: $numbers,
            checks: [Say::plain('Slide the mate on in every position: where it binds in one only, a tooth is bruised or the pitch is off.')],
            notes: $first === null
                ? [
                    Note::caution(
                        'spline-none',
                        'No match: an involute one, or its maker’s own. Keep the original spline and join to it: cut the shaft and sleeve, weld by a qualified hand, or flange it.',
                    ),
                ]
                : [
                    Note::info(
                        'spline-standard',
                        Say::with('New it is {d} at the bottom, {o} over the tops, a tooth {t} wide. Buy it ready, or have it cut on a dividing head.', [
                            'd' => LengthWriter::size($first->minorMm),
                            'o' => LengthWriter::size($first->majorMm),
                            't' => LengthWriter::size($first->toothMm),
                        ]),
                    ),
                ],
            working: [
                new WorkingStep('Spline', 'count, tops, bottom and tooth against the table', Say::plain("{$surface->count} teeth"), 'ISO 14'),
            ],
        );
    }
}
