<?php

declare(strict_types=1);

namespace Oldpart\Core\Shaft;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Range;

/** A solid round shaft pressed straight between two blocks; mm, N. */
final readonly class Straightening
{
    /**
     * A solid round carries so much more once all of it yields than when its skin does. Source: plastic section
     * modulus.
     */
    private const FULL = 16 / (3 * M_PI);

    /** How far it bends until its skin yields: σ L²/(6 E D). Source: beam of three points, strength of materials. */
    public float $yieldsAtMm;

    public Range $springbackMm;

    public Range $travelMm;

    /** To first yield, and to full. */
    public Range $forceN;

    /** @throws BadInput for sizes no shaft has */
    public function __construct(float $diameterMm, float $spanMm, float $bowMm, float $eGpa, float $yieldMpa)
    {
        foreach (
            [
                'diameter_mm' => $diameterMm,
                'span_mm' => $spanMm,
                'e_gpa' => $eGpa,
                'yield_mpa' => $yieldMpa,
            ] as $field => $value
        ) {
            if (! ($value > 0)) {
                throw new BadInput('size', $field, 'Diameter, span, stiffness and yield must be above zero.');
            }
        }
        if (! ($bowMm >= 0)) {
            throw new BadInput('bow', 'bow_mm', 'The bow is zero or more: half of the full reading of the indicator.');
        }
        $this->yieldsAtMm = ($yieldMpa * $spanMm ** 2) / (6 * 1000 * $eGpa * $diameterMm);
        $this->springbackMm = new Range($this->yieldsAtMm, self::FULL * $this->yieldsAtMm);
        $this->travelMm = new Range($bowMm + $this->springbackMm->min, $bowMm + $this->springbackMm->max);
        $first = (M_PI * $yieldMpa * $diameterMm ** 3) / (8 * $spanMm);
        $this->forceN = new Range($first, self::FULL * $first);
    }
}
