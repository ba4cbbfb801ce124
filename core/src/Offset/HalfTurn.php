<?php

declare(strict_types=1);

namespace Oldpart\Core\Offset;

use Oldpart\Core\Advice\BadInput;

/** Two bores cut at one setting of the slide, the fixture turned half round between them; mm. Source: geometry. */
final readonly class HalfTurn
{
    /** The slide from the middle of the turn. */
    public float $offsetMm;

    /** @throws BadInput for bores that are one */
    public function __construct(float $spacingMm)
    {
        if (! ($spacingMm > 0)) {
            throw new BadInput('spacing', 'spacing_mm', 'The two bores have to be apart.');
        }
        $this->offsetMm = $spacingMm / 2;
    }

    public function spacingOffMm(float $slideMm): float
    {
        return 2 * $slideMm;
    }

    /** Over the length of the bores. */
    public function parallelOffMm(float $indexDeg, float $lengthMm): float
    {
        return $lengthMm * tan(deg2rad(abs($indexDeg)));
    }
}
