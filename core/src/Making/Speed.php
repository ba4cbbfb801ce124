<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\BadInput;

/** Turns of a spindle for a surface speed, and the feed of a cutter. Source: definition. */
final readonly class Speed
{
    public float $rpm;

    public ?float $feedMmMin;

    /** @throws BadInput for a diameter or a speed of nothing */
    public function __construct(float $diameterMm, float $surfaceMMin, ?int $teeth, ?float $feedPerToothMm)
    {
        if (! ($diameterMm > 0) || ! ($surfaceMMin > 0)) {
            throw new BadInput('speed', 'diameter_mm', 'Diameter and surface speed must be above zero.');
        }
        if (($teeth !== null && $teeth < 1) || ($feedPerToothMm !== null && ! ($feedPerToothMm > 0))) {
            throw new BadInput('feed', 'feed_per_tooth_mm', 'A cutter has one tooth at least, and its feed is above zero.');
        }
        $this->rpm = (1000 * $surfaceMMin) / (M_PI * $diameterMm);
        $this->feedMmMin = $teeth === null || $feedPerToothMm === null ? null : $this->rpm * $teeth * $feedPerToothMm;
    }
}
