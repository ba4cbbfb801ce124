<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

/** Hatching as plain lines, for writers that know no patterns (and for a printer that knows no colours). */
final class Hatch
{
    /**
     * Parallel lines inside rings, even-odd, so that holes stay blank.
     *
     * @param  list<list<array{float, float}>>  $rings
     * @param  float  $spacing  between lines
     * @param  float  $degrees  direction of the lines
     * @return list<array{float, float, float, float}>
     */
    public static function lines(array $rings, float $spacing, float $degrees): array
    {
        [$c, $s] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
        $turned = array_map(
            static fn (array $ring): array => array_map(
                static fn (array $p): array => [$p[0] * $c + $p[1] * $s, -$p[0] * $s + $p[1] * $c],
                $ring,
            ),
            $rings,
        );
        $ys = array_column(array_merge(...$turned), 1);
        if ($ys === []) {
            return [];
        }
        $lines = [];
        for ($y = ceil(min($ys) / $spacing) * $spacing + 1e-4; $y < max($ys); $y += $spacing) {
            $xs = self::crossings($turned, $y);
            for ($i = 0; $i + 1 < count($xs); $i += 2) {
                $lines[] = [
                    $xs[$i] * $c - $y * $s,
                    $xs[$i] * $s + $y * $c,
                    $xs[$i + 1] * $c - $y * $s,
                    $xs[$i + 1] * $s + $y * $c,
                ];
            }
        }

        return $lines;
    }

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @return list<float>
     */
    private static function crossings(array $rings, float $y): array
    {
        $xs = [];
        foreach ($rings as $ring) {
            $n = count($ring);
            for ($i = 0; $i < $n; $i++) {
                [$x1, $y1] = $ring[$i];
                [$x2, $y2] = $ring[($i + 1) % $n];
                if ($y1 <= $y !== $y2 <= $y) {
                    $xs[] = $x1 + (($y - $y1) * ($x2 - $x1)) / ($y2 - $y1);
                }
            }
        }
        sort($xs);

        return $xs;
    }
}
