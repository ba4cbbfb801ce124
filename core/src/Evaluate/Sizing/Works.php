<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Quantity\Range;

/** Within which clearance a joint of a job works, though its fit may ask for less. */
final class Works
{
    /** A bearing's seat still serves by so much of its width beyond each end. */
    private const SEAT_GIVES = 0.2;

    /**
     * Limits that were typed are those it has to be within, and so are those of a length; a bearing's seat serves a
     * fifth of its width beyond each end; the rest as data/purposes.json says. Null where nothing is said, or it would
     * be more than half the part. Common practice, no source.
     *
     * @param  float  $sizeMm  about the size of the two, above 0
     * @param  Range  $wanted  clearance asked for, mm
     * @param  bool  $typed  the person said the limits
     */
    public static function of(Purpose $purpose, float $sizeMm, Range $wanted, bool $typed): ?Range
    {
        $give = self::SEAT_GIVES * $wanted->width();
        $works = match (true) {
            // Of a length nothing says more than what was asked for.
            $typed, $purpose->isLength => $wanted,
            $purpose->seat !== null => new Range($wanted->min - $give, $wanted->max + $give),
            default => $purpose->worksWithin($sizeMm),
        };

        return $works === null || $works->min >= $sizeMm / 2 ? null : $works;
    }
}
