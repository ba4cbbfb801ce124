<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Range;

/** Which shims of those in stock make a thickness: the fewest, then the nearest to the middle of what is wanted. */
final class Shims
{
    /** More than this in a pile is springy. Common practice. */
    private const MOST = 5;

    /**
     * @param  list<array{mm: float, count: int}>  $stock  what there is of each thickness, above 0
     * @param  Range  $wantedMm  thickness that will do
     * @return list<float>|null  the pile, thickest first; an empty one where nothing is needed; null where no pile does
     *
     * @throws BadInput for a thickness not above 0
     */
    public static function pile(array $stock, Range $wantedMm): ?array
    {
        foreach ($stock as $i => $shim) {
            if (! is_finite($shim['mm']) || $shim['mm'] <= 0) {
                throw new BadInput('shim', "stock.{$i}.mm", 'A shim has a thickness above zero.');
            }
        }
        if ($wantedMm->min <= 1e-9 && $wantedMm->max >= -1e-9) {
            return [];
        }
        usort($stock, static fn (array $a, array $b): int => $b['mm'] <=> $a['mm']);
        for ($pieces = 1; $pieces <= self::MOST; $pieces++) {
            $best = null;
            self::search(stock: $stock, from: 0, left: $pieces, sum: 0.0, pile: [], wanted: $wantedMm, best: $best);
            if ($best !== null) {
                return $best;
            }
        }

        return null;
    }

    /**
     * @param  list<array{mm: float, count: int}>  $stock
     * @param  list<float>  $pile
     * @param  list<float>|null  $best
     */
    private static function search(
        array $stock,
        int $from,
        int $left,
        float $sum,
        array $pile,
        Range $wanted,
        ?array &$best,
    ): void {
        if ($left === 0) {
            $off = static fn (array $p): float => abs(array_sum($p) - $wanted->middle());
            if (
                $sum >= $wanted->min - 1e-9
                && $sum <= $wanted->max + 1e-9
                && ($best === null || $off($pile) < $off($best) - 1e-12)
            ) {
                $best = $pile;
            }

            return;
        }
        for ($i = $from; $i < count($stock); $i++) {
            $used = count(array_filter($pile, static fn (float $mm): bool => $mm === $stock[$i]['mm']));
            // What is left can reach no farther than this thickness each time.
            if (
                $used >= $stock[$i]['count']
                || $sum + $stock[$i]['mm'] > $wanted->max + 1e-9
                || $sum + $left * $stock[$i]['mm'] < $wanted->min - 1e-9
            ) {
                continue;
            }
            self::search(
                stock: $stock,
                from: $i,
                left: $left - 1,
                sum: $sum + $stock[$i]['mm'],
                pile: [...$pile, $stock[$i]['mm']],
                wanted: $wanted,
                best: $best,
            );
        }
    }
}
