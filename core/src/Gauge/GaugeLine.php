<?php

declare(strict_types=1);

namespace Oldpart\Core\Gauge;

use Oldpart\Core\Quantity\Length;
use Oldpart\Core\Quantity\Unit;

/** One reading as a gauge sends it: the text of the line, and the length or temperature in it. */
final readonly class GaugeLine
{
    private function __construct(
        public string $text,
        public ?Length $length,
        public ?float $celsius,
        public ?string $typed,
        public ?Unit $unit,
    ) {
    }

    /**
     * Reads a line of the common form: perhaps a few letters, a sign, digits with a point or comma, perhaps a unit
     * (`+00027.412 mm`, `01A+1.12470in`, `DIA 28,567`, `+0018.5 C`). Null for a line without a reading.
     *
     * @param  Unit  $unit  what a line without a unit means
     */
    public static function read(string $line, Unit $unit): ?self
    {
        $clean = trim($line);
        if (
            strlen($clean) > 80
            || preg_match(
                '/^(?:[A-Za-z0-9]{0,8}[A-Za-z][ :=]*)?([+-]?)\s*(\d{1,8}(?:[.,]\d{1,8})?)\s*(mm|in|inch|"|C|°C)?$/u',
                $clean,
                $m,
            ) !== 1
        ) {
            return null;
        }
        // A bare whole number after a word is a fault code or a count, never a reading.
        if (
            preg_match('/^(err|e\d|low|bat)/i', $clean) === 1
            || (! str_contains(str_replace(',', '.', $m[2]), '.') && ($m[3] ?? '') === '')
        ) {
            return null;
        }
        $number = str_replace(',', '.', $m[2]);
        $value = (float) $number * ($m[1] === '-' ? -1 : 1);
        $suffix = $m[3] ?? '';
        if ($suffix === 'C' || $suffix === '°C') {
            return new self($clean, null, $value, null, null);
        }
        $in = match ($suffix) {
            'mm' => Unit::Millimetre,
            'in', 'inch', '"' => Unit::Inch,
            default => $unit,
        };
        $typed = ($m[1] === '-' ? '-' : '').preg_replace('/^0+(?=\d)/', '', $number);

        return new self($clean, $in === Unit::Inch ? Length::inches($value) : Length::mm($value), null, $typed, $in);
    }
}
