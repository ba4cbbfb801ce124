<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Range;

/** Inch fits by class, above 0 to 19.69 in. Source: ANSI B4.1-1967 (R2009) (data/ansi-b4-1.json). */
final readonly class InchFit
{
    private function __construct(public Limits $hole, public Limits $shaft)
    {
    }

    /**
     * @param  float  $sizeMm  nominal size, mm
     * @param  string  $class  such as `LN2`
     *
     * @throws BadInput for a size outside the table or a class it does not carry
     */
    public static function of(float $sizeMm, string $class): self
    {
        /** @var array<string, list<array{float, float, float, float, float, float}>> $classes */
        $classes = Table::read('ansi-b4-1')['classes'];
        $rows =
            $classes[$class] ??
            throw new BadInput(
                'class',
                'class',
                "“{$class}” is not carried here: ".implode(', ', array_keys($classes)).' are.',
            );
        $inches = $sizeMm / 25.4;
        foreach ($rows as [$over, $to, $holeUpper, $holeLower, $shaftUpper, $shaftLower]) {
            // An inch size came through millimetres: its end may be off by a rounding.
            if ($inches > $over + 1e-9 && $inches <= $to + 1e-9) {
                return new self(
                    new Limits($holeUpper * 0.0254, $holeLower * 0.0254),
                    new Limits($shaftUpper * 0.0254, $shaftLower * 0.0254),
                );
            }
        }
        throw $inches > 0 && $inches <= $rows[0][0]
            ? new BadInput(
                'size',
                'size_in',
                "{$class} begins above {$rows[0][0]} in. Below it take the class before it.",
            )
            : new BadInput(
                'size',
                'size_in',
                'The inch table runs from above 0 to 19.69 in. Check the size and its unit.',
            );
    }

    /** @return list<string> all classes, in the table's order */
    public static function classes(): array
    {
        /** @var array<string, mixed> $classes */
        $classes = Table::read('ansi-b4-1')['classes'];

        return array_keys($classes);
    }

    /** @param  float  $sizeMm  nominal size, mm */
    public static function covers(float $sizeMm, string $class): bool
    {
        /** @var array<string, list<array{float, float}>> $classes */
        $classes = Table::read('ansi-b4-1')['classes'];
        $rows = $classes[$class] ?? [];

        return $rows !== [] && $sizeMm / 25.4 > $rows[0][0] && $sizeMm / 25.4 <= $rows[count($rows) - 1][1];
    }

    /** In mm: positive for a gap, negative for interference. */
    public function clearance(): Range
    {
        return $this->hole->clearance($this->shaft);
    }
}
