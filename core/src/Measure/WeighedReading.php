<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

/** A reading at 20 °C with what makes it unsure. */
final readonly class WeighedReading
{
    public function __construct(
        public float $mm,
        /** As it was read. */
        public Reading $read,
        public ReadingDoubt $doubt,
        /** What it scatters by from one to the next, one standard deviation, mm, above 0. */
        public float $scatterMm,
    ) {
    }
}
