<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

use Oldpart\Core\Advice\Say;

/** Numbers in words that promise something: "at least" is never rounded up, "up to" never down. */
final class Figure
{
    private const SLACK = 1e-9;

    /** In one N·m. Source: NIST SP 811. */
    private const LB_FT = 0.737562;

    public static function atLeast(float $value, int $places = 0): string
    {
        return number_format(floor($value * 10 ** $places + self::SLACK) / 10 ** $places, $places);
    }

    public static function upTo(float $value, int $places = 0): string
    {
        return number_format(ceil($value * 10 ** $places - self::SLACK) / 10 ** $places, $places);
    }

    /** A torque that holds, N·m: one place below 10. */
    public static function torqueAtLeast(float $nm): string
    {
        return self::atLeast($nm, $nm < 10 ? 1 : 0).' N·m';
    }

    public static function torqueUpTo(float $nm): string
    {
        return self::upTo($nm, $nm < 10 ? 1 : 0).' N·m';
    }

    /**
     * A torque to tighten with, N·m: “38 to 46 N·m (28 to 34 lb·ft)”. Rounded to what a wrench is read to: one place
     * below 10.
     */
    public static function torque(Range $nm): Say
    {
        [$metric, $inch] = [self::span($nm), self::span($nm->times(self::LB_FT))];

        return new Say("{$inch} lb·ft", "{$metric} N·m", "{$metric} N·m ({$inch} lb·ft)");
    }

    private static function span(Range $of): string
    {
        $places = $of->max < 10 ? 1 : 0;
        [$least, $most] = [number_format($of->min, $places), number_format($of->max, $places)];

        return $least === $most ? $most : "{$least} to {$most}";
    }

    public static function forceAtLeast(float $newton): string
    {
        return $newton >= 1000 ? self::atLeast($newton / 1000, 1).' kN' : self::atLeast($newton).' N';
    }

    public static function forceUpTo(float $newton): string
    {
        return $newton >= 1000 ? self::upTo($newton / 1000, 1).' kN' : self::upTo($newton).' N';
    }
}
