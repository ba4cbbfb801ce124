<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Range;

/**
 * Limits after ISO 286 for sizes above 0 to 500 mm, grades 4 to 11, letters d to h, js, k, m, n, p, r, s, u and their
 * holes. Source: ISO 286-1:2010 and ISO 286-2:2010 (data/iso286.json).
 */
final readonly class Iso286
{
    /**
     * @param  float  $sizeMm  nominal size, above 0 to 500 mm
     * @param  string  $class  such as `p6`
     *
     * @throws BadInput for a size outside the table or a class it does not carry
     */
    public static function shaft(float $sizeMm, string $class): Limits
    {
        [$letter, $grade] = self::parse($class, 'shaft');
        $it = self::tolerance($sizeMm, $grade);
        if ($letter === 'js') {
            return self::um($it / 2, -$it / 2);
        }
        $deviation = self::deviation($sizeMm, $letter, $grade, 'shaft');

        return $letter <= 'h' ? self::um($deviation, $deviation - $it) : self::um($deviation + $it, $deviation);
    }

    /**
     * @param  float  $sizeMm  nominal size, above 0 to 500 mm
     * @param  string  $class  such as `H7`
     *
     * D to H mirror the shaft; K to U follow the delta rule: ES = −ei + Δ, Δ = ITn − IT(n−1), above 3 mm, for K, M, N
     * to grade 8 and P and up to grade 7. Source: ISO 286-1:2010, 4.3.2.
     *
     * @throws BadInput for a size outside the table or a class it does not carry
     */
    public static function hole(float $sizeMm, string $class): Limits
    {
        [$upper, $grade] = self::parse($class, 'hole');
        $letter = strtolower($upper);
        $it = self::tolerance($sizeMm, $grade);
        if ($letter === 'js') {
            return self::um($it / 2, -$it / 2);
        }
        if ($letter <= 'h') {
            $deviation = self::deviation($sizeMm, $letter, $grade, 'hole');

            return self::um(-$deviation + $it, -$deviation);
        }
        if ($letter === 'k' && $grade > 8) {
            throw self::notCarried($class, 'hole');
        }
        if ($letter === 'n' && $grade >= 9 && $sizeMm > 3) {
            return self::um(0, -$it);
        }
        if ($letter === 'm' && $grade === 6 && $sizeMm > 250 && $sizeMm <= 315) {
            return self::um(-9, -9 - $it);
        }
        // The hole takes the letter's own deviation, not the shaft's zero for coarse grades of k.
        $deviation = self::deviation($sizeMm, $letter, 7, 'hole');
        $last = in_array($letter, ['k', 'm', 'n'], true) ? 8 : 7;
        $delta = $sizeMm > 3 && $grade <= $last ? $it - self::tolerance($sizeMm, $grade - 1) : 0;
        $es = -$deviation + $delta;

        return self::um($es, $es - $it);
    }

    /**
     * The clearance of a fit such as `H7/p6`, in mm: positive for a gap, negative for interference.
     *
     * @throws BadInput as for its members
     */
    public static function clearance(float $sizeMm, string $fit): Range
    {
        [$holeClass, $shaftClass] = explode('/', $fit);
        $hole = self::hole($sizeMm, $holeClass);
        $shaft = self::shaft($sizeMm, $shaftClass);

        return new Range($hole->lowerMm - $shaft->upperMm, $hole->upperMm - $shaft->lowerMm);
    }

    /** The tolerance of a grade, µm; ISO 286-1:2010 table 1. */
    public static function tolerance(float $sizeMm, int $grade): int
    {
        /** @var array{steps_mm: list<float>, tolerance_um: array<int, list<int>>} $table */
        $table = Table::read('iso286');
        $row = $table['tolerance_um'][$grade] ?? throw new BadInput('grade', 'class', "Grade {$grade} is not carried: 4 to 11 are.");

        return $row[self::step($sizeMm, $table['steps_mm'])];
    }

    private static function deviation(float $sizeMm, string $letter, int $grade, string $field): int
    {
        /** @var array{steps_mm: list<float>, fine_steps_mm: list<float>, shaft_deviation_um: array<string, list<int>>, shaft_deviation_fine_um: array<string, list<int>>} $table */
        $table = Table::read('iso286');
        if ($letter === 'k' && ($grade < 4 || $grade > 7)) {
            return 0;
        }
        if (isset($table['shaft_deviation_um'][$letter])) {
            return $table['shaft_deviation_um'][$letter][self::step($sizeMm, $table['steps_mm'])];
        }
        if (isset($table['shaft_deviation_fine_um'][$letter])) {
            return $table['shaft_deviation_fine_um'][$letter][self::step($sizeMm, $table['fine_steps_mm'])];
        }
        throw self::notCarried($letter, $field);
    }

    /** @param  list<float>  $steps */
    private static function step(float $sizeMm, array $steps): int
    {
        for ($i = 1; $i < count($steps); $i++) {
            if ($sizeMm > 0 && $sizeMm <= $steps[$i]) {
                return $i - 1;
            }
        }
        throw new BadInput('size', 'size_mm', 'The ISO table runs from above 0 to 500 mm. Check the size and its unit.');
    }

    /** @return array{string, int} */
    private static function parse(string $class, string $field): array
    {
        $letters = $field === 'shaft' ? '[a-z]{1,2}' : '[A-Z]{1,2}';
        if (preg_match("/^({$letters})(\d{1,2})$/", $class, $m) !== 1) {
            throw new BadInput('class', $field, $field === 'shaft'
                ? "“{$class}” is not a shaft class. Write it like p6, in small letters."
                : "“{$class}” is not a hole class. Write it like H7, in capitals.");
        }

        return [$m[1], (int) $m[2]];
    }

    private static function notCarried(string $class, string $field): BadInput
    {
        return new BadInput('class', $field, "“{$class}” is not in the table carried here.");
    }

    private static function um(float $upper, float $lower): Limits
    {
        return new Limits($upper / 1000, $lower / 1000);
    }
}
