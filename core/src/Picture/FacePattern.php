<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** Holes on a circle seen from the face; mm and degrees, counted from the right, counter-clockwise. */
final readonly class FacePattern
{
    public function __construct(
        public string $name,
        public float $circleMm,
        public float $holeMm,
        public int $count,
        public float $startDeg = 90.0,
        public ?Say $says = null,
    ) {
    }

    public function mirrored(): self
    {
        return new self(
            name: $this->name,
            circleMm: $this->circleMm,
            holeMm: $this->holeMm,
            count: $this->count,
            startDeg: 180.0 - $this->startDeg,
            says: $this->says,
        );
    }

    /** @return list<array{float, float}> the centres */
    public function centres(): array
    {
        $centres = [];
        for ($i = 0; $i < $this->count; $i++) {
            $angle = deg2rad($this->startDeg + (360 * $i) / $this->count);
            $centres[] = [($this->circleMm / 2) * cos($angle), ($this->circleMm / 2) * sin($angle)];
        }

        return $centres;
    }
}
