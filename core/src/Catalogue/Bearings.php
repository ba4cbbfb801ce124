<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

/** Boundary sizes of ball bearings (data/bearings.json), mm. */
final class Bearings
{
    /** @return list<array{designation: string, series: string, bore_mm: float, outside_mm: float, width_mm: float}> */
    public static function all(): array
    {
        /** @var list<array{string, string, float, float, float}> $rows */
        $rows = Table::rows('bearings');

        return array_map(static fn (array $r): array => ['designation' => $r[0], 'series' => $r[1], 'bore_mm' => (float) $r[2], 'outside_mm' => (float) $r[3], 'width_mm' => (float) $r[4]], $rows);
    }
}
