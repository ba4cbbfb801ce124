<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Range;

/**
 * The force of the press seen at a depth, against what was to be expected there; and what it tells of the interference.
 */
final readonly class PressLog
{
    /** A press's gauge may be off by so much of what it shows. Common practice. */
    private const GAUGE = 0.1;

    /** Before so much of the depth nothing can be told: the lead-in still goes in. Common practice. */
    private const EARLY = 0.1;

    public function __construct(private Press $press)
    {
    }

    /**
     * From the low friction with the least pressure to the high friction with the greatest, rising straight with the
     * depth, widened by the gauge.
     *
     * @param  float  $depthMm  0 or more
     */
    public function expectedN(float $depthMm): Range
    {
        if (! is_finite($depthMm) || $depthMm < 0) {
            throw new BadInput('depth', 'depth', 'A depth is zero or more.');
        }
        $share = min(1.0, $depthMm / $this->press->fit->lengthMm);

        return new Range(
            $share * $this->press->pressForceLeastN * (1 - self::GAUGE),
            $share * $this->press->pressForceN * (1 + self::GAUGE),
        );
    }

    /** @return 'early'|'inside'|'over'|'under' */
    public function verdict(float $depthMm, float $forceN): string
    {
        $expected = $this->expectedN($depthMm);

        return match (true) {
            $forceN > $expected->max => 'over',
            $depthMm < self::EARLY * $this->press->fit->lengthMm => 'early',
            $forceN < $expected->min => 'under',
            default => 'inside',
        };
    }

    /**
     * The interference that a force at a depth is evidence of, mm: F = μ p π d L turned round, with the high friction
     * at its least and the low one at its most, the gauge's error in it; null too early to tell.
     */
    public function impliedMm(float $depthMm, float $forceN): ?Range
    {
        $fit = $this->press->fit;
        if ($depthMm < self::EARLY * $fit->lengthMm || $fit->friction->low <= 0) {
            return null;
        }
        $perMm = $this->press->stiffnessMpaMm * M_PI * $fit->diameterMm * min($depthMm, $fit->lengthMm);

        return new Range(
            ($forceN * (1 - self::GAUGE)) / ($fit->friction->high * $perMm),
            ($forceN * (1 + self::GAUGE)) / ($fit->friction->low * $perMm),
        );
    }
}
