<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Quantity;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Quantity\Length;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\ReadingReader;
use Oldpart\Core\Quantity\TypedLength;
use Oldpart\Core\Quantity\Understood;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** How sizes are written back and read: worked by hand from 1 in = 25.4 mm. */
final class WrittenTest extends TestCase
{
    /** 0.0999 mm is 3.93 thou; a whole millimetre is not said in thou. */
    public function test_a_small_length_is_said_in_the_small_units_too(): void
    {
        self::assertSame('99.9 µm', Understood::of('0.0999', Unit::Millimetre)->fine()->mm ?? '');
        self::assertNull(Understood::of('0.1', Unit::Millimetre)->fine());
        self::assertNull(Understood::of('-0.2', Unit::Millimetre, signed: true)->fine(), 'by its size, not its sign');
        self::assertSame('1.0000', Understood::of('25.4 mm', Unit::Inch)->shown()->in);
    }

    /** A difference is rounded so that what it promises holds: 0.25445 mm is 0.010018 in. */
    public function test_least_and_most(): void
    {
        self::assertSame(['0.0101 in', '0.255 mm'], self::pair(LengthWriter::atLeast(0.25445)));
        self::assertSame(['0.0100 in', '0.254 mm'], self::pair(LengthWriter::atMost(0.25445)));
        self::assertSame(['0.0100 in', '0.254 mm'], self::pair(LengthWriter::atLeast(0.254)), 'what is exact stays');
        self::assertSame(['0.0100 in', '0.254 mm'], self::pair(LengthWriter::atMost(0.254)));
        self::assertSame(['1.01 in', '26 mm'], self::pair(LengthWriter::about(25.5)));
        self::assertSame(['1.00 in', '26 mm'], self::pair(LengthWriter::about(25.4)));
    }

    /** 0.05 mm is 0.0019685 in; a half-width is rounded up, what is exact stays; small differences by their size. */
    public function test_half_widths_and_small_differences(): void
    {
        self::assertSame(['0.0020', '0.050'], self::pair(LengthWriter::plusMinus(0.05)));
        self::assertSame(['0.0020', '0.051'], self::pair(LengthWriter::plusMinus(0.0508)));
        self::assertSame(['0.0021', '0.051'], self::pair(LengthWriter::plusMinus(0.05081)));
        self::assertSame(['0.5 thou', '12.7 µm'], self::pair(LengthWriter::fine(-0.0127)));
        self::assertSame(['0.0002 in', '0.004 mm'], self::pair(LengthWriter::difference(-0.00449)), 'without its sign');
        self::assertSame('0.0004 mm', LengthWriter::difference(0.0004)->mm, 'under half a thousandth a place more');
        self::assertSame('0.001 mm', LengthWriter::difference(0.0005)->mm);
    }

    /** Below 10 N·m a place more: a wrench for small screws shows it. */
    public function test_torques(): void
    {
        self::assertSame(['9.9 N·m', '10.0 N·m'], [Figure::torqueAtLeast(9.96), Figure::torqueUpTo(9.96)]);
        self::assertSame(['10 N·m', '10 N·m'], [Figure::torqueAtLeast(10.0), Figure::torqueUpTo(10.0)]);
        self::assertSame(['10 N·m', '11 N·m'], [Figure::torqueAtLeast(10.6), Figure::torqueUpTo(10.6)]);
    }

    /** As it leaves: what was read, and in the small units too. */
    public function test_what_was_understood(): void
    {
        $says = json_decode((string) json_encode(Understood::of('0.05', Unit::Millimetre)), true);
        self::assertSame(['0.050', '50 µm'], [$says['shown']['mm'] ?? null, $says['fine']['mm'] ?? null]);
    }

    /** @return array{string, string} */
    private static function pair(\Oldpart\Core\Advice\Say $say): array
    {
        return [$say->in, $say->mm];
    }

    /** A thousand newtons is a kilonewton; less is said in newtons. */
    public function test_forces(): void
    {
        self::assertSame(['1.0 kN', '1.0 kN'], [Figure::forceAtLeast(1000.0), Figure::forceUpTo(1000.0)]);
        self::assertSame(['999 N', '999 N'], [Figure::forceAtLeast(999.0), Figure::forceUpTo(999.0)]);
        self::assertSame(['1.0 kN', '1.1 kN'], [Figure::forceAtLeast(1049.0), Figure::forceUpTo(1049.0)]);
    }

