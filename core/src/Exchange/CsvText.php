<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

/** Rows as CSV of RFC 4180; nothing in it is taken for a formula by a spreadsheet. */
final class CsvText
{
    /** What a spreadsheet may take for a formula. */
    public const FORMULA = '/^(?:[\t\r\n]|\s*[=+\-@])/';

    /** @param  list<list<string>>  $lines */
    public static function of(array $lines): string
    {
        $out = fopen('php://memory', 'r+');
        if ($out === false) {
            throw new \RuntimeException('No memory for a table.');
        }
        foreach ($lines as $line) {
            fputcsv($out, array_map(self::harmless(...), $line), ',', '"', '', "\r\n");
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /**
     * A text that a spreadsheet would take for a formula is kept from being one, also behind a space, a tab or a line's
     * end; a number stays a number.
     */
    private static function harmless(string $text): string
    {
        return preg_match(self::FORMULA, $text) === 1 && ! is_numeric($text) ? "'{$text}" : $text;
    }
}
