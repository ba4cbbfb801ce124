<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

/**
 * A size somebody may have meant: its family, how often it is chosen, and the zone a made one lies in (deviations, mm).
 */
final readonly class NominalSize
{
    public function __construct(
        public string $label,
        public float $mm,
        public string $system,
        public string $family,
        public float $weight,
        public float $zoneLowMm,
        public float $zoneHighMm,
    ) {
    }

    public function isBought(): bool
    {
        return in_array($this->family, ['bearing', 'drill', 'thread'], true);
    }
}
