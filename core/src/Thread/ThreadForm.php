<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

/** The angle of a thread, and what follows from it, in pitches. Sources: ISO 68-1, ASME B1.1; BS 84. */
enum ThreadForm: string
{
    case Sixty = '60';
    case Whitworth = '55';
    case British = '47.5';

    /** @param  float  $deg  between the flanks: 60, 55 or 47.5 */
    public static function ofAngle(float $deg): self
    {
        return match (true) {
            $deg < 50 => self::British,
            $deg < 58 => self::Whitworth,
            default => self::Sixty,
        };
    }

    /** One for each form, in their order here. */
    private function pick(float $sixty, float $whitworth, float $british): float
    {
        return match ($this) {
            self::Sixty => $sixty,
            self::Whitworth => $whitworth,
            self::British => $british,
        };
    }

    /** What a full thread takes off the diameter: twice its basic height. */
    public function full(): float
    {
        return $this->pick(1.29904, 1.28, 1.2);
    }

    /** The basic pitch diameter below the major one. */
    public function pitchBelowMajor(): float
    {
        return $this->pick(0.649519, 0.640327, 0.6);
    }

    /** The compound slide is set a little under half of the angle: the back flank is only wiped. Common practice. */
    public function compoundDeg(): float
    {
        return $this->pick(29.5, 27.0, 23.5);
    }

    /** The wire that touches at the pitch line. */
    public function bestWire(): float
    {
        return $this->pick(0.577350, 0.563691, 0.546262);
    }

    /** Over the wires it is the pitch diameter, so many wires more … 1 + 1/sin of the half angle. */
    public function wires(): float
    {
        return $this->pick(3.0, 3.165681, 3.482950);
    }

    /** … and so many pitches less: half of the cotangent of the half angle. */
    public function pitchesLess(): float
    {
        return $this->pick(0.866025, 0.960491, 1.136336);
    }
}
