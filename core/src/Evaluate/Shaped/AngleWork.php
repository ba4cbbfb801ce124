<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;

/** An angle, with what it is from the other sides: the usual mistake is to set its complement. */
final readonly class AngleWork
{
    public function __construct(private ShapeCase $case)
    {
    }

    public function surface(): ShapedSurface
    {
        $surface = $this->case->surface;
        $deg = $surface->angleDeg;
        if ($deg === null) {
            return ShapedSurface::open($surface, $this->case->isCut, Say::plain('Say the angle at Survey, and from which line it is read.'));
        }
        $said = static fn (float $d): Say => Say::plain(rtrim(rtrim(number_format($d, 3, '.', ''), '0'), '.').'°');

        return new ShapedSurface(
            surface: $surface,
            isCut: $this->case->isCut,
            is: $said($deg),
            because: Say::plain('As typed.'),
            numbers: [
                ShapeNumber::said('Angle', $said($deg)),
                ShapeNumber::said('From a line square to that', $said(90 - $deg)),
                ShapeNumber::said('From the other end of the line', $said(180 - $deg)),
                ShapeNumber::said('Sine bar of 100 or 5', new Say(
                    number_format(5 * sin(deg2rad($deg)), 4),
                    number_format(100 * sin(deg2rad($deg)), 3),
                    number_format(100 * sin(deg2rad($deg)), 3).' mm ('.number_format(5 * sin(deg2rad($deg)), 4).')',
                )),
            ],
            sets: $this->case->isCut
                ? [Say::plain('Say aloud from which line it is set, and look at the work beside the drawing before the first cut: left and right copies are mirrored.')]
                : [],
            checks: [Say::plain('Lay the old part, or a template printed one to one, on it.')],
            notes: [Note::info('reference', 'An angle is nothing without its line: write down which face it is read from.')],
            working: [new WorkingStep('Angle', '90° − it, 180° − it; stack = length × sin', $said($deg), 'geometry')],
        );
    }
}
