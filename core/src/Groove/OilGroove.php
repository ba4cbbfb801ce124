<?php

declare(strict_types=1);

namespace Oldpart\Core\Groove;

use Oldpart\Core\Advice\BadInput;

/**
 * A groove along a plain bearing that spreads the oil, clear of where the load presses. Common practice: it stops short
 * of both ends, so that the oil is not let out, and lies a quarter turn and more away from the load.
 */
final readonly class OilGroove
{
    /** Shares of the bore. */
    private const WIDE = 0.12;

    private const DEEP = 0.03;

    public float $wideMm;

    public float $deepMm;

    /** Left whole at either end. */
    public float $landMm;

    public float $longMm;

    /** The hole that feeds it. */
    public float $holeMm;

    /** From the load, against the way the shaft turns: the oil is carried into the load. */
    public float $fromLoadDeg;

    /**
     * @param  float  $boreMm  above 0
     * @param  float  $lengthMm  of the bearing, above 0
     * @param  ?float  $wallMm  of the bush; null: not said
     * @param  bool  $bothWays  the shaft turns both ways, or the load swings
     *
     * @throws BadInput for a bearing of nothing, or a wall the groove would cut half through
     */
    public function __construct(float $boreMm, float $lengthMm, ?float $wallMm, bool $bothWays)
    {
        if (! ($boreMm > 0) || ! ($lengthMm > 0)) {
            throw new BadInput('bore', 'bore_mm', 'The bearing must be above zero in bore and length.');
        }
        $this->wideMm = min(8.0, max(1.5, self::WIDE * $boreMm));
        $deep = min(2.5, max(0.5, self::DEEP * $boreMm));
        if ($wallMm !== null && ! ($wallMm >= 1.0)) {
            throw new BadInput('wall', 'wall_mm', 'The wall is under a millimetre: cut no groove, feed the oil through a hole.');
        }
        $this->deepMm = $wallMm === null ? $deep : min($deep, 0.4 * $wallMm);
        $this->landMm = max(2.0, 0.12 * $lengthMm);
        $this->longMm = $lengthMm - 2 * $this->landMm;
        if (! ($this->longMm > $this->wideMm)) {
            throw new BadInput('length', 'length_mm', 'It is too short for a groove: a hole in its middle will do.');
        }
        $this->holeMm = max(2.0, 0.8 * $this->wideMm);
        $this->fromLoadDeg = $bothWays ? 180.0 : 110.0;
    }
}
