<?php

declare(strict_types=1);

namespace Oldpart\Core\Offset;

use Oldpart\Core\Advice\BadInput;

/** How high the centre of a bore lies, by a roller that rests in its bottom; mm. */
final class BoreCentre
{
    /**
     * Over the roller, less the roller, plus half of the bore. Source: geometry.
     *
     * @throws BadInput for a roller that does not go in
     */
    public static function mm(float $overRollerMm, float $rollerMm, float $boreMm): float
    {
        if (! ($rollerMm > 0) || ! ($rollerMm < $boreMm)) {
            throw new BadInput('roller', 'roller_mm', 'The roller must be above zero and go into the bore.');
        }

        return $overRollerMm - $rollerMm + $boreMm / 2;
    }

    /**
     * The same bore in two castings over one roller: how much higher the second centre lies.
     *
     * @throws BadInput for bores of nothing
     */
    public static function differenceMm(float $heightAMm, float $boreAMm, float $heightBMm, float $boreBMm): float
    {
        if (! ($boreAMm > 0) || ! ($boreBMm > 0)) {
            throw new BadInput('bore', $boreAMm > 0 ? 'bore_b_mm' : 'bore_a_mm', 'Both bores must be above zero.');
        }

        return $heightBMm + $boreBMm / 2 - ($heightAMm + $boreAMm / 2);
    }
}
