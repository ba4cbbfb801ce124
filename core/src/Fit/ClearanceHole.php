<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Range;

/** A hole that only has to clear a bolt. Source: ISO 273:1979 (data/clearance-holes.json). */
final readonly class ClearanceHole
{
    /** A bolt measured this near under its nominal size is that bolt, mm. Common practice. */
    private const UNDER_MM = 0.35;

    /** A hole measured this near one of a series is that hole, mm. Common practice. */
    private const NEAR_MM = 0.13;

    private function __construct(
        public string $thread,
        public float $majorMm,
        public float $fineMm,
        public float $mediumMm,
        public float $coarseMm,
    ) {
    }

    /** @return list<ClearanceHole> smallest first */
    public static function all(): array
    {
        /** @var list<array{string, float, float, float, float}> $rows */
        $rows = Table::rows('clearance-holes');

        return array_map(
            static fn (array $r): self => new self($r[0], (float) $r[1], (float) $r[2], (float) $r[3], (float) $r[4]),
            $rows,
        );
    }

    /** The row of a bolt by its outside as measured or typed; null where it is none of the table. */
    public static function for(float $boltMm): ?self
    {
        foreach (self::all() as $hole) {
            if (
                $boltMm <= $hole->majorMm + 0.02
                && $boltMm > $hole->majorMm - min(self::UNDER_MM, 0.05 * $hole->majorMm)
            ) {
                return $hole;
            }
        }

        return null;
    }

    /** The bolt that a hole is meant for, by any of its three series; null where it is none of them. */
    public static function through(float $holeMm): ?self
    {
        $best = null;
        $least = self::NEAR_MM;
        foreach (self::all() as $hole) {
            foreach ([$hole->mediumMm, $hole->fineMm, $hole->coarseMm] as $mm) {
                if (abs($mm - $holeMm) < $least) {
                    [$best, $least] = [$hole, abs($mm - $holeMm)];
                }
            }
        }

        return $best;
    }

    /** From the fine to the medium hole, over a bolt of that size, mm. */
    public function clearanceOver(float $boltMm): Range
    {
        return new Range($this->fineMm - $boltMm, $this->mediumMm - $boltMm);
    }
}
