<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Number\Normal;

/**
 * The interference of a part made anywhere in its band with equal chance, in a mate measured with a normal doubt: a
 * uniform and a normal added, whose distribution is exact (elementary probability: the uniform's edge integrated over
 * the normal).
 */
final readonly class Chance
{
    /**
     * @param  float  $lowMm  interference at the loose end of the band, were the mate just as measured
     * @param  float  $highMm  at the tight end; not below low
     * @param  float  $sigmaMm  standard uncertainty of the mate, 0 or more
     */
    public function __construct(private float $lowMm, private float $highMm, private float $sigmaMm)
    {
        if (! is_finite($lowMm) || ! is_finite($highMm) || $highMm < $lowMm || ! is_finite($sigmaMm) || $sigmaMm < 0) {
            throw new BadInput(
                'out-of-range',
                'interference_mm',
                'The interference runs from its loose to its tight end, with a doubt of zero or more.',
            );
        }
    }

    /** The chance that the interference is below x, 0 to 1. */
    public function below(float $x): float
    {
        $width = $this->highMm - $this->lowMm;
        if ($this->sigmaMm <= 0) {
            return $width <= 0 ? ($x > $this->lowMm ? 1.0 : 0.0) : min(1.0, max(0.0, ($x - $this->lowMm) / $width));
        }
        if ($width < 1e-9 * max(1.0, $this->sigmaMm)) {
            return Normal::below(($x - $this->lowMm) / $this->sigmaMm);
        }
        // ∫ Φ((x − u)/σ) du over the band: G(z) = z Φ(z) + φ(z), differenced.
        $g = static fn (float $z): float => $z * Normal::below($z) + exp((-$z * $z) / 2) / sqrt(2 * M_PI);

        return min(
            1.0,
            max(
                0.0,
                ($this->sigmaMm / $width) *
                    ($g(($x - $this->lowMm) / $this->sigmaMm) - $g(($x - $this->highMm) / $this->sigmaMm)),
            ),
        );
    }
}
