<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Making\Pairing;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** Pairs worked by hand: taking the best first may leave the last without a mate. */
final class PairingTest extends TestCase
{
    /**
     * @param  list<float>  $bores
     * @param  list<float>  $shafts
     */
    private static function pair(array $shafts, array $bores, float $doubt = 0.0): Pairing
    {
        $clearance = array_map(static fn (float $s): array => array_map(static fn (float $b): float => $b - $s, $bores), $shafts);

        return Pairing::best(
            $clearance,
            array_map(static fn (array $row): array => array_fill(0, count($row), $doubt), $clearance),
            new Range(0.01, 0.03),
        );
    }

    public function test_the_best_pair_first_would_lose_the_other(): void
    {
        // Shaft 20.000 is nearest to 0.02 in 20.020, but then 20.012 is left with 20.012 and none of the two would do.
        $pairs = self::pair([20.000, 20.008], [20.020, 20.012]);
        self::assertSame([[0 => 1, 1 => 0], 2], [$pairs->mates, $pairs->inside]);
    }

    public function test_all_fit_and_the_middles_win(): void
    {
        $pairs = self::pair([20.000, 20.004, 20.008], [20.028, 20.020, 20.024]);
        self::assertSame([[0 => 1, 1 => 2, 2 => 0], 3], [$pairs->mates, $pairs->inside]);
    }

    /** However near the middle two would come: three that just fit are more than two in the middle and one that does not. */
    public function test_every_pair_as_wanted_counts_most(): void
    {
        $pairs = Pairing::best(
            [[0.011, 0.02, 0.036], [0.036, 0.029, 0.02], [0.0301, 0.036, 0.011]],
            array_fill(0, 3, [0.0, 0.0, 0.0]),
            new Range(0.01, 0.03),
        );
        self::assertSame([[0 => 0, 1 => 1, 2 => 2], 3], [$pairs->mates, $pairs->inside]);
    }

    /** As the readings go one of them can't be told: it counts as none that is sure. */
    public function test_doubt_takes_a_pair_away(): void
    {
        self::assertSame(1, self::pair([20.000], [20.011])->inside);
        self::assertSame(0, self::pair([20.000], [20.011], 0.002)->inside);
        self::assertSame(0, self::pair([20.000], [20.050])->inside);
        // One surely as wanted is better than one that may be.
        self::assertSame([0 => 1], self::pair([20.000], [20.031, 20.020], 0.002)->mates);
    }

    /** One far off anyhow is no reason to spoil a pair that fits: the middle counts for less than a pair as wanted. */
    public function test_one_that_is_lost_spoils_no_other(): void
    {
        // 19.5 fits nothing. With it in 20.020 the other would be nearer the middle, and one pair fits either way; 19.98
        // in 20.009 fits just so, in 20.020 it does not.
        $pairs = self::pair([19.5, 19.980], [20.009, 20.020]);
        self::assertSame([[0 => 1, 1 => 0], 1], [$pairs->mates, $pairs->inside]);
    }

    public function test_more_of_one_side(): void
    {
        $pairs = self::pair([20.0, 20.1, 20.2], [20.22]);
        self::assertSame([[2 => 0], 1], [$pairs->mates, $pairs->inside]);
    }

    /** Tried against all there are: no other way has more pairs as wanted, nor as many of them nearer to the middle. */
    public function test_no_way_is_better(): void
    {
        mt_srand(5);
        for ($trial = 0; $trial < 200; $trial++) {
            $clearance = array_map(
                static fn (): array => array_map(static fn (): float => mt_rand(0, 45) / 1000, range(1, 4)),
                range(1, 4),
            );
            $pairs = Pairing::best($clearance, array_fill(0, 4, array_fill(0, 4, 0.0)), new Range(0.01, 0.03));
            $of = static function (array $mates) use ($clearance): array {
                $taken = array_map(static fn (int $i, int $k): float => $clearance[$i][$k], array_keys($mates), $mates);
                $inside = count(array_filter($taken, static fn (float $mm): bool => $mm >= 0.01 - 1e-9 && $mm <= 0.03 + 1e-9));

                return [$inside, -array_sum(array_map(static fn (float $mm): float => ($mm - 0.02) ** 2, $taken))];
            };
            [$most, $nearest] = [0, -INF];
            foreach (self::orders([0, 1, 2, 3]) as $order) {
                [$inside, $near] = $of($order);
                [$most, $nearest] = $inside > $most || $inside === $most && $near > $nearest ? [$inside, $near] : [$most, $nearest];
            }
            self::assertSame($most, $pairs->inside);
            self::assertEqualsWithDelta([$most, $nearest], $of($pairs->mates), 1e-12);
        }
    }

    /**
     * @param  list<int>  $of
     * @return list<list<int>>
     */
    private static function orders(array $of): array
    {
        if ($of === []) {
            return [[]];
        }
        $orders = [];
        foreach ($of as $first) {
            foreach (self::orders(array_values(array_diff($of, [$first]))) as $rest) {
                $orders[] = [$first, ...$rest];
            }
        }

        return $orders;
    }

    /** With doubt on both ends of a wide wish it may be surely in, and beyond either end surely out. */
    public function test_doubt_at_either_end(): void
    {
        $inside = static fn (float $clearance, float $doubt): int => Pairing::best([[$clearance]], [[$doubt]], new Range(0.01, 0.03))->inside;
        self::assertSame([1, 1, 0, 0, 1, 0], [$inside(0.012, 0.002), $inside(0.028, 0.002), $inside(0.0285, 0.002), $inside(0.0115, 0.002), $inside(0.02, 0.01), $inside(0.02, 0.011)]);
        // 0.034 ± 0.005 may do, 0.036 ± 0.005 surely does not: the one that may is taken, though farther off in sum.
        self::assertSame([0 => 0], Pairing::best([[0.034, 0.0361]], [[0.005, 0.005]], new Range(0.01, 0.03))->mates);
        self::assertSame([0 => 1], Pairing::best([[0.0039, 0.0365]], [[0.005, 0.007]], new Range(0.01, 0.03))->mates, 'the second may do');
    }
}
