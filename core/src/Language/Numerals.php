<?php

declare(strict_types=1);

namespace Oldpart\Core\Language;

use Oldpart\Core\Catalogue\Table;

/**
 * Numbers as they are written elsewhere; classes of bolts (marks in data/bolt-classes), standards and names of threads
 * stay. The screens have the same in resources/js/speak/numerals.ts.
 */
final class Numerals
{
    private const NUMBER = '/(?<![\w.,])(\d{1,3}(?:,\d{3})+|\d+|(?=\.\d))(\.\d+)?(?!\w|\.\d|,\d)/u';

    /** Between thousands: a narrow space that does not break. */
    private const THIN = "\u{202f}";

    /**
     * A text with a comma before its decimals and a narrow space between its thousands: 1,234.5 as 1 234,5.
     *
     * @param  string  $text  as the core writes, with a point; of any length, empty too
     *
     * Source: ISO 80000-1, 7.3 (either sign, thousands parted by a space)
     */
    public static function withComma(string $text): string
    {
        /** @var list<string> $marks */
        $marks = Table::read('bolt-classes')['marks'];

        return (string) preg_replace_callback(
            self::NUMBER,
            static function (array $m) use ($text, $marks): string {
                [$all, $at] = $m[0];
                $unit = preg_match('/^\s?(mm|µm|in\b|kN|N\b|kg|%|°)/u', substr($text, $at + strlen($all))) === 1;

                return in_array($all, $marks, true) && ! $unit
                    ? $all
                    : str_replace(',', self::THIN, $m[1][0]).str_replace('.', ',', $m[2][0] ?? '');
            },
            $text,
            flags: PREG_OFFSET_CAPTURE,
        );
    }
}
