<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Quantity;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What people type, read by hand from the definitions: 1 in = 25.4 mm exactly, 1 thou = 0.001 in. */
final class LengthReaderTest extends TestCase
{
    /** @return iterable<string, array{string, string, float}> text, unit of the field, mm */
    public static function readable(): iterable
    {
        yield 'plain inch' => ['1.0605', 'in', 26.9367];
        yield 'plain millimetre' => ['26.94', 'mm', 26.94];
        yield 'decimal comma' => ['26,94', 'mm', 26.94];
        yield 'leading point' => ['.5', 'in', 12.7];
        yield 'unit typed wins' => ['26.94 mm', 'in', 26.94];
        yield 'in' => ['1.0605in', 'mm', 26.9367];
        yield 'inch mark' => ['1.0605"', 'mm', 26.9367];
        yield 'curly inch mark' => ['1.0605”', 'mm', 26.9367];
        yield 'fraction is inches even in a mm field' => ['27/64', 'mm', 10.715625];
        yield 'mixed with a hyphen' => ['1-5/16', 'in', 33.3375];
        yield 'mixed with a space and a mark' => ['1 5/16"', 'mm', 33.3375];
        yield 'thou' => ['60.5 thou', 'mm', 1.5367];
        yield 'tenths are tenths of a thou' => ['5 tenths', 'mm', 0.0127];
        yield 'um' => ['12 um', 'in', 0.012];
        yield 'micro sign' => ['12 µm', 'in', 0.012];
        yield 'greek mu' => ['12 μm', 'in', 0.012];
        yield 'number drill 7 is 0.201' => ['#7', 'mm', 5.1054];
        yield 'No. 7' => ['No. 7', 'mm', 5.1054];
        yield 'letter G is 0.261' => ['letter G', 'mm', 6.6294];
        yield 'M12' => ['M12', 'in', 12.0];
        yield 'M12 with pitch' => ['M12x1.25', 'in', 12.0];
        yield 'a quarter turn of a nut' => ['1/4 turn of M12x1.75', 'in', 0.4375];
        yield 'turns and a part' => ['1-1/2 turns of 20 tpi', 'mm', 1.905];
        yield 'turns with a decimal' => ['0,5 turn of 1,5 mm', 'in', 0.75];
        yield 'turns of a pitch in inches' => ['1/4 turn of 0.05 in', 'mm', 0.3175];
        yield 'turn of an inch thread' => ['1/3 turn of 1/2-13', 'mm', 25.4 / 39];
        yield 'inch thread, major diameter' => ['1/2-13', 'mm', 12.7];
        yield 'sum in inches' => ['2.5+0.06', 'in', 65.024];
        yield 'sum of two units' => ['0.5in+3mm', 'mm', 15.7];
        yield 'bare number beside a length takes the field unit' => ['0.5in+3', 'mm', 15.7];
        yield 'half a difference' => ['(3.1875-1.062)/2', 'in', 26.99385];
        yield 'slash over a decimal divides' => ['2.5/2', 'mm', 1.25];
        yield 'slash over 5 divides' => ['3/5', 'mm', 0.6];
        yield 'fractions add as inches' => ['1/2+1/4', 'mm', 19.05];
        yield 'fraction in a sum with mm' => ['1/2+3mm', 'mm', 15.7];
        yield 'times a number' => ['2*12.5mm', 'in', 25.0];
        yield 'bracket with a unit' => ['(1+2)mm', 'in', 3.0];
        yield 'plus sign of a gauge line' => ['+00027.412 mm', 'in', 27.412];
    }

    #[DataProvider('readable')]
    public function test_reads_what_people_type(string $text, string $unit, float $mm): void
    {
        $read = LengthReader::read($text, Unit::from($unit));
        self::assertEqualsWithDelta($mm, $read->length->mm, 1e-9);
        self::assertSame($text, $read->typed, 'what was typed is kept');
    }

