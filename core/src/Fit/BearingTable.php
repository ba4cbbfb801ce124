<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Bearing;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/**
 * What a Normal-class bearing may differ from its boundary sizes, and the clearance in it. Sources: ISO 492:2014,
 * ISO 5753-1:2009, DIN 5418 (data/bearing-tolerances.json).
 */
final class BearingTable
{
    public const GROUPS = ['C2', 'CN', 'C3', 'C4', 'C5'];

    /**
     * The bore's mean diameter runs from this much under to zero, mm, above 0.6 to 500 mm; of an inch tapered one from
     * zero to over.
     */
    public static function bore(Bearing $bearing): Limits
    {
        if ($bearing->isAdjusted()) {
            return self::over('inch_tapered_bore_plus_um', $bearing->boreMm);
        }

        return self::under('bore_minus_um', $bearing->boreMm);
    }

    /**
     * The outside's mean diameter runs from this much under to zero, mm, to 500 mm; of an inch tapered one from zero to
     * over.
     */
    public static function outside(Bearing $bearing): Limits
    {
        if ($bearing->isAdjusted()) {
            return self::over('inch_tapered_outside_plus_um', $bearing->outsideMm);
        }

        return self::under('outside_minus_um', $bearing->outsideMm);
    }

    /** A single width, from this much under to zero, mm. */
    public static function width(Bearing $bearing): Limits
    {
        return self::under('width_minus_um', $bearing->boreMm);
    }

    /**
     * Radial internal clearance before it is fitted, mm; null where no group is given for its bore or kind.
     *
     * @param  string  $group  C2, CN, C3, C4 or C5
     */
    public static function clearance(Bearing $bearing, string $group = 'CN'): ?Range
    {
        $column = array_search($group, self::GROUPS, true);
        if ($column === false) {
            throw new BadInput('group', 'group', "“{$group}” is no clearance group: C2, CN, C3, C4 and C5 are.");
        }
        if (! $bearing->isBall()) {
            return null;
        }
        /**
         * @var array{rows: list<array{float, float, array{float, float}, array{float, float}, array{float, float}, array{float, float}, array{float, float}}>} $table
         */
        $table = Table::read('bearing-tolerances')['radial_clearance_um'];
        foreach ($table['rows'] as $row) {
            if ($bearing->boreMm > $row[0] && $bearing->boreMm <= $row[1]) {
                /** @var array{float, float} $um */
                $um = $row[2 + $column];

                return new Range($um[0] / 1000, $um[1] / 1000);
            }
        }

        return null;
    }

    /**
     * @return ?array{fillet_max_mm: float, shaft_shoulder_min_mm: float, housing_shoulder_max_mm: float} null where its chamfer is not known
     */
    public static function shoulder(Bearing $bearing): ?array
    {
        /** @var array{rows: list<array{float, float, float}>} $table */
        $table = Table::read('bearing-tolerances')['shoulder'];
        foreach ($table['rows'] as [$chamfer, $fillet, $height]) {
            if ($bearing->chamferMinMm !== null && abs($chamfer - $bearing->chamferMinMm) < 1e-9) {
                return [
                    'fillet_max_mm' => $fillet,
                    'shaft_shoulder_min_mm' => $bearing->boreMm + 2 * $height,
                    'housing_shoulder_max_mm' => $bearing->outsideMm - 2 * $height,
                ];
            }
        }

        return null;
    }

    /** The same in words; null where its chamfer is not known. */
    public static function shoulderInWords(Bearing $bearing): ?Say
    {
        $shoulder = self::shoulder($bearing);

        return $shoulder === null
            ? null
            : Say::with('shaft shoulder at least {s}, housing shoulder at most {h}, fillets at most {f}', [
                's' => LengthWriter::sizeInWords($shoulder['shaft_shoulder_min_mm']),
                'h' => LengthWriter::sizeInWords($shoulder['housing_shoulder_max_mm']),
                'f' => LengthWriter::sizeInWords($shoulder['fillet_max_mm']),
            ]);
    }

    private static function under(string $which, float $mm): Limits
    {
        return new Limits(0.0, -self::um($which, $mm) / 1000);
    }

    private static function over(string $which, float $mm): Limits
    {
        return new Limits(self::um($which, $mm) / 1000, 0.0);
    }

    private static function um(string $which, float $mm): float
    {
        /** @var list<array{float, float}> $rows */
        $rows = Table::read('bearing-tolerances')[$which];
        foreach ($rows as [$to, $um]) {
            if ($mm > 0 && $mm <= $to) {
                return $um;
            }
        }
        throw new BadInput('size', 'bore_mm', 'The bearing tables run to 500 mm. Check the size and its unit.');
    }
}
