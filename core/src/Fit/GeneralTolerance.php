<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;

/** What a size of which no limits are said may come out at. */
final class GeneralTolerance
{
    /**
     * Half of the tolerance, to be taken to either side, mm.
     *
     * @param  float  $sizeMm  nominal, from 0.5 to 4000; the first step's lower end belongs to it
     *
     * @throws BadInput where the table has none: limits are to be said there
     *
     * Source: ISO 2768-1:1989, table 1.
     */
    public static function half(float $sizeMm, GeneralClass $class): float
    {
        /** @var list<array{float, float, ?float, ?float, ?float, ?float}> $rows */
        $rows = Table::read('general-tolerances')['rows'];
        $column = 2 + (int) array_search($class, GeneralClass::cases(), true);
        foreach ($rows as $at => $row) {
            $inside = $sizeMm <= $row[1] && ($sizeMm > $row[0] || ($at === 0 && $sizeMm >= $row[0]));
            $half = $inside ? $row[$column] : null;
            if ($half !== null) {
                return (float) $half;
            }
        }
        throw new BadInput(
            'no-general-tolerance',
            'size',
            'The general tolerances give nothing for this size. Say its limits yourself.',
        );
    }
}
