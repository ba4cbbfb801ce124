<?php

declare(strict_types=1);

namespace Oldpart\Core\Pattern;

use Oldpart\Core\Advice\BadInput;

/** Holes evenly round a circle; mm and degrees, counter-clockwise from the right. */
final readonly class HoleCircle
{
    /**
     * @param  int  $holes  1 to 1000
     * @param  float  $diameterMm  above 0
     *
     * @throws BadInput for a circle that is none
     */
    public function __construct(
        public int $holes,
        public float $diameterMm,
        public float $startDeg = 0.0,
        public ?Point $centre = null,
    ) {
        if ($holes < 1 || $holes > 1000) {
            throw new BadInput('holes', 'holes', 'A hole circle has from 1 to 1000 holes.');
        }
        if (! ($diameterMm > 0) || ! is_finite($diameterMm)) {
            throw new BadInput('diameter', 'diameter_mm', 'The hole circle must be above zero.');
        }
    }

    /**
     * From two holes that lie so many apart: D = chord / sin(180° · skip / n).
     *
     * @param  float  $chordMm  between their centres, above 0
     * @param  int  $skip  1: neighbours
     *
     * @throws BadInput for a chord no circle of so many holes has
     */
    public static function fromChord(int $holes, float $chordMm, int $skip = 1): self
    {
        if ($holes < 2) {
            throw new BadInput('holes', 'holes', 'A chord needs two holes at least.');
        }
        if (! ($chordMm > 0)) {
            throw new BadInput('chord', 'chord_mm', 'The distance between the two holes must be above zero. Check the pin.');
        }
        if ($skip < 1 || $skip >= $holes) {
            throw new BadInput('skip', 'skip', 'How far apart the two holes lie: 1 for neighbours, and fewer than all.');
        }

        return new self($holes, $chordMm / self::ofCircle($holes, $skip));
    }

    /** A chord over so many holes in its circle's diameter. */
    public static function ofCircle(int $holes, int $skip): float
    {
        return sin((M_PI * $skip) / $holes);
    }

    /** Between neighbours; 0 for a single hole. */
    public function chordMm(): float
    {
        return $this->holes < 2 ? 0.0 : $this->diameterMm * self::ofCircle($this->holes, 1);
    }

    public function angleDeg(int $hole): float
    {
        return fmod($this->startDeg + (360 * $hole) / $this->holes, 360);
    }

    /** @return list<Point> */
    public function points(): array
    {
        $points = [];
        for ($i = 0; $i < $this->holes; $i++) {
            $at = deg2rad($this->startDeg + (360 * $i) / $this->holes);
            $points[] = new Point(
                ($this->centre->x ?? 0.0) + ($this->diameterMm / 2) * cos($at),
                ($this->centre->y ?? 0.0) + ($this->diameterMm / 2) * sin($at),
            );
        }

        return $points;
    }
}
