<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

/**
 * Which columns of a table hold x, y and the diameter: by their heads where it has any; else the first two or three,
 * after a first one that only names or numbers the holes.
 */
final readonly class PointsTable
{
    private const HEADS = [
        'x' => ['x'],
        'y' => ['y'],
        'diameter' => ['diameter', 'dia', 'd', '⌀', 'ø'],
        'unit' => ['unit', 'units'],
    ];

    /**
     * @param  array<int, list<string>>  $rows  by their line, counted from one
     * @param  array<string, int>  $columns  by what they hold
     */
    private function __construct(
        public array $rows,
        public array $columns,
        /** The first column was taken for the numbers or names of the holes, though nothing says so. */
        public bool $numbered,
    ) {
    }

    public static function of(string $text): self
    {
        $lines = array_filter(explode("\n", $text), static fn (string $line): bool => trim($line) !== '');
        $between = match (true) {
            str_contains($text, ';') => ';',
            str_contains($text, "\t") => "\t",
            default => ',',
        };
        $rows = [];
        foreach ($lines as $i => $line) {
            $rows[$i + 1] = array_map(
                static fn (?string $cell): string => trim((string) $cell),
                str_getcsv($line, $between, '"', ''),
            );
        }
        $first = array_key_first($rows);
        if ($first === null || preg_match('/\d/', implode('', $rows[$first])) === 1) {
            return self::guessed($rows);
        }
        $heads = $rows[$first];
        unset($rows[$first]);

        return self::headed($heads, $rows);
    }

    /**
     * @param  list<string>  $heads
     * @param  array<int, list<string>>  $rows
     */
    private static function headed(array $heads, array $rows): self
    {
        $columns = [];
        foreach ($heads as $at => $head) {
            $plain = strtolower(trim((string) preg_replace('/[_ (\[]*(mm|in)[)\]]?$/i', '', $head)));
            foreach (self::HEADS as $what => $names) {
                if (in_array($plain, $names, true)) {
                    $columns[$what] ??= $at;
                }
            }
        }

        if (! isset($columns['x'], $columns['y'])) {
            return self::guessed($rows);
        }
        // What stands behind the last head is the size of the hole.
        $columns['diameter'] ??= count($heads);

        return new self($rows, $columns, false);
    }

    /** @param  array<int, list<string>>  $rows */
    private static function guessed(array $rows): self
    {
        $firsts = array_column(array_filter($rows, static fn (array $row): bool => count($row) > 2), 0);
        $counts = count($firsts) > 1 && $firsts === array_map(strval(...), range(1, count($firsts)));
        $names = $firsts !== [] && array_filter($firsts, static fn (string $f): bool => preg_match('/^[-+−.,\d]/u', $f) === 1) === [];
        $numbered = $counts || $names;
        $from = $numbered ? 1 : 0;

        return new self($rows, ['x' => $from, 'y' => $from + 1, 'diameter' => $from + 2], $numbered);
    }
}
