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
}
