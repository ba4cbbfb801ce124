<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Sum;

use Oldpart\Core\Sum\ResultLines;
use Oldpart\Core\Sum\Sum;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a sum came to, on paper. */
final class ResultLinesTest extends TestCase
{
    /** @return iterable<string, array{Sum}> */
    public static function sums(): iterable
    {
        foreach (Sums::all() as $sum) {
            yield $sum->name() => [$sum];
        }
    }

    #[DataProvider('sums')]
    public function test_every_result_has_its_line(Sum $sum): void
    {
        $result = Sums::run($sum->name(), $sum->example());
        $lines = ResultLines::of($sum->name(), $result);
        $one = array_filter(array_diff_key($result, array_flip(ResultLines::BESIDE)), static fn (mixed $v): bool => $v !== null && $v !== []);
        self::assertGreaterThanOrEqual(count($one), count($lines));
        foreach ($lines as $line) {
            self::assertNotSame('', trim($line['name']));
            self::assertDoesNotMatchRegularExpression('/\{|\}|_mm|_deg|Array/', $line['name'].$line['says']->mm.$line['says']->in);
        }
    }

    public function test_each_in_the_unit_of_whoever_reads_it(): void
    {
        $lines = array_column(array_map(
            static fn (array $l): array => [$l['name'], [$l['says']->mm, $l['says']->in]],
            ResultLines::of('offset', Sums::run('offset', ['a_mm' => 3.0, 'b_mm' => 4.0])),
        ), 1, 0);
        self::assertSame(['5.000 mm', '0.1969 in'], $lines['Off the axis']);
        self::assertSame(['53°', '53°'], $lines['Direction']);
        self::assertSame('Off the axis 5.000 mm', ResultLines::headline('offset', Sums::run('offset', ['a_mm' => 3.0, 'b_mm' => 4.0]))?->mm);
        self::assertNull(ResultLines::headline('offset', null));
    }

    public function test_rows_and_ranges(): void
    {
        $scaled = ResultLines::of('scale', Sums::run('scale', Sums::named('scale')->example()));
        self::assertStringStartsWith('47.996 mm, doubt (U95) 0.631 mm', trim($scaled[2]['says']->mm));
        self::assertSame('Scaled 1', $scaled[2]['name']);
        $pressed = array_column(ResultLines::of('straighten', Sums::run('straighten', Sums::named('straighten')->example())), 'says', 'name');
        self::assertSame('2.321 mm to 3.592 mm', $pressed['Press down by']->mm);
    }

    /** A minus as it is set in print, which no line breaks after; and what is very small is written out. */
    public function test_less_than_nothing_and_very_little(): void
    {
        $lines = array_column(ResultLines::of('hardness', ['stress_mpa' => -12.3456, 'at_c' => -20, 'gap_mm' => -0.0125, 'growth_per_k' => 1.17e-5, 'load_n' => 123456.0]), 'says');
        self::assertSame(
            ['−12.346 MPa', '−20 °C', '−0.013 mm', '0.0000117', '123460 N'],
            array_map(static fn (\Oldpart\Core\Advice\Say $say): string => $say->mm, $lines),
        );
        self::assertSame('−0.0005 in (−0.013 mm)', $lines[2]->both);
    }
}
