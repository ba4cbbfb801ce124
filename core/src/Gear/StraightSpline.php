<?php

declare(strict_types=1);

namespace Oldpart\Core\Gear;

use Oldpart\Core\Catalogue\Table;

/** A straight-sided spline of the tables (data/splines.json); mm. */
final readonly class StraightSpline
{
    /** So far off each size, worn and cleared, it may still be one. Common practice. */
    private const NEAR_MM = 0.4;

    private function __construct(
        public int $teeth,
        public float $minorMm,
        public float $majorMm,
        public float $toothMm,
        public string $series,
    ) {
    }

    /**
     * Those it may be, the nearest first; none where it is of another standard, an involute one or its maker's own.
     *
     * @param  int  $teeth  counted
     * @param  float  $majorMm  above 0
     * @return list<self>
     */
    public static function like(int $teeth, float $majorMm, ?float $minorMm, ?float $toothMm): array
    {
        /** @var list<array{string, int, float, float, float}> $rows */
        $rows = Table::read('splines')['rows'];
        $like = [];
        foreach ($rows as [$series, $count, $minor, $major, $tooth]) {
            $off = max(abs($major - $majorMm), abs(($minorMm ?? $minor) - $minor), abs(($toothMm ?? $tooth) - $tooth));
            if ($count === $teeth && $off <= self::NEAR_MM) {
                $like[] = [$off, new self($count, (float) $minor, (float) $major, (float) $tooth, $series)];
            }
        }
        usort($like, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($like, 1);
    }

    public function label(): string
    {
        return "{$this->teeth} × {$this->minorMm} × {$this->majorMm}";
    }
}
