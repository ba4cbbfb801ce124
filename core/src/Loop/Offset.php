<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\BadInput;

/**
 * A length with a direction in a plane: its size with its half-width, mm, and the angle it points at, degrees from the
 * first direction toward the second.
 */
final readonly class Offset
{
    /**
     * @param  float  $halfMm  0 or more
     *
     * @throws BadInput for a size over 20 m, limits below zero, or an angle that is no number
     */
    public function __construct(
        public string $name,
        public float $sizeMm,
        public float $halfMm,
        public float $angleDeg,
        public Spread $spread = Spread::Uniform,
        string $field = 'offset',
    ) {
        if (! is_finite($sizeMm) || abs($sizeMm) > 20000) {
            throw new BadInput('size', "{$field}.size_mm", "The size of “{$name}” must be a length up to 20 m.");
        }
        if (! is_finite($halfMm) || $halfMm < 0) {
            throw new BadInput(
                'limits',
                "{$field}.half_mm",
                "The limits of “{$name}” are typed as magnitudes, zero or more.",
            );
        }
        if (! is_finite($angleDeg)) {
            throw new BadInput(
                'angle',
                "{$field}.angle_deg",
                "Which way does “{$name}” point? Type an angle in degrees.",
            );
        }
    }

    public function varianceMm2(): float
    {
        return $this->spread->variance() * $this->halfMm ** 2;
    }

    /** Along a direction, signed, mm. */
    public function along(float $deg): float
    {
        return $this->sizeMm * cos(deg2rad($this->angleDeg - $deg));
    }
}
