<?php

declare(strict_types=1);

namespace Oldpart\Core\Shape;

/**
 * A slice of a turned part between two planes: straight outside and straight inside; radii in mm, inside 0 where it is
 * solid.
 */
final readonly class Cell
{
    public function __construct(
        public float $fromMm,
        public float $toMm,
        public float $outerStartMm,
        public float $outerEndMm,
        public float $innerStartMm,
        public float $innerEndMm,
        public float $offsetMm = 0.0,
    ) {
    }

    public function lengthMm(): float
    {
        return $this->toMm - $this->fromMm;
    }

    /** Volume between outside and inside. Frustum of a cone, π h (R² + R r + r²) / 3. */
    public function volumeMm3(): float
    {
        return self::frustum($this->lengthMm(), $this->outerStartMm, $this->outerEndMm) -
            self::frustum($this->lengthMm(), $this->innerStartMm, $this->innerEndMm);
    }

    /** ∫ x dV, exact for straight flanks (Simpson's rule is exact for cubics), mm⁴. */
    public function momentMm4(): float
    {
        $middle = ($this->fromMm + $this->toMm) / 2;
        $section = static fn (float $outer, float $inner): float => M_PI * ($outer ** 2 - $inner ** 2);
        $a = $section($this->outerStartMm, $this->innerStartMm) * $this->fromMm;
        $b =
            $section(($this->outerStartMm + $this->outerEndMm) / 2, ($this->innerStartMm + $this->innerEndMm) / 2) *
            $middle;
        $c = $section($this->outerEndMm, $this->innerEndMm) * $this->toMm;

        return ($this->lengthMm() / 6) * ($a + 4 * $b + $c);
    }

    /** Flanks outside and inside, without the faces. Cone flank π (R + r) s. */
    public function flanksMm2(): float
    {
        $flank = fn (float $r1, float $r2): float => M_PI * ($r1 + $r2) * hypot($this->lengthMm(), $r2 - $r1);

        return $flank($this->outerStartMm, $this->outerEndMm) + $flank($this->innerStartMm, $this->innerEndMm);
    }

    private static function frustum(float $h, float $r1, float $r2): float
    {
        return ((M_PI * $h) / 3) * ($r1 ** 2 + $r1 * $r2 + $r2 ** 2);
    }
}
