<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Drills;

/**
 * Reads a length as people type it: `1.0605`, `26,94`, `27/64`, `1-5/16`, `60.5 thou`, `5 tenths`, `12 µm`,
 * `#7`, `letter G`, `M12`, `1/2-13`, and sums with + - * / and brackets, units mixed at will.
 *
 * A literal whole number over 2, 4, 8, 16, 32 or 64 is an inch fraction whatever the field's unit; any other
 * slash divides. Source: common practice of the trade.
 */
final class LengthReader
{
    public const LONGEST_MM = 20000.0;

    private const LONGEST_TEXT = 200;

    /** Fractions of an inch that are one letter. */
    private const ONE_LETTER = [
        '½' => '1/2', '¼' => '1/4', '¾' => '3/4', '⅛' => '1/8', '⅜' => '3/8', '⅝' => '5/8', '⅞' => '7/8',
    ];

    private const UNITS = [
        'in' => 25.4,
        'inch' => 25.4,
        'inches' => 25.4,
        '"' => 25.4,
        'mm' => 1.0,
        'millimetre' => 1.0,
        'millimetres' => 1.0,
        'millimeter' => 1.0,
        'millimeters' => 1.0,
        'thou' => 0.0254,
        'tenth' => 0.00254,
        'tenths' => 0.00254,
        'um' => 0.001,
        'µm' => 0.001,
        'micron' => 0.001,
        'microns' => 0.001,
    ];

    /** @var list<array{type: string, text: string}> */
    private array $tokens = [];

    private int $at = 0;

    private function __construct(private readonly Unit $unit, private readonly string $text)
    {
    }

    /**
     * @param  string  $text  what was typed
     * @param  Unit  $unit  what a bare number means
     * @param  bool  $signed  true where a difference is meant and a value below zero makes sense
     *
     * @throws BadInput with a sentence, when the text cannot be read as a length from 0 to 20 m
     */
    public static function read(string $text, Unit $unit, bool $signed = false): TypedLength
    {
        $clean = self::tidy($text);
        $reader = new self($unit, $clean);
        $alone = self::named($clean) ?? self::mixedNumber($clean);
        $sum = $alone === null ? $reader->sum() : new ReadValue($alone, ReadValue::LENGTH);
        $mm = $sum->toMm($unit);
        if (! is_finite($mm) || abs($mm) > self::LONGEST_MM) {
            throw self::bad('too-long', "“{$text}” is over 20 m. Check the unit and the decimal point.");
        }
        if ($mm < 0 && ! $signed) {
            throw self::bad('below-zero', "“{$text}” comes out below zero, and a size cannot. Check the sum.");
        }

        return new TypedLength(Length::mm($mm), $text, $unit, weights: $sum->weights);
    }

