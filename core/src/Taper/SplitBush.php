<?php

declare(strict_types=1);

namespace Oldpart\Core\Taper;

use Oldpart\Core\Advice\BadInput;

/** A slit tapered bush: what closing it takes. Source: the round of a circle; one in n on diameter. */
final class SplitBush
{
    /**
     * By how much the slit closes round the bush, mm, for so much less diameter.
     *
     * @throws BadInput for a closing not above 0
     */
    public static function slotMm(float $closingMm): float
    {
        if (! ($closingMm > 0)) {
            throw new BadInput('closing', 'closing_mm', 'Say by how much it is to close, above zero.');
        }

        return M_PI * $closingMm;
    }

    /** How far it is drawn in for that, mm. */
    public static function drawInMm(float $closingMm, Taper $taper): float
    {
        return $closingMm * $taper->ratio();
    }
}
