<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Fit\Iso286;
use Oldpart\Core\Fit\Limits;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class Iso286Test extends TestCase
{
    /**
     * ISO 286-2:2010, published rows.
     *
     * @return iterable<string, array{float, string, int, int}> size, class, upper, lower in µm
     */
    public static function rows(): iterable
    {
        $classes = ['H7', 'H8', 'f7', 'g6', 'h6', 'k6', 'm6', 'n6', 'p6', 'r6', 's6'];
        $rows = [
            5 => [[12, 0], [18, 0], [-10, -22], [-4, -12], [0, -8], [9, 1], [12, 4], [16, 8], [20, 12], [23, 15], [27, 19]],
            15 => [[18, 0], [27, 0], [-16, -34], [-6, -17], [0, -11], [12, 1], [18, 7], [23, 12], [29, 18], [34, 23], [39, 28]],
            70 => [[30, 0], [46, 0], [-30, -60], [-10, -29], [0, -19], [21, 2], [30, 11], [39, 20], [51, 32], [62, 43], [78, 59]],
            150 => [[40, 0], [63, 0], [-43, -83], [-14, -39], [0, -25], [28, 3], [40, 15], [52, 27], [68, 43], [90, 65], [125, 100]],
            10 => [[15, 0], [22, 0], [-13, -28], [-5, -14], [0, -9], [10, 1], [15, 6], [19, 10], [24, 15], [28, 19], [32, 23]],
            25 => [[21, 0], [33, 0], [-20, -41], [-7, -20], [0, -13], [15, 2], [21, 8], [28, 15], [35, 22], [41, 28], [48, 35]],
            45 => [[25, 0], [39, 0], [-25, -50], [-9, -25], [0, -16], [18, 2], [25, 9], [33, 17], [42, 26], [50, 34], [59, 43]],
            90 => [[35, 0], [54, 0], [-36, -71], [-12, -34], [0, -22], [25, 3], [35, 13], [45, 23], [59, 37], [73, 51], [93, 71]],
        ];
        foreach ($rows as $size => $limits) {
            foreach ($classes as $i => $class) {
                yield "{$size} {$class}" => [(float) $size, $class, ...$limits[$i]];
            }
        }
        foreach (['K7' => [6, -15], 'M7' => [0, -21], 'N7' => [-7, -28], 'P7' => [-14, -35], 'R7' => [-20, -41], 'S7' => [-27, -48]] as $class => [$upper, $lower]) {
            yield "25 {$class}" => [25.0, $class, $upper, $lower];
        }
    }

    #[DataProvider('rows')]
    public function test_published_rows(float $size, string $class, int $upper, int $lower): void
    {
        $limits = self::limits($size, $class);
        self::assertEqualsWithDelta($upper, $limits->upperMm * 1000, 1e-9);
        self::assertEqualsWithDelta($lower, $limits->lowerMm * 1000, 1e-9);
    }

    /**
     * ISO 286-1:2010: the grades follow from i = 0.45 D^(1/3) + 0.001 D, D the geometric mean of the step; the standard
     * rounds, so a typed cell may differ by a rounding and no more. A cell off by a digit fails.
     */
    public function test_tolerances_follow_the_formula(): void
    {
        $steps = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250, 315, 400, 500];
        foreach ([5 => 7, 6 => 10, 7 => 16, 8 => 25, 9 => 40, 10 => 64, 11 => 100] as $grade => $units) {
            for ($n = 1; $n < count($steps); $n++) {
                $d = sqrt($steps[$n - 1] * $steps[$n]);
                $formula = $units * (0.45 * $d ** (1 / 3) + 0.001 * $d);
                self::assertEqualsWithDelta($formula, Iso286::tolerance((float) $steps[$n], $grade), max(1.0, 0.05 * $formula), "IT{$grade} to {$steps[$n]} mm");
            }
        }
    }

    /**
     * ISO 286-1:2010, annex: f = 5.5 D^0.41, g = 2.5 D^0.34, n = 5 D^0.34 (from memory); and deviations never fall as
     * sizes rise.
     */
    public function test_deviations_follow_their_formulas_and_rise(): void
    {
        $steps = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250, 315, 400, 500];
        foreach (['f' => [5.5, 0.41], 'g' => [2.5, 0.34], 'n' => [5.0, 0.34]] as $letter => [$factor, $power]) {
            for ($n = 2; $n < count($steps); $n++) {
                $d = sqrt($steps[$n - 1] * $steps[$n]);
                $limits = Iso286::shaft((float) $steps[$n], "{$letter}7");
                $deviation = 1000 * ($letter === 'n' ? $limits->lowerMm : -$limits->upperMm);
                self::assertEqualsWithDelta($factor * $d ** $power, $deviation, max(1.0, 0.06 * $deviation), "{$letter} to {$steps[$n]} mm");
            }
        }
        foreach (['k', 'm', 'n', 'p', 'r', 's', 'u'] as $letter) {
            $before = -1.0;
            foreach ([3, 6, 10, 14, 18, 24, 30, 40, 50, 65, 80, 100, 120, 140, 160, 180, 200, 225, 250, 280, 315, 355, 400, 450, 500] as $size) {
                $lower = Iso286::shaft((float) $size, "{$letter}6")->lowerMm;
                self::assertGreaterThanOrEqual($before, $lower, "{$letter} at {$size}");
                $before = $lower;
            }
        }
    }

    /**
     * ISO 286-1:2010, basis of fits: the same letter and grade on the other basis gives the same fit (H7/f7 and F7/h7,
     * H7/p6 and P7/h6); handbook clearances of common fits at 25 mm.
     */
    public function test_fits_on_either_basis(): void
    {
        foreach ([3.0, 10.0, 25.0, 45.0, 90.0, 150.0, 300.0] as $size) {
            foreach ([['H7', 'f7', 'F7', 'h7'], ['H7', 'g6', 'G7', 'h6'], ['H8', 'f7', 'F8', 'h7']] as [$hole, $shaft, $otherHole, $otherShaft]) {
                $a = [self::limits($size, $hole), self::limits($size, $shaft)];
                $b = [self::limits($size, $otherHole), self::limits($size, $otherShaft)];
                self::assertEqualsWithDelta($a[0]->lowerMm - $a[1]->upperMm, $b[0]->lowerMm - $b[1]->upperMm, 1e-9, "{$hole}/{$shaft} at {$size}: least");
                self::assertEqualsWithDelta($a[0]->upperMm - $a[1]->lowerMm, $b[0]->upperMm - $b[1]->lowerMm, 1e-9, "{$hole}/{$shaft} at {$size}: greatest");
            }
        }
        foreach ([['H7', 'g6', 7, 41], ['H7', 'h6', 0, 34], ['H8', 'f7', 20, 74], ['H7', 'p6', -35, -1], ['H7', 's6', -48, -14], ['H7', 'k6', -15, 19]] as [$hole, $shaft, $least, $greatest]) {
            [$h, $s] = [self::limits(25.0, $hole), self::limits(25.0, $shaft)];
            self::assertEqualsWithDelta($least / 1000, $h->lowerMm - $s->upperMm, 1e-9, "{$hole}/{$shaft}");
            self::assertEqualsWithDelta($greatest / 1000, $h->upperMm - $s->lowerMm, 1e-9, "{$hole}/{$shaft}");
        }
    }

    public function test_exceptions_of_the_standard(): void
    {
        self::assertEqualsWithDelta(-9.0, Iso286::hole(280, 'M6')->upperMm * 1000, 1e-9, 'M6 at 250 to 315 mm is the table’s own exception');
        self::assertEqualsWithDelta(0.0, Iso286::shaft(25, 'k8')->lowerMm, 1e-12, 'k is above zero only for grades 4 to 7');
        self::assertEqualsWithDelta(0.0, Iso286::hole(25, 'N9')->upperMm, 1e-12, 'N9 ends at zero above 3 mm');
    }

    public function test_refusals_name_the_field(): void
    {
        foreach ([[0.0, 'h6', 'size_mm'], [600.0, 'h6', 'size_mm'], [25.0, 'h99', 'class'], [25.0, 'q6', 'shaft'], [25.0, 'HELLO', 'hole'], [25.0, 'h', 'shaft']] as [$size, $class, $field]) {
            try {
                self::limits($size, $class);
                self::fail("{$class} at {$size} should have been refused");
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }

    private static function limits(float $size, string $class): Limits
    {
        return ctype_upper($class[0]) ? Iso286::hole($size, $class) : Iso286::shaft($size, $class);
    }
}
