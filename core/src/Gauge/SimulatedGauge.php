<?php

declare(strict_types=1);

namespace Oldpart\Core\Gauge;

use Oldpart\Core\Measure\Instrument;
use Random\Randomizer;

/** A gauge that errs as its kind does: a fixed error within its limits, scatter, feel, and its last digit. */
final readonly class SimulatedGauge
{
    /** The error this one gauge carries all the time, mm. */
    public float $errorMm;

    /** @param  ?float  $errorMm  a known error; drawn within the permissible one when null */
    public function __construct(public Instrument $instrument, private Randomizer $random, ?float $errorMm = null)
    {
        $this->errorMm =
            $errorMm ?? $instrument->mpeMm * $this->flat() + ($instrument->masterUMm / 2) * $this->normal();
    }

    /** What it shows, mm. */
    public function read(TrueShape $shape, float $along, float $angleDeg, bool $threePoint = false): float
    {
        $true = $shape->warm($threePoint ? $shape->threePoint($along, $angleDeg) : $shape->twoPoint($along, $angleDeg));
        $shown =
            $true +
            $this->errorMm +
            $this->instrument->repeatabilityMm * $this->normal() +
            $this->instrument->feelMm * $this->normal();

        return $this->instrument->resolutionMm > 0
            ? round($shown / $this->instrument->resolutionMm) * $this->instrument->resolutionMm
            : $shown;
    }

    /** The line a gauge sends: sign, five digits, point, three digits, unit. */
    public static function line(float $mm): string
    {
        return sprintf('%s%09.3f mm', $mm < 0 ? '-' : '+', abs($mm));
    }

    /** Even between −1 and 1. */
    private function flat(): float
    {
        return (2 * $this->random->getInt(0, 1_000_000)) / 1_000_000 - 1;
    }

    /** Standard normal (Box and Muller). */
    private function normal(): float
    {
        return sqrt(-2 * log($this->random->getInt(1, 1_000_000) / 1_000_000)) *
            cos((2 * M_PI * $this->random->getInt(0, 999_999)) / 1_000_000);
    }
}
