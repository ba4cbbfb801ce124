<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Quantity\Unit;

/** A sum's input as a person would type it: what {@see Typed} reads back to the same, in a shop of either unit. */
final readonly class AsTyped
{
    public function __construct(private Unit $unit)
    {
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, string>
     */
    public function fields(array $in): array
    {
        return array_combine(
            array_keys($in),
            array_map($this->text(...), array_keys($in), $in),
        );
    }

    private function text(string $field, mixed $value): string
    {
        return match (true) {
            ! is_array($value) => $this->one($field, $value, ' '),
            self::isRows($value) => $this->rows($value),
            array_is_list($value) => implode(', ', array_map(
                fn (mixed $its): string => $this->one($field, $its, ' '),
                $value,
            )),
            default => $this->named($field, $value),
        };
    }

    /** @param  array<array-key, mixed>  $values */
    private function named(string $field, array $values): string
    {
        $isLength = str_ends_with($field, '_mm');
        $lines = [];
        foreach ($values as $name => $its) {
            $lines[] = "{$name}: ".$this->one($isLength ? $field : (string) $name, $its, ' ');
        }

        return implode("\n", $lines);
    }

    /**
     * @phpstan-assert-if-true array<array-key, array<string, mixed>> $value
     *
     * @param  array<array-key, mixed>  $value
     */
    private static function isRows(array $value): bool
    {
        return array_filter($value, static fn (mixed $v): bool => is_array($v) && ! array_is_list($v)) !== [];
    }

    /** @param  array<array-key, array<string, mixed>>  $rows */
    private function rows(array $rows): string
    {
        $names = array_values(array_unique(array_merge(...array_map(array_keys(...), array_values($rows)))));
        $lines = array_map(
            fn (array $row): string => implode(', ', array_map(
                fn (string $name): string => isset($row[$name]) ? $this->one($name, $row[$name], ' ') : '',
                $names,
            )),
            $rows,
        );

        return implode("\n", [implode(', ', $names), ...$lines]);
    }

    /** @param  string  $apart  what stands between a number and its unit: nothing where spaces part numbers */
    private function one(string $field, mixed $value, string $apart): string
    {
        if (is_array($value)) {
            return implode(' ', array_map(fn (mixed $its): string => $this->one($field, $its, ''), $value));
        }
        $isLength = str_ends_with($field, '_mm') || in_array($field, Typed::PLACES, true);

        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_float($value), is_int($value) => $value.($isLength && $this->unit === Unit::Inch ? "{$apart}mm" : ''),
            is_string($value) => $value,
            default => '',
        };
    }
}
