<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Number\Assignment;
use Oldpart\Core\Quantity\Range;

/**
 * Which piece of a batch goes with which mate: as many pairs as possible as wanted, and those as near the middle as
 * can be.
 */
final readonly class Pairing
{
    /**
     * @param  array<int, int>  $mates  place of the mate by place of the piece
     * @param  int  $inside  how many of the pairs are as wanted
     */
    private function __construct(public array $mates, public int $inside)
    {
    }

    /**
     * @param  list<list<float>>  $clearanceMm  of each piece in each mate, negative for interference
     * @param  list<list<float>>  $doubtMm  U95 of that, as many
     */
    public static function best(array $clearanceMm, array $doubtMm, Range $wanted): self
    {
        $aim = $wanted->middle();
        $width = max($wanted->width(), 1e-6);
        // One pair as wanted outweighs any gain in how near the others are to the middle.
        $most = 0.0;
        foreach ($clearanceMm as $row) {
            foreach ($row as $mm) {
                $most = max($most, (($mm - $aim) / $width) ** 2);
            }
        }
        $out = (1 + $most) * (1 + max(count($clearanceMm), count($clearanceMm[0] ?? [])));
        $costs = [];
        foreach ($clearanceMm as $i => $row) {
            $costs[] = array_map(
                static fn (float $mm, float $doubt): float => (($mm - $aim) / $width) ** 2
                    + $out * (1 - self::fits($mm, $doubt, $wanted)),
                $row,
                $doubtMm[$i],
            );
        }
        $mates = Assignment::cheapest($costs);
        $inside = 0;
        foreach ($mates as $i => $k) {
            $inside += self::fits($clearanceMm[$i][$k], $doubtMm[$i][$k], $wanted) === 1.0 ? 1 : 0;
        }

        return new self($mates, $inside);
    }

    /** 1 surely as wanted, ½ too near an end to tell, 0 surely not. */
    private static function fits(float $mm, float $doubt, Range $wanted): float
    {
        return match (true) {
            $mm - $doubt >= $wanted->min && $mm + $doubt <= $wanted->max => 1.0,
            $mm + $doubt < $wanted->min || $mm - $doubt > $wanted->max => 0.0,
            default => 0.5,
        };
    }
}
