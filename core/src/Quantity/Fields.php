<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

use Oldpart\Core\Advice\BadInput;

/** Takes typed values out of a decoded object, naming the field when one is not what it should be. */
final readonly class Fields
{
    /** Beyond these, squares and quotients leave what a number can hold. */
    private const LEAST = 1e-12;

    private const MOST = 1e15;

    /** @param  array<array-key, mixed>  $values */
    public function __construct(private array $values, private string $path = '')
    {
    }

    /**
     * Refuses what is not understood, so that a slip of the pen is never quietly ignored.
     *
     * @param  list<string>  $known
     */
    public function only(array $known): self
    {
        foreach (array_keys($this->values) as $key) {
            if (! in_array($key, $known, true)) {
                throw new BadInput(
                    'unknown-key',
                    $this->at((string) $key),
                    "“{$this->at((string) $key)}” is not known here. Known are: ".implode(', ', $known).'.',
                );
            }
        }

        return $this;
    }

    public function has(string $name): bool
    {
        return isset($this->values[$name]);
    }

    public function text(string $name): string
    {
        return $this->textOrNull($name) ?? throw $this->bad($name, 'is missing.');
    }

    public function textOrNull(string $name): ?string
    {
        $value = $this->values[$name] ?? null;

        return $value === null || is_string($value) ? $value : throw $this->bad($name, 'must be text.');
    }

    /** A name that may also be written as a number, such as a station or an angle; empty when absent. */
    public function label(string $name): string
    {
        $value = $this->values[$name] ?? '';

        return is_string($value) || is_int($value) || is_float($value)
            ? (string) $value
            : throw $this->bad($name, 'must be a text or a number.');
    }

    /** `{"min": …, "max": …}`, min not above max. */
    public function range(string $name): Range
    {
        $f = ($this->object($name) ?? throw $this->bad($name, 'is missing.'))->only(['min', 'max']);
        try {
            return new Range($f->number('min'), $f->number('max'));
        } catch (BadInput $bad) {
            throw $bad->field === 'range' ? $bad->about($this->at($name)) : $bad;
        }
    }

    public function number(string $name): float
    {
        return $this->numberOrNull($name) ?? throw $this->bad($name, 'is missing.');
    }

    /** @throws BadInput unless it is a whole number */
    public function whole(string $name): int
    {
        $number = $this->number($name);

        return $number === floor($number) ? (int) $number : throw $this->bad($name, 'must be a whole number.');
    }

    public function numberOrNull(string $name): ?float
    {
        $value = $this->values[$name] ?? null;
        if ($value === null) {
            return null;
        }

        $number = (is_int($value) || is_float($value)) && is_finite((float) $value)
            ? (float) $value
            : throw $this->bad($name, 'must be a number.');

        return abs($number) <= self::MOST
            ? self::orNothing($number)
            : throw $this->bad($name, 'is larger than anything that is measured.');
    }

    /** What is left of rounding is nothing, and is refused where something has to be. */
    private static function orNothing(float $number): float
    {
        return abs($number) < self::LEAST ? 0.0 : $number;
    }

    public function flag(string $name): bool
    {
        return $this->flagOrNull($name) ?? false;
    }

    public function flagOrNull(string $name): ?bool
    {
        $value = $this->values[$name] ?? null;

        return $value === null || is_bool($value) ? $value : throw $this->bad($name, 'must be true or false.');
    }

    /** @return list<string> */
    public function texts(string $name): array
    {
        $value = $this->values[$name] ?? [];
        if (! is_array($value) || array_filter($value, is_string(...)) !== $value) {
            throw $this->bad($name, 'must be a list of texts.');
        }

        return array_values($value);
    }

    /**
     * @return list<float>
     *
     * @throws BadInput unless it is a list of numbers
     */
    public function numbers(string $name): array
    {
        $value = $this->values[$name] ?? throw $this->bad($name, 'is missing.');
        $numbers = [];
        foreach (
            is_array($value) && array_is_list($value) ? $value : throw $this->bad(
                $name,
                'must be a list of numbers.',
            ) as $one
        ) {
            $numbers[] = (is_int($one) || is_float($one)) && is_finite((float) $one) && abs((float) $one) <= self::MOST
                ? self::orNothing((float) $one)
                : throw $this->bad($name, 'must be a list of numbers.');
        }

        return $numbers;
    }

    /**
     * @return list<int>
     *
     * @throws BadInput unless it is a list of whole numbers
     */
    public function wholes(string $name): array
    {
        return array_map(
            fn (float $n): int => $n === floor($n) ? (int) $n : throw $this->bad($name, 'must be whole numbers.'),
            $this->numbers($name),
        );
    }

    public function object(string $name): ?self
    {
        $value = $this->values[$name] ?? null;
        if ($value === null) {
            return null;
        }

        return is_array($value) ? new self($value, $this->at($name)) : throw $this->bad($name, 'must be an object.');
    }

    /** @return list<Fields> */
    public function objects(string $name): array
    {
        $value = $this->values[$name] ?? [];
        if (! is_array($value)) {
            throw $this->bad($name, 'must be a list.');
        }
        $fields = [];
        foreach (array_values($value) as $i => $entry) {
            if (! is_array($entry)) {
                throw $this->bad("{$name}.{$i}", 'must be an object.');
            }
            $fields[] = new self($entry, $this->at("{$name}.{$i}"));
        }

        return $fields;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    public function choice(string $name, string $enum): \BackedEnum
    {
        return $enum::tryFrom($this->text($name)) ??
            throw $this->bad(
                $name,
                'must be one of: '.
                    implode(', ', array_map(static fn (\BackedEnum $c): string => (string) $c->value, $enum::cases())).
                    '.',
            );
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return ?T
     */
    public function choiceOrNull(string $name, string $enum): ?\BackedEnum
    {
        return ($this->values[$name] ?? null) === null ? null : $this->choice($name, $enum);
    }

    /** @return array<string, string> an object of texts */
    public function textMap(string $name): array
    {
        $value = $this->values[$name] ?? [];
        $value = $value instanceof \stdClass ? (array) $value : $value;
        if (! is_array($value)) {
            throw $this->bad($name, 'must be an object of texts.');
        }
        $map = [];
        foreach ($value as $key => $text) {
            $map[(string) $key] = is_string($text) ? $text : throw $this->bad("{$name}.{$key}", 'must be text.');
        }

        return $map;
    }

    public function length(string $name, bool $signed = false, bool $reading = false): TypedLength
    {
        return $this->lengthOrNull($name, $signed, $reading) ?? throw $this->bad($name, 'is missing.');
    }

    /** @return list<TypedLength> */
    public function lengths(string $name, bool $reading = false): array
    {
        $value = $this->values[$name] ?? [];
        if (! is_array($value)) {
            throw $this->bad($name, 'must be a list.');
        }
        $each = new self(array_values($value), $this->at($name));

        return array_map(
            static fn (int $i): TypedLength => $each->length((string) $i, reading: $reading),
            array_keys(array_values($value)),
        );
    }

    /**
     * What was typed decides; a canonical value beside it that says otherwise is refused, never believed.
     *
     * @param  bool  $reading  what only a reading is typed as is taken too: two pins, a comparison
     */
    public function lengthOrNull(string $name, bool $signed = false, bool $reading = false): ?TypedLength
    {
        $fields = $this->object($name);
        if ($fields === null) {
            return null;
        }
        try {
            [$typed, $unit] = [$fields->text('typed'), $fields->choice('unit', Unit::class)];
            $length = $reading ? ReadingReader::read($typed, $unit) : LengthReader::read($typed, $unit, $signed);
        } catch (BadInput $bad) {
            throw $bad->field === 'text' ? $bad->about($this->at($name)) : $bad;
        }
        $mm = $fields->numberOrNull('mm');
        if ($mm !== null && abs($mm - $length->length->mm) > 1e-6) {
            throw $this->bad(
                $name,
                "says {$length->typed} {$length->unit->value} and {$mm} mm, which are not the same size. Mend the file: one of them was changed by hand.",
            );
        }

        return $length;
    }

    public function bad(string $name, string $rest): BadInput
    {
        return new BadInput('bad-field', $this->at($name), "“{$this->at($name)}” {$rest}");
    }

    private function at(string $name): string
    {
        return $this->path === '' ? $name : "{$this->path}.{$name}";
    }
}
