<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Quantity\Range;

/** The fit that was made: the last sizes of what was cut, in what it goes with. */
final class AchievedFit
{
    /**
     * Clearance of the made part in its mate, with both doubts in quadrature, mm; null while it is not made. Source:
     * JCGM 100.
     *
     * @param  list<CutProgress>  $making
     */
    public static function of(SizedJoint $joint, array $making): ?Range
    {
        if ($joint->pairMm !== null) {
            return $joint->withheld ? null : $joint->pairMm;
        }
        $made = $joint->make === null || $joint->withheld ? null : self::madeSize($making, $joint->make->id);
        if ($made === null) {
            return null;
        }

        return self::at($joint, $made[0], $made[1], $making);
    }

    /**
     * Clearance of a size in what it goes with, found or made, with both doubts, mm; null while it is neither.
     *
     * @param  list<CutProgress>  $making
     */
    public static function at(SizedJoint $joint, float $size, float $doubt, array $making): ?Range
    {
        if ($joint->mateFound !== null || $joint->first === null) {
            return self::inMate($joint, $size, $doubt);
        }
        $other = self::madeSize($making, $joint->first->id);
        if ($other === null) {
            return null;
        }
        $clearance = $joint->makesInner() ? $other[0] - $size : $size - $other[0];

        return new Range($clearance - hypot($doubt, $other[1]), $clearance + hypot($doubt, $other[1]));
    }

    /** Clearance of a size in the mate that was found, with both doubts, mm; null where it was not found. */
    public static function inMate(SizedJoint $joint, float $size, float $doubt): ?Range
    {
        $found = $joint->mateFound;
        if ($found === null) {
            return null;
        }
        $tight = $joint->isTight();
        $u = hypot($doubt, $tight ? $found->sureMeanMm() : $found->sureMm());
        [$smallest, $largest] = $tight ? [$found->meanMm, $found->meanMm] : [$found->smallestMm(), $found->largestMm()];

        $change = $joint->mateChangeMm ?? new Range(0.0, 0.0);

        return $joint->makesInner()
            ? new Range($smallest + $change->min - $size - $u, $largest + $change->max - $size + $u)
            : new Range($size - $largest - $change->max - $u, $size - $smallest - $change->min + $u);
    }

    /**
     * @param  list<CutProgress>  $making
     * @return array{float, float}|null the last size of a made surface, and its doubt, mm
     */
    public static function madeSize(array $making, string $surface): ?array
    {
        foreach ($making as $cut) {
            $size = $cut->sizeMm();
            if ($cut->entry->surface->id === $surface && $cut->entry->phase !== Phase::Before && $size !== null) {
                return [$size, $cut->u95()];
            }
        }

        return null;
    }

    /** @return 'inside'|'outside'|'cannot-tell'|null null while it is not made, or nothing was wanted */
    public static function verdict(?Range $achieved, ?Range $wanted): ?string
    {
        return match (true) {
            $achieved === null || $wanted === null => null,
            $achieved->min >= $wanted->min && $achieved->max <= $wanted->max => 'inside',
            $achieved->min > $wanted->max || $achieved->max < $wanted->min => 'outside',
            default => 'cannot-tell',
        };
    }
}
