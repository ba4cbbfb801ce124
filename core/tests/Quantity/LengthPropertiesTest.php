<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Quantity;

use Eris\Generator;
use Eris\TestTrait;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** What holds for every text, whoever typed it. */
final class LengthPropertiesTest extends TestCase
{
    use TestTrait;

    private static function mm(string $text, Unit $unit = Unit::Inch): float
    {
        return LengthReader::read($text, $unit)->length->mm;
    }

    public function test_comma_and_point_mean_the_same(): void
    {
        $this->forAll(Generator\choose(0, 700), Generator\choose(0, 9999))->then(function (
            int $whole,
            int $part,
        ): void {
            $text = sprintf('%d.%04d', $whole, $part);
            self::assertEqualsWithDelta(self::mm($text), self::mm(strtr($text, '.', ',')), 1e-9);
        });
    }

    /** a/b of an inch, whatever the field's unit, for every denominator on a rule. */
    public function test_fractions_of_an_inch(): void
    {
        $this->forAll(Generator\choose(0, 20), Generator\choose(1, 63), Generator\elements(2, 4, 8, 16, 32, 64))->then(
            function (int $whole, int $over, int $under): void {
                $wanted = 25.4 * ($whole + $over / $under);
                foreach (
                    ["{$whole}-{$over}/{$under}", "{$whole} {$over}/{$under}", "{$whole}-{$over}/{$under}\""] as $text
                ) {
                    self::assertEqualsWithDelta($wanted, self::mm($text, Unit::Millimetre), 1e-9, $text);
                }
                self::assertEqualsWithDelta(
                    (25.4 * $over) / $under,
                    self::mm("{$over}/{$under}", Unit::Millimetre),
                    1e-9,
                );
            },
        );
    }

    /** Brackets and order: sums of three lengths come out as arithmetic says. */
    public function test_sums_follow_arithmetic(): void
    {
        $this->forAll(Generator\choose(1, 900), Generator\choose(1, 900), Generator\choose(3, 9))->then(function (
            int $a,
            int $b,
            int $c,
        ): void {
            [$x, $y] = [$a / 100, $b / 100];
            self::assertEqualsWithDelta($x + $y * $c, self::mm("{$x}+{$y}*{$c}", Unit::Millimetre), 1e-9);
            self::assertEqualsWithDelta(($x + $y) * $c, self::mm("({$x}+{$y})*{$c}", Unit::Millimetre), 1e-9);
            self::assertEqualsWithDelta($x * 25.4 + $y, self::mm("{$x}in+{$y}mm"), 1e-9);
            self::assertEqualsWithDelta(($x + $y) * 0.0254, self::mm("{$x} thou + {$y} thou"), 1e-9);
        });
    }

    /** Any text at all gives a length from 0 to 20 m or a sentence; never a warning, never anything else. */
    public function test_any_text_is_read_or_refused(): void
    {
        $this->forAll(
            Generator\seq(
                Generator\elements(
                    '1',
                    '7',
                    '0',
                    '.',
                    ',',
                    '/',
                    '-',
                    '+',
                    '*',
                    '(',
                    ')',
                    ' ',
                    'in',
                    'mm',
                    '"',
                    'thou',
                    '#',
                    'M',
                    'µm',
                    'e',
                    '/0',
                ),
            ),
        )->then(function (array $pieces): void {
            try {
                $mm = self::mm(implode('', $pieces));
                self::assertGreaterThanOrEqual(0.0, $mm);
                self::assertLessThanOrEqual(LengthReader::LONGEST_MM, $mm);
            } catch (BadInput $bad) {
                self::assertSame('text', $bad->field);
            }
        });
    }
}
