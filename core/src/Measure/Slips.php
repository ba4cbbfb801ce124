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
        $slips = [];
        if ($values === []) {
            return [];
        }
        $median = self::median($values);
        foreach ($values as $i => $value) {
            $slip = self::slip($value, $i, $values, $median);
            if ($slip !== null) {
                $slips[] = $slip;
            }
        }

        return $slips;
    }

    /** @param  non-empty-list<float>  $values */
    private static function slip(float $value, int $i, array $values, float $median): ?Slip
    {
        $off = $value - $median;
        $which = ['n' => $i + 1, 'value' => LengthWriter::sizeInWords($value)];
        $others = $values;
        unset($others[$i]);
        $middle = $others === [] ? $value : self::median(array_values($others));
        if ($value > 20 * $middle || $value * 20 < $middle) {
            return new Slip($i, Say::with('Reading {n}, {value}, looks typed in the other unit.', $which), $value > $middle ? $value / 25.4 : $value * 25.4, true);
        }
        foreach (self::TURNS as $turn => $mm) {
            if (count($values) > 2 && abs(abs($off) - $mm) < 0.02) {
                return new Slip($i, Say::with("Reading {n}, {value}, is a turn of the thimble ({$turn}) from the others. Read it again.", $which), $value - ($off <=> 0) * $mm);
            }
        }
        if (count($values) < 4) {
            return null;
        }
        $spread = self::median(array_map(static fn (float $v): float => abs($v - $median), $values));
        if ($spread > 0 && 0.6745 * abs($off) / $spread > 3.5) {
            return new Slip($i, Say::with('Reading {n}, {value}, stands apart from the others by {off}. Read it again, or set it aside with a reason.', [...$which, 'off' => LengthWriter::difference($off)]));
        }

        return null;
    }

    /** @param  non-empty-list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);
        $n = count($values);

        return $n % 2 === 1 ? $values[intdiv($n, 2)] : ($values[$n / 2 - 1] + $values[$n / 2]) / 2;
    }
}
