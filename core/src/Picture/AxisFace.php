<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

/**
 * A face of a turned part, square to its axis: where it stands, which way it looks, and between which radii it is seen;
 * mm.
 */
final readonly class AxisFace
{
    /** @param  int  $looks  1 to the right, −1 to the left, 0 where that can't be told */
    public function __construct(
        public string $id,
        public string $name,
        public float $atMm,
        public int $looks,
        public float $innerMm,
        public float $outerMm,
    ) {
    }
}
