<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

use Oldpart\Core\Advice\Say;

/**
 * Writes lengths for the shop: inches to four places (five when the uncertainty is below 0.00005 in), millimetres
 * to three. Limits are rounded into the band, never outward. Source: common practice of the trade.
 */
final class LengthWriter
{
    private const FINE_MM = 0.00127;

    /** A bare number; the screen or sheet says the unit beside it. */
    public static function size(float $mm, ?float $u95Mm = null): Say
    {
        $places = $u95Mm !== null && $u95Mm < self::FINE_MM ? 5 : 4;
        $in = self::fixed($mm / 25.4, $places);
        $metric = self::fixed($mm, $places === 5 ? 4 : 3);

        return new Say($in, $metric, "{$in} in · {$metric} mm");
    }

    /** A size, mm, that may lie on either side of nothing, with its minus; what rounds to nothing has none. */
    public static function signed(float $mm): Say
    {
        return self::minus($mm, self::size(abs($mm)), '%s in · %s mm');
    }

    /** The same of a small difference, with its unit. */
    public static function signedDifference(float $mm): Say
    {
        return self::minus($mm, self::difference($mm), '%s (%s)');
    }

    /** @param  string  $both  how the two units are written together */
    private static function minus(float $mm, Say $size, string $both): Say
    {
        $sign = static fn (string $text): string => $mm < 0 && preg_match('/[1-9]/', $text) === 1 ? "−{$text}" : $text;

        return new Say($sign($size->in), $sign($size->mm), sprintf($both, $sign($size->in), $sign($size->mm)));
    }

    /** A size with its unit, for sentences. */
    public static function sizeInWords(float $mm): Say
    {
        $say = self::size($mm);

        return new Say("{$say->in} in", "{$say->mm} mm", "{$say->in} in ({$say->mm} mm)");
    }

    /** A size that need not be exact, rounded up: hundredths of an inch, whole millimetres. */
    public static function about(float $mm): Say
    {
        $in = self::fixed(ceil(($mm / 25.4) * 100 - 1e-6) / 100, 2);
        $metric = self::fixed(ceil($mm - 1e-6), 0);

        return new Say("{$in} in", "{$metric} mm", "{$in} in ({$metric} mm)");
    }

    /**
     * A small difference with its unit, for sentences; always positive.
     *
     * @param  ?float  $shownMm  the millimetres to write where they are rounded another way than the inches
     */
    public static function difference(float $mm, ?float $shownMm = null): Say
    {
        $mm = abs($mm);
        $shown = $shownMm ?? $mm;
        $in = self::fixed($mm / 25.4, $mm > 0 && $mm < self::FINE_MM ? 5 : 4);
        $metric = self::fixed($shown, $shown > 0 && $shown < 0.0005 ? 4 : 3);

        return new Say("{$in} in", "{$metric} mm", "{$in} in ({$metric} mm)");
    }

    /** A difference that must not be promised smaller than it is: rounded up. */
    public static function atLeast(float $mm): Say
    {
        return self::difference((ceil(($mm / 25.4) * 1e4 - 1e-6) / 1e4) * 25.4, ceil($mm * 1e3 - 1e-6) / 1e3);
    }

    /** A difference that must not be exceeded: rounded down. */
    public static function atMost(float $mm): Say
    {
        return self::difference((floor(($mm / 25.4) * 1e4 + 1e-6) / 1e4) * 25.4, floor($mm * 1e3 + 1e-6) / 1e3);
    }

    /** A difference under 0.1 mm in the small units people say aloud: thou and µm. */
    public static function fine(float $mm): Say
    {
        $thou = self::trimmed(abs($mm) / 0.0254, 2);
        $um = self::trimmed(abs($mm) * 1000, 1);

        return new Say("{$thou} thou", "{$um} µm", "{$thou} thou ({$um} µm)");
    }

    /** An uncertainty or another half-width, rounded up so that it never promises too much. */
    public static function plusMinus(float $mm): Say
    {
        $in = self::fixed(ceil(($mm / 25.4) * 1e4 - 1e-6) / 1e4, 4);
        $metric = self::fixed(ceil($mm * 1e3 - 1e-6) / 1e3, 3);

        return new Say($in, $metric, "{$in} in · {$metric} mm");
    }

    /** The lower limit of a band, rounded up into it. */
    public static function lower(Band $band): Say
    {
        return self::limit($band, static fn (Band $b): float => $b->lowerMm);
    }

    /** The upper limit of a band, rounded down into it. */
    public static function upper(Band $band): Say
    {
        return self::limit($band, static fn (Band $b): float => $b->upperMm);
    }

    /** @param  callable(Band): float  $end */
    private static function limit(Band $band, callable $end): Say
    {
        $in = self::rounded($band, 25.4, [4, 5, 6], $end);
        $metric = self::rounded($band, 1.0, [3, 4, 5], $end);

        return new Say($in, $metric, "{$in} in · {$metric} mm");
    }

    /**
     * @param  list<int>  $places
     * @param  callable(Band): float  $end
     */
    private static function rounded(Band $band, float $mmPerUnit, array $places, callable $end): string
    {
        foreach ($places as $digits) {
            $inside = $band->roundedInto($mmPerUnit * 10 ** -$digits);
            if ($inside !== null) {
                return self::fixed($end($inside) / $mmPerUnit, $digits);
            }
        }

        return self::fixed($end($band) / $mmPerUnit, $places[count($places) - 1]);
    }

    private static function fixed(float $value, int $places): string
    {
        $text = number_format($value, $places, '.', '');

        return preg_match('/^-0\.?0*$/', $text) === 1 ? substr($text, 1) : $text;
    }

    private static function trimmed(float $value, int $places): string
    {
        $text = self::fixed($value, $places);

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