    private static function tidy(string $text): string
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw self::bad('unreadable', 'That is not readable text. Type a size such as 1.0605, 26.94 mm or 27/64.');
        }
        $clean = trim(
            strtr($text, [
                '″' => '"',
                '”' => '"',
                '“' => '"',
                "''" => '"',
                '×' => '*',
                '·' => '*',
                '÷' => '/',
                '⁄' => '/',
                '−' => '-',
                '–' => '-',
                'μ' => 'µ',
                "\u{00A0}" => ' ',
                "\u{202F}" => ' ',
                "\u{2009}" => ' ',
                '’' => "'",
            ]),
        );
        $clean = self::written($clean);
        if ($clean === '') {
            throw self::bad('empty', 'Nothing is typed yet. Type a size such as 1.0605, 26.94 mm or 27/64.');
        }
        if (mb_strlen($clean) > self::LONGEST_TEXT) {
            throw self::bad('unreadable', 'That is too long to be one size. Type one size, or a short sum.');
        }
        if (str_contains($clean, ',') && str_contains($clean, '.')) {
            throw self::bad(
                'comma-and-point',
                "“{$text}” has both a comma and a point. Use one of them, for the decimals.",
            );
        }

        return $clean;
    }

    /** As a hand writes it: 1½ for 1 1/2, and thousands set off in threes, 1 234,5 or 1'234.5, closed up. */
    private static function written(string $text): string
    {
        $letters = implode('', array_keys(self::ONE_LETTER));
        $spelt = preg_replace_callback(
            "~(?<![{$letters}.,/])(\\d?)\\s*([{$letters}])(?![\\d{$letters}])~u",
            static fn (array $m): string => ($m[1] === '' ? '' : "{$m[1]} ").self::ONE_LETTER[$m[2]],
            $text,
        );

        return (string) preg_replace_callback(
            "~(?<![\d.,/])\d{1,3}(?:[ ']\d{3})+(?![\d/])~",
            static fn (array $m): string => str_replace([' ', "'"], '', $m[0]),
            $spelt ?? $text,
        );
    }

    /** Number and letter drills, and threads by their major diameter. */
    private static function named(string $text): ?float
    {
        if (preg_match('/^(?:#|no\.?)\s*(\d{1,2})$/i', $text, $m) === 1) {
            return Drills::number((int) $m[1])->mm;
        }
        if (preg_match('/^letter\s+([a-z])$/i', $text, $m) === 1) {
            return Drills::letter(strtoupper($m[1]))->mm;
        }
        if (preg_match('/^m\s*(\d+(?:[.,]\d+)?)(?:\s*[x*]\s*\d+(?:[.,]\d+)?)?$/i', $text, $m) === 1) {
            return self::number($m[1]);
        }
        if (preg_match('~^(\d+)/(\d+)-(\d+)$~', $text, $m) === 1 && (int) $m[2] !== 0) {
            return (25.4 * (int) $m[1]) / (int) $m[2];
        }

        return self::turns($text);
    }

    /** `1/4 turn of M12x1.75`, `0.5 turns of 20 tpi`: how far a nut or screw moves, pitch × turns. */
    private static function turns(string $text): ?float
    {
        if (
            preg_match(
                '~^(?:(\d+)[ -])?(?:(\d+)/(\d+)|(\d*[.,]?\d+))\s*turns?\b\s*(?:of|at|\*|x)?\s*(.*)$~i',
                $text,
                $m,
            ) !== 1
        ) {
            return null;
        }
        if ($m[3] !== '' && (int) $m[3] === 0) {
            throw self::zeroDenominator($text);
        }
        $turns = (float) $m[1] + ($m[3] === '' ? self::number($m[4]) : (int) $m[2] / (int) $m[3]);
        $pitch = match (true) {
            preg_match('~^m\s*\d+(?:[.,]\d+)?\s*[x*]\s*(\d+(?:[.,]\d+)?)$~i', $m[5], $p) === 1 => self::number($p[1]),
            preg_match('~^(\d+(?:[.,]\d+)?)\s*mm$~i', $m[5], $p) === 1 => self::number($p[1]),
            preg_match('~^(\d*[.,]\d+)\s*(?:in|")$~i', $m[5], $p) === 1 => 25.4 * self::number($p[1]),
            preg_match('~^(?:\d+/\d+|\d+|#\d+)\s*-\s*(\d+)$~', $m[5], $p) === 1,
            preg_match('~^(\d+)\s*(?:tpi|threads?)$~i', $m[5], $p) === 1 => 25.4 / max(1, (int) $p[1]),
            default => throw self::bad(
                'which-pitch',
                'Turns of which thread? Type for instance 1/4 turn of M12x1.75, of 20 tpi, or of 1.5 mm.',
            ),
        };

        return $turns * $pitch;
    }

    /** `1-5/16` and `1 5/16`, with or without a unit, when nothing else is in the text. */
    private static function mixedNumber(string $text): ?float
    {
        if (preg_match('~^([+-]?)(\d+)(?:\s*-\s*|\s+)(\d+)\s*/\s*(\d+)\s*([^\d\s]*)$~u', $text, $m) !== 1) {
            return null;
        }
        if ((int) $m[4] === 0) {
            throw self::zeroDenominator($text);
        }
        $factor = $m[5] === '' ? 25.4 : self::UNITS[mb_strtolower($m[5])] ?? throw self::unknownUnit($m[5]);

        return ($m[1] === '-' ? -1 : 1) * $factor * ((int) $m[2] + (int) $m[3] / (int) $m[4]);
    }

    private function sum(): ReadValue
    {
        $this->tokens = self::tokens($this->text);
        $this->at = 0;
        $sign = 1.0;
        if ($this->takes('-')) {
            $sign = -1.0;
        } else {
            $this->takes('+');
        }
        $value = $this->terms($sign);
        if ($this->peek() !== null) {
            throw self::unreadable($this->text);
        }

        return $value;
    }

    private function terms(float $sign): ReadValue
    {
        $value = $this->factors()->signed($sign);
        while (true) {
            if ($this->takes('+')) {
                $value = $value->plus($this->factors(), 1.0, $this->unit);
            } elseif ($this->takes('-')) {
                $value = $value->plus($this->factors(), -1.0, $this->unit);
            } else {
                return $value;
            }
        }
    }

    private function factors(): ReadValue
    {
        $value = $this->atom();
        while (true) {
            if ($this->takes('*')) {
                $value = $value->times($this->atom());
            } elseif ($this->takes('/')) {
                $value = $value->over($this->atom());
            } else {
                return $value;
            }
        }
    }

    private function atom(): ReadValue
    {
        $token = $this->peek();
        $this->at++;
        if ($token !== null && $token['text'] === '(') {
            $value = $this->terms(1.0);
            if (! $this->takes(')')) {
                throw self::bad('bracket', 'A bracket is opened and not closed. Close it, or take it out.');
            }

            return $this->withUnit($value);
        }
        if ($token !== null && $token['type'] === 'fraction') {
            [$over, $under] = array_map(intval(...), explode('/', $token['text']));

            return $this->withUnit(new ReadValue($over / $under, ReadValue::FRACTION));
        }
        if ($token !== null && $token['type'] === 'number') {
            return $this->withUnit(new ReadValue(self::number($token['text']), ReadValue::NUMBER));
        }
        throw $token === null
            ? self::bad('unreadable', "“{$this->text}” stops half way: a number is missing at the end.")
            : self::unreadable($this->text);
    }

    private function withUnit(ReadValue $value): ReadValue
    {
        $token = $this->peek();
        if ($token === null || $token['type'] !== 'unit') {
            return $value;
        }
        $this->at++;
        $factor = self::UNITS[$token['text']] ?? throw self::unknownUnit($token['text']);

        return $value->in($factor);
    }

    /** @return array{type: string, text: string}|null */
    private function peek(): ?array
    {
        return $this->tokens[$this->at] ?? null;
    }

    private function takes(string $operator): bool
    {
        $token = $this->peek();
        if ($token !== null && $token['type'] === 'operator' && $token['text'] === $operator) {
            $this->at++;

            return true;
        }

        return false;
    }

    /** @return list<array{type: string, text: string}> */
    private static function tokens(string $text): array
    {
        $tokens = [];
        $rest = $text;
        $patterns = [
            'fraction' => '~^(\d+)\s*/\s*(2|4|8|16|32|64)(?![\d.,])~',
            'number' => '~^(?:\d+(?:[.,]\d*)?|[.,]\d+)(?![.,])~',
            'operator' => '~^[-+*/()]~',
            'unit' => '~^(?:"|[a-zµ]+)~iu',
        ];
        while (($rest = ltrim($rest)) !== '') {
            foreach ($patterns as $type => $pattern) {
                if (preg_match($pattern, $rest, $m) === 1) {
                    $word = mb_strtolower((string) preg_replace('/\s/', '', $m[0]));
                    $tokens[] = ['type' => $type, 'text' => $word];
                    $rest = substr($rest, strlen($m[0]));

                    continue 2;
                }
            }
            throw self::unreadable($text);
        }
        foreach ($tokens as $i => $token) {
            $next = $tokens[$i + 1] ?? null;
            $divisor = $tokens[$i + 2] ?? null;
            if (
                $token['type'] === 'number'
                && $next !== null
                && $next['text'] === '/'
                && $divisor !== null
                && preg_match('/^0+$/', $divisor['text']) === 1
            ) {
                throw self::zeroDenominator($text);
            }
        }

        return $tokens;
    }

    private static function number(string $digits): float
    {
        return (float) str_replace(',', '.', $digits);
    }

    private static function bad(string $reason, string $sentence): BadInput
    {
        return new BadInput($reason, 'text', $sentence);
    }

    private static function unreadable(string $text): BadInput
    {
        return self::bad(
            'unreadable',
            "“{$text}” can't be read as a size. Type something like 1.0605, 26.94 mm, 27/64 or 60.5 thou.",
        );
    }

    private static function unknownUnit(string $unit): BadInput
    {
        return self::bad('unknown-unit', "“{$unit}” is not a unit known here. Use in, mm, thou, tenths or µm.");
    }

    private static function zeroDenominator(string $text): BadInput
    {
        return self::bad('zero-denominator', "“{$text}” divides by zero. Check the lower number of the fraction.");
    }
}
