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
}
