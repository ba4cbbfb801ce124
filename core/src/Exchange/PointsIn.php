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

    /**
     * What unit a DXF says it is in; null where it says none.
     *
     * @throws BadInput for one in another unit
     */
    public static function unitOf(string $text): ?Unit
    {
        $code = preg_match('/\$INSUNITS\n\s*70\n\s*(\d+)/', $text, $m) === 1 ? $m[1] : '0';
        $said = self::UNITS[$code] ?? null;
        if ($said === null && $code !== '0') {
            throw new BadInput('dxf-unit', 'text', "The drawing is in a unit that is neither millimetres nor inches (INSUNITS {$code}). Save it in one of these, and take it in again.");
        }

        return $said;
    }

    /** @return array{points: list<array{x: float, y: float, diameter: ?float}>, refused: list<array{line: int, says: string}>, unit: Unit, said: bool, others: int, numbered: bool} */
    private static function dxf(string $text, Unit $unit): array
    {
        $said = self::unitOf($text);
        $unit = $said ?? $unit;
        [$points, $refused, $others, $per] = [[], [], 0, $unit->inMm()];
        foreach (DxfThing::all($text) as $thing) {
            [$x, $y, $radius] = [$thing->first(10), $thing->first(20), $thing->first(40)];
            if ($thing->type !== 'CIRCLE' && $thing->type !== 'POINT') {
                $others++;
            } elseif ($x === null || $y === null) {
                $refused[] = ['line' => $thing->line, 'says' => "{$thing->type} without a place."];
            } else {
                $points[] = [
                    'x' => ($thing->first(self::UPRIGHT) ?? 1.0) < 0 ? -$x * $per : $x * $per,
                    'y' => $y * $per,
                    'diameter' => $thing->type === 'CIRCLE' && $radius !== null ? 2 * $radius * $per : null,
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
}
