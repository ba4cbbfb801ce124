<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

/** The angle of a thread, and what follows from it, in pitches. Sources: ISO 68-1, ASME B1.1; BS 84. */
enum ThreadForm: string
{
    case Sixty = '60';
    case Whitworth = '55';

    /** What a full thread takes off the diameter: twice its basic height. */
    public function full(): float
    {
        return $this === self::Sixty ? 1.29904 : 1.28;
    }

    /** The basic pitch diameter below the major one. */
    public function pitchBelowMajor(): float
    {
        return $this === self::Sixty ? 0.649519 : 0.640327;
    }

    /** The wire that touches at the pitch line. */
    public function bestWire(): float
    {
        return $this === self::Sixty ? 0.577350 : 0.563691;
    }

    /** Over the wires it is the pitch diameter, so many wires more … 1 + 1/sin of the half angle. */
    public function wires(): float
    {
        return $this === self::Sixty ? 3.0 : 3.165681;
    }

    /** … and so many pitches less: half of the cotangent of the half angle. */
    public function pitchesLess(): float
    {
        return $this === self::Sixty ? 0.866025 : 0.960491;
    }
}
