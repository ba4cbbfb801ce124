<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Unit;

/**
 * A sum's input as a person types it: a number, a word, a list, rows under a heading, a name and its value a line.
 * Fields that end in _mm are lengths and take whatever lengths are typed as.
 */
final readonly class Typed
{
    /** Places in a block: along x, y and z, with spaces between. */
    public const PLACES = ['from', 'to'];

    public function __construct(private Sum $sum, private Unit $unit)
    {
    }

    /**
     * @param  array<string, string>  $texts  by field; what is empty is left out
     * @return array<string, mixed> what the sum takes
     *
     * @throws BadInput naming the field that can't be read, or is none of the sum's
     */
    public function read(array $texts): array
    {
        $like = $this->sum->example();
        $in = [];
        foreach ($texts as $field => $text) {
            if (! in_array($field, $this->sum->takes(), true)) {
                throw new BadInput('bad-field', $field, "“{$field}” is not a field of this sum.");
            }
            if (trim($text) !== '') {
                try {
                    $in[$field] = $this->value($field, trim($text), $like[$field] ?? null);
                } catch (BadInput $bad) {
                    throw $bad->about($field);
                }
            }
        }

        return $in;
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, string> as it would be typed, in millimetres: said of each length where the shop types inches
     */
    public static function write(array $in, Unit $unit): array
    {
        return (new AsTyped($unit))->fields($in);
    }

    private function value(string $field, string $text, mixed $like): mixed
    {
        $lines = array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn (string $l): bool => $l !== ''));
        $isRows = is_array($like) ? self::isRows($like) : count($lines) > 1;

        return match (true) {
            self::isNamed($like, $lines) => $this->named($field, $lines),
            $isRows => $this->rows($field, $lines),
            is_array($like) => $this->list($field, $text),
            is_string($like) => $text,
            default => $this->one($field, $text),
        };
    }

    /** @param  list<string>  $lines */
    private static function isNamed(mixed $like, array $lines): bool
    {
        return is_array($like) && $like !== []
            ? ! array_is_list($like)
            : $like === null && array_filter($lines, static fn (string $l): bool => preg_match('/^\w+\s*:/', $l) !== 1) === [];
    }

    /** @param  array<array-key, mixed>  $like */
    private static function isRows(array $like): bool
    {
        return array_filter($like, is_array(...)) !== [];
    }

    /**
     * @param  list<string>  $lines  a name and its value each; those of a length are lengths
     * @return array<string, mixed>
     */
    private function named(string $field, array $lines): array
    {
        $areLengths = str_ends_with($field, '_mm');
        $values = [];
        foreach ($lines as $line) {
            [$name, $text] = [...explode(':', $line, 2), ''];
            $values[trim($name)] = $this->one($areLengths ? $field : trim($name), trim($text));
        }

        return $values;
    }

    /**
     * @param  list<string>  $lines  a heading and the rows under it
     * @return list<array<string, mixed>>
     */
    private function rows(string $field, array $lines): array
    {
        $names = self::cells($lines[0] ?? '', null);
        $rows = [];
        foreach (array_slice($lines, 1) as $at => $line) {
            $cells = self::cells($line, count($names));
            if (count($cells) > count($names)) {
                throw new BadInput('bad-rows', $field, '“'.$field.'”, row '.($at + 1).': “'.$line.'” has '.count($cells).' values under '.count($names).' headings. Part them by a comma and a space.');
            }
            $row = [];
            foreach ($cells as $column => $cell) {
                if ($cell !== '') {
                    $row[$names[$column]] = $this->one($names[$column], $cell);
                }
            }
            $rows[] = $row;
        }

        return $rows;
    }

    /** @return list<string> parted by semicolons, tabs, or commas */
    private static function cells(string $line, ?int $wanted): array
    {
        foreach (['/\s*[;\t]\s*/', '/\s*,\s+/', '/\s*,\s*/'] as $parted) {
            $cells = array_map(strval(...), (array) preg_split($parted, trim($line)));
            if ($wanted === null ? count($cells) > 1 : count($cells) === $wanted) {
                return $cells;
            }
        }

        return array_map(static fn (string $c): string => trim($c), explode(',', $line));
    }

    /** @return list<mixed> */
    private function list(string $field, string $text): array
    {
        $parted = match (true) {
            preg_match('/[;\n]/', $text) === 1 => '/\s*[;\n]\s*/',
            preg_match('/,\s/', $text) === 1 => '/\s*,\s+/',
            default => '/\s+/',
        };
        $items = [];
        foreach ((array) preg_split($parted, rtrim($text, ',; '), -1, PREG_SPLIT_NO_EMPTY) as $item) {
            $item = (string) $item;
            if (substr_count($item, ',') === 1 && preg_match('/[;\n]/', $text) !== 1) {
                throw new BadInput('two-ways', $field, "“{$field}”: is “{$item}” one number with a comma, or two? Type it with a point, or with a space between the two.");
            }
            foreach (substr_count($item, ',') === 1 ? [$item] : explode(',', $item) as $one) {
                $items[] = $this->one($field, trim($one));
            }
        }

        return $items;
    }

    /** A length, a number, yes or no, several numbers with spaces between, or a word. */
    private function one(string $field, string $text): mixed
    {
        if (preg_match('/_mm$/', $field) === 1) {
            $read = LengthReader::read($text, $this->unit, signed: true)->length->mm;

            return $read;
        }
        $parts = (array) preg_split('/\s+/', $text);
        if (in_array($field, self::PLACES, true)) {
            return array_map(
                fn (mixed $part): float => LengthReader::read((string) $part, $this->unit, signed: true)->length->mm,
                $parts,
            );
        }

        return match (true) {
            in_array($text, ['yes', 'true'], true) => true,
            in_array($text, ['no', 'false'], true) => false,
            self::isNumber($text) => self::number($text),
            count($parts) > 1 && array_filter(
                $parts,
                static fn (mixed $p): bool => ! self::isNumber((string) $p),
            ) === [] => array_map(
                static fn (mixed $p): int|float => self::number((string) $p),
                $parts,
            ),
            default => $text,
        };
    }

    private static function isNumber(string $text): bool
    {
        return preg_match('/^[-+−–]?(\d+[.,]?\d*|[.,]\d+)(e[-+]?\d{1,2})?$/iu', $text) === 1;
    }

    private static function number(string $text): int|float
    {
        $plain = str_replace([',', '−', '–'], ['.', '-', '-'], $text);

        return preg_match('/^[-+]?\d{1,15}$/', $plain) === 1 ? (int) $plain : (float) $plain;
    }
}
