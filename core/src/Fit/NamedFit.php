<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Range;

/** A fit by its name at a size: `H7/p6` of ISO 286, `FN2` of ANSI B4.1. */
final readonly class NamedFit
{
    private function __construct(
        public School $school,
        public string $label,
        public float $sizeMm,
        public Limits $hole,
        public Limits $shaft,
        public string $source,
    ) {
    }

    /** @throws BadInput for a class the standard does not give at the size */
    public static function iso(float $sizeMm, string $hole, string $shaft): self
    {
        return new self(
            school: School::Iso,
            label: "{$hole}/{$shaft}",
            sizeMm: $sizeMm,
            hole: Iso286::hole($sizeMm, $hole),
            shaft: Iso286::shaft($sizeMm, $shaft),
            source: 'ISO 286-2:2010',
        );
    }

    /** @throws BadInput for a class the table does not carry at the size */
    public static function inch(float $sizeMm, string $class): self
    {
        $fit = InchFit::of($sizeMm, $class);

        return new self(
            school: School::Inch,
            label: $class,
            sizeMm: $sizeMm,
            hole: $fit->hole,
            shaft: $fit->shaft,
            source: 'ANSI B4.1-1967 (R2009)',
        );
    }

    /**
     * By what is typed: `H7/p6`, `H7 p6`, `fn2`.
     *
     * @throws BadInput when it is no fit, or none at that size
     */
    public static function named(float $sizeMm, string $name, string $field = 'fit'): self
    {
        $clean = trim($name);
        if (preg_match('~^([A-Z]{1,2}\d{1,2})\s*[/ ]\s*([a-z]{1,2}\d{1,2})$~', $clean, $m) === 1) {
            return self::iso($sizeMm, $m[1], $m[2]);
        }
        if (preg_match('/^(RC|LC|LT|LN|FN)\s*(\d{1,2})$/i', $clean, $m) === 1) {
            return self::inch($sizeMm, strtoupper($m[1]).$m[2]);
        }
        throw new BadInput('no-fit', $field, "“{$name}” is no fit. Write it like H7/p6, hole first, or FN2.");
    }

    /** In mm: positive for a gap, negative for interference. */
    public function clearance(): Range
    {
        return $this->hole->clearance($this->shaft);
    }
}
