<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\BadInput;

/** The round stock that a batch is cut from; mm, kg. Common practice. */
final readonly class Blank
{
    /** More than the finished part, on the diameter of what is turned from it. Common practice. */
    public const ROUGH_MM = 2.0;

    /** Of each piece: what the saw or the parting tool takes. */
    private const KERF_MM = 4.0;

    /** Where each is sawn off by itself. */
    public float $sawnMm;

    /** The bar for all of them, each sawn off by itself. */
    public float $oneByOneMm;

    /** The bar for all of them, fed through the spindle and held by one end that is left over. */
    public float $throughMm;

    /**
     * @param  float  $acrossMm  of the stock
     * @param  float  $longMm  of a finished piece
     * @param  float  $facingMm  at either face
     * @param  int  $pieces  1 or more
     *
     * @throws BadInput for a piece of nothing
     */
    public function __construct(
        private float $acrossMm,
        float $longMm,
        float $facingMm,
        public int $pieces,
    ) {
        if (! ($acrossMm > 0) || ! ($longMm > 0) || $pieces < 1) {
            throw new BadInput('blank', 'long_mm', 'A blank is of something, and for one piece at least.');
        }
        $each = $longMm + 2 * $facingMm + self::KERF_MM;
        $grip = LatheReach::gripMm($acrossMm);
        $this->sawnMm = $each + $grip;
        $this->oneByOneMm = $pieces * ($this->sawnMm + self::KERF_MM);
        $this->throughMm = $pieces * $each + $grip;
    }

    /** What so much of the bar weighs. */
    public function massKg(float $barMm, float $densityKgM3): float
    {
        return M_PI / 4 * $this->acrossMm ** 2 * $barMm * $densityKgM3 * 1e-9;
    }
}