    /** Millimetres are millimetres by any of their names. */
    public function test_units_by_name(): void
    {
        foreach (['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'] as $unit) {
            self::assertEqualsWithDelta(12.5, LengthReader::read("12.5 {$unit}", Unit::Inch)->length->mm, 1e-12);
        }
        self::assertEqualsWithDelta(0.0125, LengthReader::read('12.5 microns', Unit::Inch)->length->mm, 1e-12);
        self::assertSame([1.0], (new TypedLength(Length::mm(2.0), '2', Unit::Millimetre))->weights);
    }

    /**
     * How often a size counts in a sum: 2 × 12.5 is two of one size; of two bare numbers the whole one says how often, or the
     * smaller; a length is never how often, however small.
     */
    public function test_how_often_a_size_counts(): void
    {
        $weights = static fn (string $text, Unit $unit = Unit::Millimetre): array => ReadingReader::read(
            $text,
            $unit,
        )->weights;
        self::assertSame([2.0], $weights('2 * 12.5'));
        self::assertSame([2.0], $weights('12.5 * 2'));
        self::assertSame([3.0], $weights('3 * 4'), 'the smaller of two whole ones');
        self::assertSame([4.0], $weights('0.5 mm * 4'), 'a length with its unit is the size');
        self::assertSame([0.5], $weights('12.7 / 2'));
        self::assertSame([2.0], $weights('2 * 2'));
    }

    /** A master of 25 less 25 comes out at nothing; a difference of more than a millimetre is no comparison. */
    public function test_a_comparison_that_can_t_be(): void
    {
        foreach (['0.5 set -0.5', '25 set +1.5', '25 set -1.5'] as $text) {
            try {
                ReadingReader::read($text, Unit::Millimetre);
                self::fail($text);
            } catch (BadInput $bad) {
                self::assertSame('comparison', $bad->reason);
            }
        }
        self::assertEqualsWithDelta(26.0, ReadingReader::read('25 set +1', Unit::Millimetre)->length->mm, 1e-12, 'a whole one still is');
        self::assertEqualsWithDelta(24.0, ReadingReader::read('25 set -1', Unit::Millimetre)->length->mm, 1e-12);
        self::assertEqualsWithDelta(25.012, ReadingReader::read('25 set +0.012', Unit::Millimetre)->length->mm, 1e-12);
    }

    /** How long a text may be: a sum of two hundred letters is read, one more is not. */
    public function test_how_long_a_text_may_be(): void
    {
        $sum = static fn (int $letters): string => '10'.str_repeat('+1', intdiv($letters - 2, 2)).($letters % 2 === 1 ? ' ' : '');
        self::assertSame(200, strlen($sum(200)));
        self::assertEqualsWithDelta(10 + 99, LengthReader::read($sum(200), Unit::Millimetre)->length->mm, 1e-9);
        $this->expectExceptionMessage('too long to be one size');
        LengthReader::read($sum(202), Unit::Millimetre);
    }

    /** A part of nothing is none, wherever it stands in a sum. */
    public function test_a_part_of_nothing(): void
    {
        foreach (['1/0', '5 + 3/0', '2/00 + 1'] as $text) {
            try {
                LengthReader::read($text, Unit::Inch);
                self::fail($text);
            } catch (BadInput $bad) {
                self::assertStringContainsString('0', $bad->getMessage());
                self::assertSame('zero-denominator', $bad->reason);
            }
        }
    }

    /** A promise to a place: at least rounds down, up to rounds up, and what is on the place stays. */
    public function test_promises(): void
    {
        self::assertSame(['12.3', '12.4', '12.3', '12.3'], [Figure::atLeast(12.39, 1), Figure::upTo(12.31, 1), Figure::atLeast(12.3, 1), Figure::upTo(12.3, 1)]);
        self::assertSame(['9.9 N·m', '10 N·m'], [Figure::torqueAtLeast(9.99), Figure::torqueAtLeast(10.0)]);
    }
}
