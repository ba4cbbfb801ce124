<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Fit\GeneralClass;
use Oldpart\Core\Fit\GeneralTolerance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Cells of ISO 2768-1:1989 table 1, as drawings quote them (from memory), and that the table rises. */
final class GeneralToleranceTest extends TestCase
{
    /** @return iterable<string, array{float, GeneralClass, float}> */
    public static function cells(): iterable
    {
        yield '3 fine' => [3.0, GeneralClass::Fine, 0.05];
        yield '10 medium' => [10.0, GeneralClass::Medium, 0.2];
        yield '30 medium: the step belongs to the smaller' => [30.0, GeneralClass::Medium, 0.2];
        yield '30.1 medium' => [30.1, GeneralClass::Medium, 0.3];
        yield '50 fine' => [50.0, GeneralClass::Fine, 0.15];
        yield '100 coarse' => [100.0, GeneralClass::Coarse, 0.8];
        yield '250 medium' => [250.0, GeneralClass::Medium, 0.5];
        yield '500 very coarse' => [500.0, GeneralClass::VeryCoarse, 4.0];
        yield '1500 fine' => [1500.0, GeneralClass::Fine, 0.5];
        yield '3000 coarse' => [3000.0, GeneralClass::Coarse, 4.0];
        yield 'the first step begins at 0.5' => [0.5, GeneralClass::Medium, 0.1];
    }

    #[DataProvider('cells')]
    public function test_a_cell(float $size, GeneralClass $class, float $half): void
    {
        self::assertSame($half, GeneralTolerance::half($size, $class));
    }

    /** @return iterable<string, array{float, GeneralClass}> */
    public static function none(): iterable
    {
        yield 'below the table' => [0.4, GeneralClass::Medium];
        yield 'above the table' => [4001.0, GeneralClass::Medium];
        yield 'very coarse and small' => [2.0, GeneralClass::VeryCoarse];
        yield 'fine and large' => [2500.0, GeneralClass::Fine];
    }

    #[DataProvider('none')]
    public function test_where_limits_are_to_be_said(float $size, GeneralClass $class): void
    {
        $this->expectException(BadInput::class);
        GeneralTolerance::half($size, $class);
    }

    /** A larger size or a coarser class is never closer, and each step begins where the one before ends. */
    public function test_the_table_rises(): void
    {
        /** @var list<list<?float>> $rows */
        $rows = Table::read('general-tolerances')['rows'];
        foreach ($rows as $at => $row) {
            $classes = array_values(array_filter(array_slice($row, 2), static fn (mixed $v): bool => $v !== null));
            $sorted = $classes;
            sort($sorted);
            self::assertSame($sorted, $classes);
            if ($at > 0) {
                self::assertSame($rows[$at - 1][1], $row[0]);
                for ($c = 2; $c < 6; $c++) {
                    self::assertTrue($row[$c] === null || $row[$c] >= ($rows[$at - 1][$c] ?? 0));
                }
            }
        }
    }
}
