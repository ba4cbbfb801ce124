<?php

declare(strict_types=1);

namespace Oldpart\Core\Language;

/** 1,234.5 as 1 234,5 in a text; classes of bolts, standards and threads stay as they are written. */
final class Numerals
{
    /** Of bolts and nuts: a class, no size. */
    private const CLASSES = ['3.6', '4.6', '4.8', '5.6', '5.8', '6.8', '8.8', '9.8', '10.9', '12.9'];

    private const NUMBER = '/(?<![\w.,])(\d{1,3}(?:,\d{3})+|\d+)(\.\d+)?(?!\w|\.\d|,\d)/u';

    /** Between thousands: a narrow space that does not break. */
    private const THIN = "\u{202f}";

    public static function withComma(string $text): string
    {
        return (string) preg_replace_callback(
            self::NUMBER,
            static function (array $m) use ($text): string {
                [$all, $at] = $m[0];
                $unit = preg_match('/^\s?(mm|µm|in\b|kN|N\b|kg|%|°)/u', substr($text, $at + strlen($all))) === 1;

                return in_array($all, self::CLASSES, true) && ! $unit
                    ? $all
                    : str_replace(',', self::THIN, $m[1][0]).str_replace('.', ',', $m[2][0] ?? '');
            },
            $text,
            flags: PREG_OFFSET_CAPTURE,
        );
    }
}
