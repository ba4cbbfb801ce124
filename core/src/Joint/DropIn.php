<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Number\Bisection;

/** A hot ring over a cold core, carried through the shop: how the gap closes, and how long there is. */
final readonly class DropIn
{
    /** Longer than this nobody carries a part, s. */
    private const LONGEST_S = 7200.0;

    /**
     * @param  float  $diameterMm  of the joint at 20 °C, above 0
     * @param  float  $interferenceMm  at 20 °C, at the tight end
     * @param  float  $roomC  of the air
     * @param  float  $h  W/m²K in the air, the same for both; above 0
     */
    public function __construct(
        private float $diameterMm,
        private float $interferenceMm,
        public Body $inner,
        public Body $outer,
        private float $roomC,
        private float $h = 10.0,
    ) {
        if (! is_finite($diameterMm) || $diameterMm <= 0 || ! is_finite($h) || $h <= 0) {
            throw new BadInput(
                'out-of-range',
                $h <= 0 ? 'h' : 'd_mm',
                'Diameter and heat transfer must be above zero.',
            );
        }
    }

    /** The gap after so many seconds in the air, mm on diameter; below zero it grips. Lumped cooling of both parts. */
    public function gapAfter(float $seconds): float
    {
        $outer = Expansion::strain(
            (float) $this->outer->material->alphaPerK,
            $this->outer->celsiusAfter($seconds, $this->roomC, $this->h),
        );
        $inner = Expansion::strain(
            (float) $this->inner->material->alphaPerK,
            $this->inner->celsiusAfter($seconds, $this->roomC, $this->h),
        );

        return $this->diameterMm * ($outer - $inner) - $this->interferenceMm;
    }

    /**
     * How long until the gap has fallen to a value, s: 0 where it is not there to begin with, null where it stays open.
     *
     * @param  float  $gapMm  0: until it grips
     */
    public function secondsUntil(float $gapMm = 0.0): ?float
    {
        if ($this->gapAfter(0.0) <= $gapMm) {
            return 0.0;
        }
        $high = 1.0;
        while ($this->gapAfter($high) > $gapMm) {
            $high *= 2;
            if ($high > self::LONGEST_S) {
                return null;
            }
        }

        return Bisection::between(fn (float $s): bool => $this->gapAfter($s) > $gapMm, 0.0, $high)[1];
    }

    /** @return list<array{float, float}> the gap over time, s and mm, to a little past where it grips */
    public function curve(int $points = 40): array
    {
        $end = 1.3 * ($this->secondsUntil() ?? 600.0);
        $end = $end > 0 ? $end : 60.0;

        return array_map(
            fn (int $i): array => [($end * $i) / $points, $this->gapAfter(($end * $i) / $points)],
            range(0, $points),
        );
    }
}
