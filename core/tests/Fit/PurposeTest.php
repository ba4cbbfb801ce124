<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

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

    /** A thou per inch, medium press (common practice, no source): the middle of what the thumb gives at 2 in is 0.002 in. */
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
}
