<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Range;

/**
 * Limits after ISO 286: shafts a to zc and holes A to ZC to 500 mm, d to u and D to U to 3150 mm, grades 01 to 18.
 * Source: ISO 286-1:2010 and ISO 286-2:2010 (data/iso286.json).
 */
final readonly class Iso286
{
    /** All letters of shafts, loosest first; a hole has the same in capitals. */
    public const LETTERS = [
        'a',
        'b',
        'c',
        'cd',
        'd',
        'e',
        'ef',
        'f',
        'fg',
        'g',
        'h',
        'js',
        'j',
        'k',
        'm',
        'n',
        'p',
        'r',
        's',
        't',
        'u',
        'v',
        'x',
        'y',
        'z',
        'za',
        'zb',
        'zc',
    ];

    public const GRADES = [
        '01',
        '0',
        '1',
        '2',
        '3',
        '4',
        '5',
        '6',
        '7',
        '8',
        '9',
        '10',
        '11',
        '12',
        '13',
        '14',
        '15',
        '16',
        '17',
        '18',
    ];

    /** Above this size only the letters d to u are given, mm. */
    private const ALL_LETTERS_TO_MM = 500;

    /**
     * @param  float  $sizeMm  nominal size, above 0 to 3150 mm
     * @param  string  $class  such as `p6`
     *
     * @throws BadInput for a size outside the table, or a class the standard does not give there, saying why
     */
    public static function shaft(float $sizeMm, string $class): Limits
    {
        [$letter, $grade] = self::parse($class, 'shaft');
        $it = self::tolerance($sizeMm, $grade, 'shaft');
        if ($letter === 'js') {
            return self::um($it / 2, -$it / 2);
        }
        if ($letter === 'j') {
            $lower =
                self::ownValue('j_lower_um', $sizeMm, $grade) ??
                throw self::notGiven(
                    "j is given for grades 5, 6 and 7, and 8 to 3 mm, up to 500 mm; {$class} is not. Take js{$grade} or k{$grade}",
                    'shaft',
                );

            return self::um($lower + $it, $lower);
        }
        $deviation = self::deviation($sizeMm, $letter, 'shaft');
        if ($letter === 'k' && ((int) $grade < 4 || (int) $grade > 7)) {
            $deviation = 0;
        }

        return $deviation < 0 || $letter === 'h'
            ? self::um($deviation, $deviation - $it)
            : self::um($deviation + $it, $deviation);
    }

    /**
     * @param  float  $sizeMm  nominal size, above 0 to 3150 mm
     * @param  string  $class  such as `H7`
     *
     * A to H mirror the shaft; K to ZC follow the delta rule: ES = −ei + Δ, Δ = ITn − IT(n−1), above 3 to 500 mm, for
     * grades 3 to 8 of K, M, N and 3 to 7 of P and up. Source: ISO 286-1:2010, 4.3.2 and tables 2 and 3.
     *
     * @throws BadInput for a size outside the table, or a class the standard does not give there, saying why
     */
    public static function hole(float $sizeMm, string $class): Limits
    {
        [$upper, $grade] = self::parse($class, 'hole');
        $letter = strtolower($upper);
        $it = self::tolerance($sizeMm, $grade, 'hole');
        $n = (int) $grade;
        if ($letter === 'js') {
            return self::um($it / 2, -$it / 2);
        }
        if ($letter === 'j') {
            $es =
                self::ownValue('hole_j_upper_um', $sizeMm, $grade) ??
                throw self::notGiven(
                    "J is given for grades 6, 7 and 8, up to 500 mm; {$class} is not. Take JS{$grade} or K{$grade}",
                    'hole',
                );

            return self::um($es, $es - $it);
        }
        $deviation = self::deviation($sizeMm, $letter, 'hole');
        if ($deviation < 0 || $letter === 'h') {
            return self::um(-$deviation + $it, -$deviation);
        }
        $kmn = in_array($letter, ['k', 'm', 'n'], true);
        $small = $sizeMm <= 3;
        $withinDelta = ! $small && $sizeMm <= self::ALL_LETTERS_TO_MM;
        if ($letter === 'k' && $n > 8 && $withinDelta) {
            throw self::notGiven(
                "K is given up to grade 8 between 3 and 500 mm; {$class} is not. Take JS{$grade}",
                'hole',
            );
        }
        if ($letter === 'n' && $n > 8) {
            return $sizeMm <= 1
                ? throw self::notGiven("N above grade 8 is not used up to 1 mm; {$class} is not given", 'hole')
                : self::withUpper($withinDelta ? 0 : -$deviation, $it);
        }
        if ($letter === 'm' && $n === 6 && $sizeMm > 250 && $sizeMm <= 315) {
            // The table's own exception: −9 where the rule gives −11.
            return self::withUpper(-9, $it);
        }
        if ($withinDelta && $n < 3) {
            throw self::notGiven("{$upper} begins at grade 3: the delta of finer ones is not given", 'hole');
        }
        $delta = $withinDelta && $n <= ($kmn ? 8 : 7) ? $it - self::tolerance($sizeMm, (string) ($n - 1), 'hole') : 0;

        return self::withUpper(-$deviation + $delta, $it);
    }

    /**
     * The clearance of a fit such as `H7/p6`, in mm: positive for a gap, negative for interference.
     *
     * @throws BadInput as for its members
     */
    public static function clearance(float $sizeMm, string $fit): Range
    {
        [$holeClass, $shaftClass] = [...explode('/', $fit), ''];

        return self::hole($sizeMm, $holeClass)->clearance(self::shaft($sizeMm, $shaftClass));
    }

    /** Sizes the table has: above 0, to 3150 mm; the grades used here are given up to 500 mm and beyond. */
    public static function covers(float $sizeMm): bool
    {
        return $sizeMm > 0 && $sizeMm <= 3150;
    }

    /**
     * The tolerance of a grade, µm; ISO 286-1:2010 table 1.
     *
     * @param  string  $grade  `01`, `0`, `1` to `18`
     * @param  string  $field  what to name when it is refused
     *
     * @throws BadInput for a size or a grade the table has not
     */
    public static function tolerance(float $sizeMm, string $grade, string $field = 'class'): float
    {
        /** @var array{steps_mm: list<float>, tolerance_um: array<array-key, list<float>>} $table */
        $table = Table::read('iso286');
        $row =
            $table['tolerance_um'][$grade] ??
            throw new BadInput('grade', $field, "There is no grade {$grade}: 01, 0 and 1 to 18 are.");
        $step = self::step($sizeMm, $table['steps_mm']);
        if ((int) $grade >= 14 && $sizeMm <= 1) {
            throw self::notGiven("Grades 14 and up are not used up to 1 mm; {$grade} is not given", $field);
        }

        return $row[$step] ?? throw self::notGiven("Grade {$grade} is given up to 500 mm", $field);
    }

    /**
     * The fundamental deviation of the shaft's letter, µm: the upper one where it is below zero, else the lower one.
     */
    private static function deviation(float $sizeMm, string $letter, string $field): float
    {
        /**
         * @var array{steps_mm: list<float>, fine_steps_mm: list<float>, shaft_deviation_um: array<string, list<float>>, shaft_deviation_fine_um: array<string, list<float|null>>} $table
         */
        $table = Table::read('iso286');
        $shown = $field === 'hole' ? strtoupper($letter) : $letter;
        if (isset($table['shaft_deviation_um'][$letter])) {
            return $table['shaft_deviation_um'][$letter][self::step($sizeMm, $table['steps_mm'])];
        }
        $row =
            $table['shaft_deviation_fine_um'][$letter] ??
            throw self::notGiven("There is no letter {$shown} in ISO 286", $field);
        if (in_array($letter, ['a', 'b'], true) && $sizeMm <= 1) {
            throw self::notGiven("{$shown} is not used up to 1 mm. Take ".($field === 'hole' ? 'C' : 'c'), $field);
        }
        $deviation = $row[self::step($sizeMm, $table['fine_steps_mm'])] ?? null;
        if ($deviation !== null) {
            return $deviation;
        }
        $from = 0;
        while ($row[$from] === null) {
            $from++;
        }
        $to = $table['fine_steps_mm'][count($row)];
        $under = $table['fine_steps_mm'][$from];
        throw self::notGiven(
            $sizeMm <= $under
                ? "{$shown} is given above {$under} mm. Below it take the letter after it"
                : "{$shown} is given up to {$to} mm",
            $field,
        );
    }

    private static function ownValue(string $which, float $sizeMm, string $grade): ?float
    {
        /**
         * @var array{steps_mm: list<float>, j_lower_um: array<array-key, list<float>>, hole_j_upper_um: array<array-key, list<float>>} $table
         */
        $table = Table::read('iso286');

        return $table[$which][$grade][self::step($sizeMm, $table['steps_mm'])] ?? null;
    }

    /** @param  list<float>  $steps */
    private static function step(float $sizeMm, array $steps): int
    {
        for ($i = 1, $n = count($steps); $i < $n; $i++) {
            if ($sizeMm > 0 && $sizeMm <= $steps[$i]) {
                return $i - 1;
            }
        }
        throw new BadInput(
            'size',
            'size_mm',
            'The ISO table runs from above 0 to 3150 mm. Check the size and its unit.',
        );
    }

    /** @return array{string, string} */
    private static function parse(string $class, string $field): array
    {
        $letters = $field === 'shaft' ? '[a-z]{1,2}' : '[A-Z]{1,2}';
        if (preg_match("/^({$letters})(\\d{1,2})$/", $class, $m) !== 1) {
            throw new BadInput(
                'class',
                $field,
                $field === 'shaft'
                    ? "“{$class}” is not a shaft class. Write it like p6, in small letters."
                    : "“{$class}” is not a hole class. Write it like H7, in capitals.",
            );
        }

        return [$m[1], $m[2]];
    }

    private static function notGiven(string $why, string $field): BadInput
    {
        return new BadInput('class', $field, "{$why}.");
    }

    private static function withUpper(float $upper, float $it): Limits
    {
        return self::um($upper, $upper - $it);
    }

    private static function um(float $upper, float $lower): Limits
    {
        // Plus zero: a zero has no sign on a drawing.
        return new Limits($upper / 1000 + 0.0, $lower / 1000 + 0.0);
    }
}
