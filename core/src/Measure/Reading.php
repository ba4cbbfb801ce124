<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

/** One reading as the instrument gave it, in mm; where, how warm, and whether the spot is worn. */
final readonly class Reading
{
    public function __construct(
        public float $valueMm,
        public string $station = '',
        public string $angle = '',
        public ?float $partC = null,
        public ?float $gaugeC = null,
        public ?bool $worn = null,
        /** Read by a go and a no-go pin: how far apart they are, mm. */
        public ?float $betweenMm = null,
        /** A sum of so many readings with the instrument, such as over-all less a part. */
        public int $terms = 1,
    ) {
    }

    public function spot(): string
    {
        return $this->station."\0".$this->angle;
    }
}
