<?php

declare(strict_types=1);

namespace Oldpart\Core\Pattern;

use Oldpart\Core\Advice\BadInput;

/** Balls evenly round a pitch circle, with a web of the cage between any two; mm. */
final readonly class Cage
{
    public int $balls;

    public float $gapMm;

    /** @throws BadInput where not even two go on it */
    public function __construct(float $pitchCircleMm, float $ballMm, float $webMm)
    {
        foreach (['pitch_circle_mm' => $pitchCircleMm, 'ball_mm' => $ballMm] as $field => $mm) {
            if (! ($mm > 0)) {
                throw new BadInput('size', $field, 'The pitch circle and the balls must be above zero.');
            }
        }
        if (! ($webMm >= 0) || $ballMm + $webMm > $pitchCircleMm) {
            throw new BadInput('web', 'web_mm', 'Ball and web have to fit on the pitch circle twice: take smaller balls or a larger circle.');
        }
        $this->balls = (int) floor(M_PI / asin(($ballMm + $webMm) / $pitchCircleMm) + 1e-9);
        $this->gapMm = $pitchCircleMm * sin(M_PI / $this->balls) - $ballMm;
    }
}
