<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\reference;

/** The report of every cell of ISO 286 that is not its rounded formula, as Markdown (docs/iso-286-rounding.md). */
final class Iso286Rounding
{
    private const WHY = [
        'IT' => 'Grades 01 to 4 were drawn to preferred numbers between formula and grade 5; the step up to 3 mm is taken rounder and wider than its formula, because tools and gauges of that size do not get better with it; the rest are roundings to preferred numbers.',
        'a' => 'Rounded to tens; the coarser half of a step keeps the value of the finer one up to 30 mm.',
        'b' => 'As a.',
        'c' => 'Two fine steps share one value up to 30 mm, and it is rounded up to fives, so that the least clearance is kept at the upper end.',
        'cd' => 'Geometric mean of the rounded c and d, not of their formulas.',
        'ef' => 'Geometric mean of the rounded e and f.',
        'fg' => 'Geometric mean of the rounded f and g.',
        'd' => 'Rounded to fives and tens.',
        'e' => 'Rounded to fives.',
        'f' => 'Rounded to whole micrometres.',
        'g' => 'Rounded; up to 3 mm kept at 2 so that g6 still slides.',
        'k' => 'Rounded to whole micrometres; zero above 500 mm.',
        'm' => 'IT7 less IT6 of the rounded grades.',
        'n' => 'Rounded; up to 3 mm made smaller with the smaller grades.',
        'p' => 'The standard adds 0 to 5 µm to IT7 as suits the step, so that H7/p6 never turns into clearance.',
        'r' => 'Geometric mean of the rounded p and s.',
        's' => 'To 50 mm the standard adds 1 to 4 µm to IT8 as suits the step; fine steps share a value below 50 mm.',
        't' => 'Rounded.',
        'u' => 'To 18 mm made larger than IT7 + D, so that it stays clear of s.',
        'v' => 'Rounded.',
        'x' => 'To 14 mm made larger, so that it stays clear of u.',
        'y' => 'Rounded.',
        'z' => 'To 14 mm made larger, so that it stays clear of x.',
        'za' => 'To 10 mm made larger, so that it stays clear of z.',
        'zb' => 'To 6 mm made larger, so that it stays clear of za.',
        'zc' => 'To 6 mm made larger, so that it stays clear of zb.',
    ];

    public static function markdown(): string
    {
        $cells = Iso286Formulas::cells();
        $by = [];
        foreach ($cells as $cell) {
            if (abs(Iso286Formulas::rounded($cell['formula']) - $cell['table']) > 1e-9) {
                $by[str_starts_with($cell['what'], 'IT') ? 'IT' : $cell['what']][] = $cell;
            }
        }
        $count = array_sum(array_map(count(...), $by));
        $lines = [
            '# ISO 286: where the table is not its rounded formula',
            '',
            'Made by `php core/tests/reference/print_iso286_rounding.php`; a test keeps it current. Formulas: ISO 286-1, annex, from memory. '.
            'Of '.
            count($cells).
            " cells with a formula {$count} differ from it as rounded here (to ones below 100 µm, fives below 200, tens below 500, twenties below 1000, then fifties and hundreds). ".
            'The table stands in every case: it is what drawings, gauges and makers go by, and ISO 286-2 says that its rounded values decide.',
            '',
        ];
        foreach ($by as $what => $rows) {
            $lines[] = '## '.($what === 'IT' ? 'Tolerance grades' : "Letter {$what}");
            $lines[] = '';
            $lines[] = (self::WHY[$what] ?? 'Rounded.').' µm:';
            $lines[] = '';
            $lines[] = '| cell | over, mm | to, mm | table | formula |';
            $lines[] = '|---|---|---|---|---|';
            foreach ($rows as $row) {
                $lines[] =
                    "| {$row['what']} | {$row['over']} | {$row['to']} | {$row['table']} | ".
                    number_format($row['formula'], 1, '.', '').
                    ' |';
            }
            $lines[] = '';
        }

        return rtrim(implode("\n", $lines))."\n";
    }
}
