<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Unit;

/** Places of holes out of a file of another program: DXF, where circles and points are holes, or a table of x and y. */
final class PointsIn
{
    public const MAX_POINTS = 2000;

    /** INSUNITS of a DXF; 0 says nothing. */
    private const UNITS = ['1' => Unit::Inch, '4' => Unit::Millimetre];

    /** The third of what stands upright on a drawing: below zero, and it is seen from behind. */
    private const UPRIGHT = 230;

    /**
     * @param  Unit  $unit  where the file does not say
     * @return array{points: list<array{x: float, y: float, diameter: ?float}>, refused: list<array{line: int, says: string}>, unit: Unit, said: bool, others: int, numbered: bool} mm; `numbered`: a first column was taken for the names of the holes; `said`: the file says its unit; `others`: what is drawn besides
     *
     * @throws BadInput for a file that holds no places
     */
    public static function read(string $text, Unit $unit): array
    {
        $text = str_replace(["\r\n", "\r"], "\n", preg_replace('/^\xEF\xBB\xBF/', '', $text) ?? $text);
        $found = preg_match('/^\s*(999\n|0\nSECTION\n)/', $text) === 1 || str_contains($text, "\nENTITIES\n")
            ? self::dxf($text, $unit)
            : self::table($text, $unit);
        if ($found['points'] === []) {
            throw new BadInput('no-points', 'text', $found['refused'] === []
                ? 'There are no places in this file: it wants circles or points (DXF), or rows of x and y (CSV).'
                : 'No row of it could be read. Line '.$found['refused'][0]['line'].': '.$found['refused'][0]['says']);
        }
        if (count($found['points']) > self::MAX_POINTS) {
            throw new BadInput('too-many', 'text', 'There are over '.self::MAX_POINTS.' places in it: leave out what is none of the pattern.');
        }

        return $found;
    }

    /** @return array{points: list<array{x: float, y: float, diameter: ?float}>, refused: list<array{line: int, says: string}>, unit: Unit, said: bool, others: int, numbered: bool} */
    private static function table(string $text, Unit $unit): array
    {
        $table = PointsTable::of($text);
        $at = $table->columns;
        [$points, $refused, $said] = [[], [], null];
        foreach ($table->rows as $line => $cells) {
            try {
                $of = Unit::tryFrom(strtolower($cells[$at['unit'] ?? -1] ?? ''));
                $said ??= $of;
                $mm = static fn (string $what): float => LengthReader::read(
                    $cells[$at[$what]] ?? throw new BadInput('cells', 'text', 'it has one value; x and y are wanted.'),
                    $of ?? $unit,
                    signed: true,
                )->length->mm;
                $points[] = [
                    'x' => $mm('x'),
                    'y' => $mm('y'),
                    'diameter' => ($cells[$at['diameter'] ?? -1] ?? '') === '' ? null : $mm('diameter'),
                ];
            } catch (BadInput $bad) {
                $refused[] = ['line' => $line, 'says' => $bad->getMessage()];
            }
        }

        return [
            'points' => $points,
            'refused' => $refused,
            'unit' => $said ?? $unit,
            'said' => $said !== null,
            'others' => 0,
            'numbered' => $table->numbered,
        ];
    }

    /** @return array{points: list<array{x: float, y: float, diameter: ?float}>, refused: list<array{line: int, says: string}>, unit: Unit, said: bool, others: int, numbered: bool} */
    private static function dxf(string $text, Unit $unit): array
    {
        $lines = explode("\n", $text);
        $code = preg_match('/\$INSUNITS\n\s*70\n\s*(\d+)/', $text, $m) === 1 ? $m[1] : '0';
        $said = self::UNITS[$code] ?? null;
        if ($said === null && $code !== '0') {
            throw new BadInput('dxf-unit', 'text', "The drawing is in a unit that is neither millimetres nor inches (INSUNITS {$code}). Save it in one of these, and take it in again.");
        }
        $unit = $said ?? $unit;
        [$points, $refused, $others, $per] = [[], [], 0, $unit->inMm()];
        foreach (self::entities($lines) as ['type' => $type, 'line' => $line, 'values' => $values]) {
            [$x, $y, $radius] = [$values[10] ?? null, $values[20] ?? null, $values[40] ?? null];
            if ($type !== 'CIRCLE' && $type !== 'POINT') {
                $others++;
            } elseif ($x === null || $y === null || ! is_finite($x) || ! is_finite($y)) {
                $refused[] = ['line' => $line, 'says' => "{$type} without a place."];
            } else {
                $points[] = [
                    'x' => ($values[self::UPRIGHT] ?? 1.0) < 0 ? -$x * $per : $x * $per,
                    'y' => $y * $per,
                    'diameter' => $type === 'CIRCLE' && $radius !== null ? 2 * $radius * $per : null,
                ];
            }
        }

        return [
            'points' => $points,
            'refused' => $refused,
            'unit' => $unit,
            'said' => $said !== null,
            'others' => $others,
            'numbered' => false,
        ];
    }

    /**
     * What is drawn: pairs of lines, a code and its value; code 0 begins the next thing.
     *
     * @param  list<string>  $lines
     * @return list<array{type: string, line: int, values: array<int, float>}>
     */
    private static function entities(array $lines): array
    {
        $entities = [];
        $section = $type = '';
        /** @var array<int, float> $values */
        [$line, $values] = [0, []];
        for ($i = 0; $i + 1 < count($lines); $i += 2) {
            [$code, $value] = [(int) trim($lines[$i]), trim($lines[$i + 1])];
            if ($code === 0) {
                if ($section === 'ENTITIES' && $line > 0) {
                    $entities[] = ['type' => $type, 'line' => $line, 'values' => $values];
                }
                $section = $value === 'ENDSEC' ? '' : $section;
                [$type, $line, $values] = [$value, $section === 'ENTITIES' ? $i + 1 : 0, []];
            } elseif ($code === 2 && $type === 'SECTION') {
                $section = $value;
            } elseif (
                in_array($code, [10, 20, 40, self::UPRIGHT], true) && is_numeric($value) && ! isset($values[$code])
            ) {
                $values[$code] = (float) $value;
            }
        }

        return $entities;
    }
}
