<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Fit\ClearanceHole;
use Oldpart\Core\Fit\Iso286;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\Purpose;
use PHPUnit\Framework\TestCase;

final class PurposeTest extends TestCase
{
    /**
     * At 25 mm from the rows of ISO 286-2:2010: H7/p6 is 0 … +21 and +22 … +35 µm, so 1 to 35 µm tight.
     * H8/f7: 0 … +33 and −20 … −41, so 20 to 74 µm clear.
     */
    public function test_iso_offers_from_published_rows(): void
    {
        self::assertSame([-35.0, -1.0], self::um(Purpose::named('light-press')->offers(25.0)[0]));
        self::assertSame([-48.0, -14.0], self::um(Purpose::named('medium-press')->offers(25.0)[0]));
        self::assertSame([20.0, 74.0], self::um(Purpose::named('running-journal')->offers(25.0)[0]));
        self::assertSame([7.0, 41.0], self::um(Purpose::named('slides-no-shake')->offers(25.0)[0]));
    }

    /**
     * A thou per inch, medium press (common practice, no source): the middle of what the thumb gives at 2 in is 0.002
     * in.
     */
    public function test_thumb_says_a_thou_an_inch(): void
    {
        $offers = Purpose::named('medium-press')->offers(50.8);
        $thumb = $offers[count($offers) - 1];
        self::assertEqualsWithDelta(-0.002 * 25.4, $thumb->clearanceMm->middle(), 1e-9);
    }

    public function test_a_school_that_does_not_reach_is_left_out(): void
    {
        self::assertCount(1, Purpose::named('light-press')->offers(800.0));
        self::assertCount(3, Purpose::named('light-press')->offers(80.0));
    }

    /** @return list<float> */
    private static function um(Offer $offer): array
    {
        return [round($offer->clearanceMm->min * 1000, 6), round($offer->clearanceMm->max * 1000, 6)];
    }

    /**
     * ISO 273:1979, rows from memory: fine, medium, coarse; every series clears the bolt and the one before, and rises
     * with the size.
     */
    public function test_clearance_holes(): void
    {
        foreach (
            [
                5.0 => [5.3, 5.5, 5.8],
                8.0 => [8.4, 9.0, 10.0],
                12.0 => [13.0, 13.5, 14.5],
                20.0 => [21.0, 22.0, 24.0],
                36.0 => [37.0, 39.0, 42.0],
            ] as $bolt => $holes
        ) {
            $row = ClearanceHole::for((float) $bolt - 0.1);
            self::assertEqualsWithDelta($holes, [$row?->fineMm, $row?->mediumMm, $row?->coarseMm], 1e-9, "M{$bolt}");
        }
        $before = [0.0, 0.0, 0.0];
        foreach (ClearanceHole::all() as $hole) {
            $now = [$hole->fineMm, $hole->mediumMm, $hole->coarseMm];
            foreach ($now as $i => $mm) {
                self::assertGreaterThan($i === 0 ? $hole->majorMm : $now[$i - 1], $mm, $hole->thread);
                self::assertGreaterThan($before[$i], $mm, $hole->thread);
            }
            $before = $now;
        }
        self::assertNull(ClearanceHole::for(8.6));
        self::assertSame(
            12.0,
            ClearanceHole::for(11.66)?->majorMm,
            'a third of a millimetre under is that bolt still (common practice)',
        );
        self::assertNull(ClearanceHole::for(11.64));
        $offers = Purpose::named('clears')->offers(11.95);
        self::assertEqualsWithDelta(
            [13.0 - 11.95, 13.5 - 11.95],
            [$offers[0]->clearanceMm->min, $offers[0]->clearanceMm->max],
            1e-9,
        );
    }

    /**
     * Dowels, ISO 286-2 at 10 mm, from memory: pin m6 +6 to +15; N7 −4 to −19 always grips; F7 +13 to +28 lets it in or
     * nearly; in H7 it may be loose.
     */
    public function test_dowels(): void
    {
        $pressed = Purpose::named('dowel-pressed')->offers(10.0)[0];
        self::assertEqualsWithDelta([-0.034, -0.01], [$pressed->clearanceMm->min, $pressed->clearanceMm->max], 1e-9);
        $sliding = Purpose::named('dowel-sliding')->offers(10.0)[0];
        self::assertEqualsWithDelta([-0.002, 0.022], [$sliding->clearanceMm->min, $sliding->clearanceMm->max], 1e-9);
        self::assertGreaterThan(0.0, Iso286::clearance(10.0, 'H7/m6')->max);
    }
}
