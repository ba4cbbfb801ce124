<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Block;

use Oldpart\Core\Block\Drilling;
use Oldpart\Core\Block\Vector;
use PHPUnit\Framework\TestCase;

/** How near two drillings come, by hand: across, past an end, along each other, into each other. */
final class DrillingTest extends TestCase
{
    /**
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     */
    private static function drilling(array $from, array $to, float $diameter): Drilling
    {
        return new Drilling('d', new Vector(...$from), new Vector(...$to), $diameter);
    }

    public function test_by_hand(): void
    {
        $along = self::drilling([0, 0, 0], [60, 0, 0], 10.0);
        // Crossing 20 above it: less both radii.
        self::assertEqualsWithDelta(11.0, $along->gapMm(self::drilling([40, -30, 20], [40, 30, 20], 8.0)), 1e-6);
        // Beyond its flat end, which stands at 60: from there to the side at 71.
        self::assertEqualsWithDelta(11.0, $along->gapMm(self::drilling([75, -30, 0], [75, 30, 0], 8.0)), 1e-6);
        self::assertEqualsWithDelta(11.0, $along->gapMm(self::drilling([-15, -30, 0], [-15, 30, 0], 8.0)), 1e-6);
        // Beside each other.
        self::assertEqualsWithDelta(3.0, $along->gapMm(self::drilling([10, 12, 0], [50, 12, 0], 8.0)), 1e-6);
        // Into each other: both radii less the distance of the axes.
        self::assertEqualsWithDelta(-3.0, $along->gapMm(self::drilling([40, -30, 6], [40, 30, 6], 8.0)), 1e-6);
        // Its axis passes 2 beyond the end of the other's.
        self::assertEqualsWithDelta(-7.0, $along->gapMm(self::drilling([62, -30, 0], [62, 30, 0], 8.0)), 1e-6);
        // Aslant at 20° and 5 above, over it far from its middle: 6 and 6 of radius overlap by 7; 15 above there are 3 between.
        $wide = self::drilling([0, 0, 0], [100, 0, 0], 12.0);
        foreach ([5.0 => -7.0, 15.0 => 3.0] as $over => $gap) {
            $aslant = self::drilling([20 - 40 * cos(deg2rad(20)), -40 * sin(deg2rad(20)), $over], [20 + 60 * cos(deg2rad(20)), 60 * sin(deg2rad(20)), $over], 12.0);
            self::assertEqualsWithDelta($gap, $wide->gapMm($aslant), 1e-5);
            self::assertEqualsWithDelta($gap, $aslant->gapMm($wide), 1e-5);
        }
        // Whichever is asked.
        self::assertEqualsWithDelta(-7.0, self::drilling([62, -30, 0], [62, 30, 0], 8.0)->gapMm($along), 1e-6);
    }

    /**
     * Almost in line: at 0.2° two drillings creep towards each other, and what is between them is still the height of
     * one over the other, since both cross far from their ends.
     */
    public function test_almost_in_line(): void
    {
        $along = self::drilling([0, 0, 0], [1000, 0, 0], 10.0);
        $turn = deg2rad(0.2);
        foreach ([[12.5, 2.5], [10.001, 0.001], [9.999, -0.001], [4.0, -6.0]] as [$over, $gap]) {
            $aslant = self::drilling(
                [650 - 500 * cos($turn), -500 * sin($turn), $over],
                [650 + 300 * cos($turn), 300 * sin($turn), $over],
                10.0,
            );
            self::assertEqualsWithDelta($gap, $along->gapMm($aslant), 2e-5, "{$over}");
            self::assertEqualsWithDelta($gap, $aslant->gapMm($along), 2e-5, "{$over}");
        }
    }

    /** From a corner: each pair of ends is the nearest once, whichever is asked; both point at each other’s rim. */
    public function test_ends_are_nearest(): void
    {
        // Their axes stand at 60°; the near ends are 30 apart along the first, so its flat end faces a rim.
        $along = self::drilling([0, 0, 0], [60, 0, 0], 10.0);
        $c = cos(deg2rad(60));
        $s = sin(deg2rad(60));
        // The rim of the slanting one comes 4 sin 60° nearer than its axis, 4 cos 60° lower.
        foreach ([1, -1] as $way) {
            $end = $way > 0 ? 90.0 : -30.0;
            $away = self::drilling([$end, 0, 0], [$end + $way * 50 * $c, 50 * $s, 0], 8.0);
            $back = self::drilling([$end + $way * 50 * $c, 50 * $s, 0], [$end, 0, 0], 8.0);
            foreach ([$away, $back] as $other) {
                self::assertEqualsWithDelta(30 - 4 * $s, $along->gapMm($other), 1e-5);
                self::assertEqualsWithDelta(30 - 4 * $s, $other->gapMm($along), 1e-5);
            }
        }
    }
}
