<?php

declare(strict_types=1);

namespace Oldpart\Core\Shaft;

use Oldpart\Core\Advice\BadInput;

/** A part that turns with its mass off its axis. Source: ISO 21940-11. */
final readonly class Balance
{
    public float $unbalanceGmm;

    public float $allowedUm;

    public float $forceN;

    /** Of the offset in what is allowed. */
    public float $ratio;

    /** @throws BadInput for a part that is none, or stands still */
    public function __construct(float $massKg, float $offsetMm, float $speedRpm, float $grade)
    {
        foreach (['mass_kg' => $massKg, 'speed_rpm' => $speedRpm, 'grade' => $grade] as $field => $value) {
            if (! ($value > 0)) {
                throw new BadInput('size', $field, 'Mass, speed and grade must be above zero: 6.3 for fans and pulleys, 2.5 for spindles.');
            }
        }
        if (! ($offsetMm >= 0)) {
            throw new BadInput('offset', 'offset_mm', 'The offset of the mass is zero or more: half of what an indicator reads.');
        }
        $omega = ($speedRpm * 2 * M_PI) / 60;
        $this->unbalanceGmm = 1000 * $massKg * $offsetMm;
        $this->allowedUm = (1000 * $grade) / $omega;
        $this->forceN = ($massKg * $offsetMm * $omega ** 2) / 1000;
        $this->ratio = (1000 * $offsetMm) / $this->allowedUm;
    }
}
