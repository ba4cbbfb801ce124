<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Quantity;

use Eris\Generator;
use Eris\TestTrait;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

final class LengthWriterTest extends TestCase
{
    use TestTrait;

    public function test_inches_to_tenths_and_millimetres_to_microns(): void
    {
        $say = LengthWriter::size(26.9367);
        self::assertSame('1.0605', $say->in);
        self::assertSame('26.937', $say->mm);
        self::assertSame('1.06050', LengthWriter::size(26.9367, 0.001)->in, 'five places below 0.00005 in');
    }

    public function test_small_differences_in_thou_and_microns(): void
    {
        self::assertSame('0.5 thou', LengthWriter::fine(0.0127)->in);
        self::assertSame('12.7 µm', LengthWriter::fine(0.0127)->mm);
    }

    /** A limit is never rounded outward: what is shown lies inside the true band. */
    /** By hand: 0.6 µm is 0.00002 in, 1.4 µm is 0.00006 in. What rounds to nothing has no sign, in either unit. */
    public function test_a_minus_stands_where_something_is_left_of_it(): void
    {
        $of = static fn (float $mm): array => array_values(LengthWriter::signed($mm)->jsonSerialize());
        self::assertSame(['−0.5000', '−12.700', '−0.5000 in · −12.700 mm'], $of(-12.7));
        self::assertSame(['0.5000', '12.700', '0.5000 in · 12.700 mm'], $of(12.7));
        self::assertSame(['0.0000', '0.000', '0.0000 in · 0.000 mm'], $of(-0.0004));
        self::assertSame(['0.0000', '−0.001', '0.0000 in · −0.001 mm'], $of(-0.0006));
        self::assertSame(['−0.0001', '−0.001', '−0.0001 in · −0.001 mm'], $of(-0.0014));
        $difference = static fn (float $mm): string => LengthWriter::signedDifference($mm)->both;
        self::assertSame('−0.0010 in (−0.025 mm)', $difference(-0.0254));
        self::assertSame('0.0010 in (0.025 mm)', $difference(0.0254));
        self::assertSame('0.0000 in (0.000 mm)', $difference(0.0));
    }

    public function test_shown_limits_lie_inside(): void
    {
        $this->forAll(Generator\choose(1, 400000), Generator\choose(3, 200))->then(function (
            int $um,
            int $width,
        ): void {
            $band = new Band($um / 1000 + 0.0003, $um / 1000 + 0.0003 + $width / 1000);
            foreach (['in' => 25.4, 'mm' => 1.0] as $unit => $mm) {
                $lower = (float) LengthWriter::lower($band)->{$unit} * $mm;
                $upper = (float) LengthWriter::upper($band)->{$unit} * $mm;
                self::assertGreaterThanOrEqual($band->lowerMm - 1e-9, $lower);
                self::assertLessThanOrEqual($band->upperMm + 1e-9, $upper);
                self::assertLessThanOrEqual($upper + 1e-12, $lower);
            }
        });
    }

    public function test_what_is_written_reads_back(): void
    {
        $this->forAll(Generator\choose(1, 19_000_000))->then(function (int $um): void {
            $say = LengthWriter::size($um / 1000);
            self::assertEqualsWithDelta(
                $um / 1000,
                LengthReader::read($say->mm, Unit::Millimetre)->length->mm,
                0.00051,
            );
            self::assertEqualsWithDelta($um / 1000, LengthReader::read($say->in, Unit::Inch)->length->mm, 0.00128);
        });
    }
}
