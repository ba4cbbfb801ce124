<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Fit\InchFit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InchFitTest extends TestCase
{
    /**
     * ANSI B4.1-1967 (R2009), rows from memory of the published tables; the fit column is published on its own and is
     * checked against hole and shaft.
     *
     * @return iterable<array{float, string, list<float>, list<float>}> inches, class, [hole+, shaft+, shaft−], [least, most] clearance in thou
     */
    public static function rows(): iterable
    {
        yield [1.0, 'RC2', [0.5, -0.3, -0.7], [0.3, 1.2]];
        yield [1.0, 'RC5', [1.2, -1.6, -2.4], [1.6, 3.6]];
        yield [1.0, 'LN2', [0.8, 1.3, 0.8], [-1.3, 0.0]];
        yield [1.0, 'FN2', [0.8, 1.9, 1.4], [-1.9, -0.6]];
        yield [2.0, 'FN2', [1.2, 2.7, 2.0], [-2.7, -0.8]];
    }

    /**
     * @param  list<float>  $limits
     * @param  list<float>  $clearance
     */
    #[DataProvider('rows')]
    public function test_published_rows(float $inches, string $class, array $limits, array $clearance): void
    {
        $fit = InchFit::of($inches * 25.4, $class);
        $thou = static fn (float $mm): float => round($mm / 0.0254, 6);
        self::assertSame($limits, [
            $thou($fit->hole->upperMm),
            $thou($fit->shaft->upperMm),
            $thou($fit->shaft->lowerMm),
        ]);
        self::assertEqualsWithDelta($clearance[0], $thou($fit->clearance()->min), 1e-6);
        self::assertEqualsWithDelta($clearance[1], $thou($fit->clearance()->max), 1e-6);
    }

    /**
     * ANSI B4.1-1967 (R2009): the fit column is published beside the limits; it was typed from memory by itself
     * (tests/reference/ansi_b4_1_fit_column.json) and must be hole less shaft in every row of every class.
     */
    public function test_the_published_fit_column(): void
    {
        $published = json_decode(
            (string) file_get_contents(__DIR__.'/../reference/ansi_b4_1_fit_column.json'),
            true,
            16,
            JSON_THROW_ON_ERROR,
        );
        self::assertSame(array_keys($published['fit']), InchFit::classes());
        $cells = 0;
        foreach ($published['fit'] as $class => $rows) {
            $force = str_starts_with($class, 'FN');
            $ranges = $published[$force ? 'fn_ranges_in' : 'ranges_in'];
            foreach ($rows as $i => $row) {
                $inside = ($ranges[$i] + 3 * $ranges[$i + 1]) / 4;
                self::assertSame($row !== null, InchFit::covers($inside * 25.4, $class), "{$class} at {$inside}");
                if ($row === null) {
                    continue;
                }
                $sign = $force || str_starts_with($class, 'LN') ? -1 : 1;
                $clearance = InchFit::of($inside * 25.4, $class)->clearance();
                self::assertEqualsWithDelta(
                    $sign * $row[$sign > 0 ? 0 : 1] * 0.0254,
                    $clearance->min,
                    1e-9,
                    "{$class} at {$inside}",
                );
                self::assertEqualsWithDelta(
                    $sign * $row[$sign > 0 ? 1 : 0] * 0.0254,
                    $clearance->max,
                    1e-9,
                    "{$class} at {$inside}",
                );
                self::assertEquals(
                    InchFit::of($ranges[$i + 1] * 25.4, $class),
                    InchFit::of($inside * 25.4, $class),
                    'a range runs to and with its end',
                );
                $cells += 2;
            }
        }
        self::assertGreaterThan(900, $cells);
    }

    /**
     * Every row: ranges join without a gap, limits are in order, no band gets narrower as sizes grow; RC clears, LC
     * never grips, LT may do either, LN and FN never clear; at any size each class of a row of classes is looser or
     * tighter than the one before.
     */
    public function test_every_row_hangs_together(): void
    {
        /** @var array<string, list<array{float, float, float, float, float, float}>> $classes */
        $classes = Table::read('ansi-b4-1')['classes'];
        foreach ($classes as $class => $rows) {
            $end = $rows[0][0];
            [$hole, $shaft] = [0.0, 0.0];
            foreach ($rows as [$over, $to, $holeUpper, $holeLower, $shaftUpper, $shaftLower]) {
                self::assertEqualsWithDelta($end, $over, 1e-9, "{$class} has a gap at {$over}");
                self::assertGreaterThan($over, $to);
                self::assertEqualsWithDelta(0.0, $holeLower, 1e-9, 'hole basis');
                self::assertGreaterThan($shaftLower, $shaftUpper);
                self::assertGreaterThanOrEqual($hole, $holeUpper, "{$class} to {$to}");
                self::assertGreaterThanOrEqual($shaft - 0.11, $shaftUpper - $shaftLower, "{$class} to {$to}");
                match (substr($class, 0, 2)) {
                    'RC' => self::assertLessThan(0, $shaftUpper, $class),
                    'LC' => self::assertLessThanOrEqual(0, $shaftUpper, $class),
                    'LT' => self::assertTrue($shaftUpper > 0 && $shaftLower < $holeUpper, $class),
                    default => self::assertGreaterThanOrEqual($holeUpper, $shaftLower, $class),
                };
                [$end, $hole, $shaft] = [$to, $holeUpper, $shaftUpper - $shaftLower];
            }
            self::assertEqualsWithDelta(19.69, $end, 1e-9);
        }
        foreach ([0.5, 1.0, 1.25, 3.0, 6.0, 12.0, 18.0] as $inches) {
            $most = static fn (string $class): float => InchFit::of($inches * 25.4, $class)->clearance()->max;
            $least = static fn (string $class): float => InchFit::of($inches * 25.4, $class)->clearance()->min;
            foreach (
                [
                    ['RC1', 'RC2', 'RC3', 'RC4', 'RC5', 'RC6', 'RC7', 'RC8', 'RC9'],
                    ['LC1', 'LC2', 'LC3', 'LC4'],
                    ['LC5', 'LC6', 'LC7', 'LC8', 'LC9', 'LC10', 'LC11'],
                ] as $row
            ) {
                for ($i = 1; $i < count($row); $i++) {
                    self::assertGreaterThan($most($row[$i - 1]), $most($row[$i]), "{$row[$i]} at {$inches}");
                }
            }
            foreach ([['LN1', 'LN2', 'LN3'], ['FN1', 'FN2', 'FN4', 'FN5']] as $row) {
                for ($i = 1; $i < count($row); $i++) {
                    self::assertLessThan($least($row[$i - 1]), $least($row[$i]), "{$row[$i]} at {$inches}");
                }
            }
        }
    }

    public function test_refuses_what_the_table_has_not(): void
    {
        foreach (
            [
                [25.4, 'XX1', 'class'],
                [19.7 * 25.4, 'FN2', 'size_in'],
                [0.0, 'RC2', 'size_in'],
                [0.2 * 25.4, 'LT3', 'size_in'],
                [0.9 * 25.4, 'FN3', 'size_in'],
            ] as [$mm, $class, $field]
        ) {
            try {
                InchFit::of($mm, $class);
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }
}