    /** @return iterable<string, array{string, string}> text, reason */
    public static function unreadable(): iterable
    {
        yield 'empty' => ['', 'empty'];
        yield 'blank' => ['   ', 'empty'];
        yield 'words' => ['about an inch', 'unreadable'];
        yield 'two points' => ['1.2.3', 'unreadable'];
        yield 'comma and point' => ['1,060.5', 'comma-and-point'];
        yield 'zero denominator' => ['3/0', 'zero-denominator'];
        yield 'zero denominator, mixed' => ['1-3/0', 'zero-denominator'];
        yield 'divides by nothing' => ['5/(2-2)', 'zero-denominator'];
        yield 'below zero' => ['1-2', 'below-zero'];
        yield 'negative' => ['-0.5', 'below-zero'];
        yield 'over 20 m' => ['21000 mm', 'too-long'];
        yield 'far over' => [str_repeat('9', 150), 'too-long'];
        yield 'unknown unit' => ['3 furlongs', 'unknown-unit'];
        yield 'two units' => ['(3mm+1)in', 'unit-twice'];
        yield 'an area' => ['3mm*2in', 'area'];
        yield 'a ratio' => ['3mm/2in', 'ratio'];
        yield 'open bracket' => ['(3+1', 'bracket'];
        yield 'half a sum' => ['3+', 'unreadable'];
        yield 'two signs' => ['--3', 'unreadable'];
        yield 'turns of what' => ['1/4 turn', 'which-pitch'];
        yield 'turns of a bare number' => ['1/4 turn of 20', 'which-pitch'];
        yield 'no such drill' => ['#81', 'no-such-drill'];
        yield 'infinity' => ['inf', 'unreadable'];
        yield 'not text' => ["\xff\xfe", 'unreadable'];
    }

    #[DataProvider('unreadable')]
    public function test_refuses_with_a_sentence(string $text, string $reason): void
    {
        try {
            LengthReader::read($text, Unit::Inch);
            self::fail('should have been refused');
        } catch (BadInput $bad) {
            self::assertContains($bad->reason, $reason === 'unreadable' ? ['unreadable', 'unknown-unit'] : [$reason]);
            self::assertMatchesRegularExpression('/^.{15,}[.?]$/us', $bad->getMessage(), 'a whole sentence');
            self::assertSame('text', $bad->field);
        }
    }

    public function test_a_difference_may_be_below_zero(): void
    {
        self::assertEqualsWithDelta(-0.0254, LengthReader::read('-0.001', Unit::Inch, true)->length->mm, 1e-12);
        self::assertEqualsWithDelta(-0.0254, LengthReader::read('-1 thou', Unit::Inch, true)->length->mm, 1e-12);
    }

    /** As a hand or another keyboard writes it; 25.4 mm to the inch. */
    public function test_fractions_of_one_letter_and_thousands_in_threes(): void
    {
        $inches = ['½' => 0.5, '1½' => 1.5, '1 ½' => 1.5, '2⅝ in' => 2.625, '⅞"' => 0.875, '3 + ¼' => 3.25, '¾ - ⅛' => 0.625];
        foreach ($inches as $text => $inch) {
            self::assertEqualsWithDelta(25.4 * $inch, LengthReader::read((string) $text, Unit::Inch)->length->mm, 1e-9, (string) $text);
            self::assertEqualsWithDelta(25.4 * $inch, LengthReader::read(str_contains((string) $text, '3 +') ? '3 in + ¼' : (string) $text, Unit::Millimetre)->length->mm, 1e-9, "an inch fraction whatever the field: {$text}");
        }
        foreach (['1 234,5', "1\u{202F}234,5", "1\u{2009}234.5", "1'234.5", '1’234,5', '1234,5'] as $text) {
            self::assertEqualsWithDelta(1234.5, LengthReader::read($text, Unit::Millimetre)->length->mm, 1e-9, $text);
        }
        self::assertEqualsWithDelta(12125 * 0.0254, LengthReader::read('12 125 thou', Unit::Millimetre)->length->mm, 1e-9);
        // What is no group of three stays what it was: a whole and a fraction, or nothing that can be read.
        self::assertEqualsWithDelta(25.4 * 1.125, LengthReader::read('1 1/8', Unit::Inch)->length->mm, 1e-9);
        self::assertEqualsWithDelta(25.4 * (2 + 17 / 64), LengthReader::read('2 17/64', Unit::Inch)->length->mm, 1e-9);
        foreach (['1 23,5', '12 34', '1 2345', '½½', '½5', '1.½', '1/½'] as $text) {
            try {
                LengthReader::read($text, Unit::Millimetre);
                self::fail("“{$text}” was read");
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->getMessage());
            }
        }
    }
}
