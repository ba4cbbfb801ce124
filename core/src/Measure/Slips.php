<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;

/** Points out likely slips of the hand or the eye; it never drops a reading. */
final class Slips
{
    /** One turn of the thimble, mm: 0.025 in and 0.5 mm. */
    private const TURNS = ['0.025 in' => 0.635, '0.5 mm' => 0.5];

    /**
     * A reading far from the others (modified z-score over 3.5, four readings or more: Iglewicz and Hoaglin), one
     * exactly a turn of the thimble away, or one that looks typed in the other unit.
     *
     * @return list<Slip>
     */
    public static function in(Readings $set): array
    {
        $values = array_map(static fn (Reading $r): float => $r->valueMm, $set->readings);
        if ($values === []) {
            return [];
        }
        $sorted = $values;
        sort($sorted);
        $median = self::middle($sorted);
        $spread = self::median(array_map(static fn (float $v): float => abs($v - $median), $values));
        $slips = [];
        $n = count($sorted);
        // Readings that lie close together accuse nobody: most sets end here.
        if (
            $sorted[$n - 1] - $sorted[0] < 0.4
            && ($n < 4 || 0.6745 * max($sorted[$n - 1] - $median, $median - $sorted[0]) <= 3.5 * $spread)
            && $sorted[$n - 1] <= 20 * $sorted[0]
        ) {
            return [];
        }
        foreach ($values as $i => $value) {
            $slip = self::slip($value, $i, $sorted, $median, $spread);
            if ($slip !== null) {
                $slips[] = $slip;
            }
        }

        return $slips;
    }

    /** @param  non-empty-list<float>  $sorted */
    private static function slip(float $value, int $i, array $sorted, float $median, float $spread): ?Slip
    {
        $off = $value - $median;
        $middle = self::middleWithout($value, $sorted);
        $which = static fn (): array => ['n' => $i + 1, 'value' => LengthWriter::sizeInWords($value)];
        if ($value > 20 * $middle || $value * 20 < $middle) {
            return new Slip(
                $i,
                Say::with('Reading {n}, {value}, looks typed in the other unit.', $which()),
                $value > $middle ? $value / 25.4 : $value * 25.4,
                true,
            );
        }
        foreach (self::TURNS as $turn => $mm) {
            if (count($sorted) > 2 && abs(abs($off) - $mm) < 0.02) {
                return new Slip(
                    $i,
                    Say::with(
                        "Reading {n}, {value}, is a turn of the thimble ({$turn}) from the others. Read it again.",
                        $which(),
                    ),
                    $value - ($off <=> 0) * $mm,
                );
            }
        }
        if (count($sorted) >= 4 && $spread > 0 && (0.6745 * abs($off)) / $spread > 3.5) {
            return new Slip(
                $i,
                Say::with(
                    'Reading {n}, {value}, stands apart from the others by {off}. Read it again, or set it aside with a reason.',
                    [...$which(), 'off' => LengthWriter::difference($off)],
                ),
            );
        }

        return null;
    }

    /**
     * The median of the others: at most one place from the middle of all.
     *
     * @param  non-empty-list<float>  $sorted
     */
    private static function middleWithout(float $value, array $sorted): float
    {
        $n = count($sorted);
        if ($n === 1) {
            return $value;
        }
        // Without one of n the places after it move up by one.
        $at = static fn (int $place): float => $value <= $sorted[$place] ? $sorted[$place + 1] : $sorted[$place];
        $m = $n - 1;

        return $m % 2 === 1 ? $at(intdiv($m, 2)) : ($at(intdiv($m, 2) - 1) + $at(intdiv($m, 2))) / 2;
    }

    /** @param  non-empty-list<float>  $sorted */
    private static function middle(array $sorted): float
    {
        $n = count($sorted);

        return $n % 2 === 1 ? $sorted[intdiv($n, 2)] : ($sorted[intdiv($n, 2) - 1] + $sorted[intdiv($n, 2)]) / 2;
    }

    /** @param  non-empty-list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);

        return self::middle($values);
    }
}
