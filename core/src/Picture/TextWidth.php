<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

/** How wide a text comes out, near enough to keep texts apart: a share of the letter height for each sign. */
final class TextWidth
{
    private const MONO = 0.62;

    private const PLAIN = 0.54;

    private const SMALLEST = 11.0;

    public static function of(string $text, float $size, bool $mono = false): float
    {
        return mb_strlen($text) * $size * ($mono ? self::MONO : self::PLAIN);
    }

    /** The letter height, by half steps, at which a text goes in; no less than can be read. */
    public static function height(string $text, float $size, float $width): float
    {
        $wide = self::of($text, $size);

        return $wide <= $width ? $size : max(self::SMALLEST, floor(2 * $size * $width / $wide) / 2);
    }

    /** The text, shortened with an ellipsis where it would be wider. */
    public static function within(string $text, float $size, float $width): string
    {
        $most = (int) floor($width / ($size * self::PLAIN));

        return mb_strlen($text) <= $most ? $text : rtrim(mb_substr($text, 0, max(1, $most - 1))).'…';
    }
}
