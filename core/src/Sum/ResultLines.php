<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** What a sum came to, as lines for paper: a name, and its value in the unit of whoever reads it. */
final class ResultLines
{
    /** What stands beside the results. */
    public const BESIDE = ['notes', 'working', 'picture', 'read', 'steps'];

    private const UNITS = [
        'deg' => '°', 'kg' => ' kg', 'n' => ' N', 'nm' => ' N·m', 'gmm' => ' g mm', 'rpm' => ' a minute', 'um' => ' µm', 'kpa' => ' kPa',
        'mpa' => ' MPa', 'c' => ' °C', 's' => ' s', 'mm2' => ' mm²', 'mm3' => ' mm³', 'thou' => ' thou', 'in' => ' in',
    ];

    /** A way round, to be marked on the work: nobody sets it closer than half a degree. */
    private const WAYS_ROUND = '/(direction|plane|high)_deg$/';

    /**
     * @param  array<string, mixed>  $result
     * @return list<array{name: string, says: Say}>
     */
    public static function of(string $sum, array $result): array
    {
        $lines = [];
        foreach (array_diff_key($result, array_flip(self::BESIDE)) as $field => $value) {
            if (is_array($value) && array_is_list($value) && is_array($value[0] ?? null)) {
                foreach ($value as $at => $row) {
                    $lines[] = [
                        'name' => self::name($sum, $field).' '.($at + 1),
                        'says' => self::row($sum, is_array($row) ? $row : []),
                    ];
                }
            } elseif ($value !== null) {
                $lines[] = ['name' => self::name($sum, $field), 'says' => self::value($field, $value)];
            }
        }

        return $lines;
    }

    /**
     * The first that is one value: what to say where there is room for one.
     *
     * @param  ?array<string, mixed>  $result
     */
    public static function headline(string $sum, ?array $result): ?Say
    {
        foreach (array_diff_key($result ?? [], array_flip(self::BESIDE)) as $field => $value) {
            if (is_scalar($value)) {
                return Say::with(
                    self::name($sum, (string) $field).' {v}',
                    ['v' => self::value((string) $field, $value)],
                );
            }
        }

        return null;
    }

    private static function name(string $sum, string $field): string
    {
        $plain = (string) preg_replace('/_('.implode('|', array_keys(self::UNITS)).'|mm)$/', '', $field);

        return Words::of($sum)[$field] ?? ucfirst(str_replace('_', ' ', $plain));
    }

    /** @param  array<array-key, mixed>  $row */
    private static function row(string $sum, array $row): Say
    {
        [$text, $values] = [[], []];
        foreach (array_filter($row, static fn (mixed $v): bool => $v !== null) as $field => $value) {
            $field = (string) $field;
            $text[] = (
                in_array($field, ['mm', 'name', 'label'], true) ? '' : lcfirst(self::name($sum, $field)).' '
            ).'{'.$field.'}';
            $values[$field] = self::value($field === 'mm' ? 'size_mm' : $field, $value);
        }

        return Say::with(implode(', ', $text), $values);
    }

    private static function value(string $field, mixed $value): Say
    {
        return match (true) {
            $value instanceof Say => $value,
            $value instanceof Range => self::pair($field, $value->min, $value->max),
            is_bool($value) => Say::plain($value ? 'yes' : 'no'),
            is_float($value), is_int($value) => self::number($field, (float) $value),
            is_array($value) && isset($value['min'], $value['max']) => self::pair($field, $value['min'], $value['max']),
            is_array($value) => self::several($field, $value),
            is_string($value) => Say::plain($value),
            default => Say::plain('–'),
        };
    }

    private static function pair(string $field, mixed $min, mixed $max): Say
    {
        return Say::with('{a} to {b}', ['a' => self::value($field, $min), 'b' => self::value($field, $max)]);
    }

    /** @param  array<array-key, mixed>  $values */
    private static function several(string $field, array $values): Say
    {
        $said = [];
        foreach (array_values($values) as $at => $value) {
            $said["v{$at}"] = self::value($field, $value);
        }

        return $said === [] ? Say::plain('–') : Say::with('{'.implode('}, {', array_keys($said)).'}', $said);
    }

    private static function number(string $field, float $value): Say
    {
        if (preg_match('/(^|_)mm$/', $field) === 1) {
            $size = LengthWriter::sizeInWords($value);

            return new Say(...array_map(self::withMinus(...), [$size->in, $size->mm, $size->both]));
        }
        preg_match('/_([a-z0-9]+)$/', $field, $m);
        $digits = preg_match(self::WAYS_ROUND, $field) === 1
            ? number_format($value, 0, '', '')
            : self::fiveFigures($value);

        return Say::plain(self::withMinus($digits).(self::UNITS[$m[1] ?? ''] ?? ''));
    }

    /** Written out, however small it is. */
    private static function fiveFigures(float $value): string
    {
        $places = $value === 0.0 ? 0 : 4 - (int) floor(log10(abs($value)));
        $text = number_format(round($value, $places), max(0, $places), '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    private static function withMinus(string $number): string
    {
        return preg_replace('/(^|\()-/', '$1−', $number) ?? $number;
    }
}
