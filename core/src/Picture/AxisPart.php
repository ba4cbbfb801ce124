<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Shape\Profile;

/**
 * A turned part for a drawing along one axis: its profile, where its zero lies along it and how far its own axis lies
 * above, and what to write at it; mm.
 */
final readonly class AxisPart
{
    /**
     * @param  list<array{name: string, at_mm: float, radius_mm: float, says: ?Say, made?: bool, surface?: string}>  $diameters
     * @param  list<array{name: string, from_mm: float, to_mm: float, says: ?Say, made?: bool}>  $lengths
     * @param  list<array{circle_mm: float, hole_mm: float, from_mm: float, to_mm: float}>  $holes  hole circles, one hole turned into the cut
     * @param  list<array{from_mm: float, to_mm: float, top_mm: float, bottom_mm: float}>  $slots  keyways, seen at the top; radii
     */
    public function __construct(
        public string $name,
        public Tone $tone,
        public Profile $profile,
        public float $offsetMm = 0.0,
        public float $riseMm = 0.0,
        public array $diameters = [],
        public array $lengths = [],
        public array $holes = [],
        public array $slots = [],
        /** @var list<AxisFace> that can be pointed at */
        public array $faces = [],
    ) {
    }
}
