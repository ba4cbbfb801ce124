<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Taper\Taper;

/** A taper as the sums take it: by its angle, by so much per foot, by one in so many, or by its sizes. */
final class TaperInput
{
    private const ANGLES = ['included_deg', 'per_foot_in', 'ratio'];

    /** Null where none of the three is given. */
    public static function angle(Fields $in): ?Taper
    {
        $given = array_values(array_filter(self::ANGLES, $in->has(...)));
        if (count($given) > 1) {
            throw $in->bad($given[1], "says the same as {$given[0]} another way. Give one of them.");
        }

        return match ($given[0] ?? null) {
            'included_deg' => Taper::included($in->number('included_deg')),
            'per_foot_in' => Taper::perFoot($in->number('per_foot_in')),
            'ratio' => Taper::oneIn($in->number('ratio')),
            default => null,
        };
    }

    public static function read(Fields $in): Taper
    {
        $sizes = [$in->numberOrNull('large_mm'), $in->numberOrNull('small_mm'), $in->numberOrNull('length_mm')];
        $angle = self::angle($in);
        if ($angle === null) {
            if ($sizes[0] === null || $sizes[1] === null || $sizes[2] === null) {
                throw self::missing($in);
            }

            return Taper::between($sizes[0], $sizes[1], $sizes[2]);
        }
        if ($sizes[0] !== null && $sizes[1] !== null && $sizes[2] !== null) {
            throw $in->bad('length_mm', 'is one too many: with an angle, two of the three sizes are enough.');
        }

        return $angle->sized(...$sizes);
    }

    public static function missing(Fields $in): BadInput
    {
        return $in->bad('included_deg', 'is missing: say the angle, or per_foot_in, or ratio, or both diameters and the length.');
    }
}
