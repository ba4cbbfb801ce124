<?php

declare(strict_types=1);

namespace Oldpart\Core\Tables;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Bearing;
use Oldpart\Core\Catalogue\Bearings;
use Oldpart\Core\Fit\BearingTable;
use Oldpart\Core\Quantity\LengthWriter;

/** A bearing by its stamp, or by what was measured of it. */
final class BearingLookup
{
    /** A worn or dirty bearing measured by calliper may be so far off, mm. Common practice. */
    private const WITHIN_MM = 0.15;

    private const MOST = 8;

    /**
     * @return array<string, mixed>
     *
     * @throws BadInput for a stamp the table has not
     */
    public static function stamped(string $designation): array
    {
        return ['bearings' => [self::shown(Bearings::named($designation))], 'notes' => []];
    }

    /**
     * @return array<string, mixed>
     *
     * @throws BadInput when nothing is given to find it by
     */
    public static function like(?float $boreMm, ?float $outsideMm, ?float $widthMm): array
    {
        $found = Bearings::like($boreMm, $outsideMm, $widthMm, self::WITHIN_MM);
        $notes = [];
        if ($found === []) {
            $notes[] = Note::caution(
                'none-like-it',
                Say::with(
                    'No bearing of the table is within {d} of these sizes. Measure again, clean; or it is a special, or of a series not carried here.',
                    ['d' => LengthWriter::difference(self::WITHIN_MM)],
                ),
            );
        } elseif (count($found) > self::MOST) {
            $notes[] = Note::info('more', 'More would do: give one more of bore, outside and width.');
        }

        return ['bearings' => array_map(self::shown(...), array_slice($found, 0, self::MOST)), 'notes' => $notes];
    }

    /** @return array<string, mixed> */
    private static function shown(Bearing $bearing): array
    {
        return [
            'designation' => $bearing->designation,
            'series' => $bearing->series,
            'sizes' => Say::with('{b} × {o} × {w}', [
                'b' => LengthWriter::size($bearing->boreMm),
                'o' => LengthWriter::size($bearing->outsideMm),
                'w' => LengthWriter::size($bearing->widthMm),
            ]),
            'shoulder' => BearingTable::shoulderInWords($bearing),
        ];
    }
}
