<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Loop;

use Oldpart\Core\Loop\BestLength;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** The likeliest length, where none is sure to close the loop. */
final class BestLengthTest extends TestCase
{
    /**
     * By hand: a housing of 50 ±0.1, anywhere within; the gap is to be 0 to 0.1. The spacer's middle is 49.95; there half
     * of the housings do, and it stays so for 0.05 each way; counted half, it is twice as long.
     */
    public function test_by_hand(): void
    {
        $rest = Loop::of([new Contributor('housing', 50.0, 0.1, 0.1, 1)], new Range(0.0, 0.1));
        self::assertNull($rest->solveFor(-1));
        $best = BestLength::of($rest, -1, 1.0, 0.02);
        self::assertEqualsWithDelta(49.95, $best->aimMm ?? 0.0, 1e-9);
        self::assertEqualsWithDelta(0.5, $best->chance ?? 0.0, 0.005);
        // Once the far end of the wish passes the housing's, a twentieth of the width falls off per hundredth.
        self::assertEqualsWithDelta(49.95 - 0.054, $best->band->lowerMm ?? 0.0, 5e-4);
        self::assertEqualsWithDelta(49.95 + 0.054, $best->band->upperMm ?? 0.0, 5e-4);
        self::assertEqualsWithDelta(99.9, BestLength::of($rest, -1, 0.5, 0.02)->aimMm ?? 0.0, 1e-9);
        // Held over all of the housing's spread: of −0.2 to 0.2 each way, (0.1 · 0.5 + 0.1 · 0.25) of 0.2 are left.
        self::assertEqualsWithDelta(0.43, BestLength::of($rest, -1, 1.0, 0.2)->chance ?? 0.0, 0.02);
        self::assertNotSame([], $best->working->steps ?? []);
    }

    /** Normal ones: 2 Φ(0.05/0.05) − 1 = 0.6827 (tables of the normal distribution). */
    public function test_of_normal_spreads(): void
    {
        $rest = Loop::of([new Contributor('housing', 50.0, 0.15, 0.15, 1, Spread::Normal)], new Range(0.0, 0.1));
        $best = BestLength::of($rest, -1, 1.0, 0.0);
        self::assertEqualsWithDelta(0.68, $best->chance ?? 0.0, 0.012);
        self::assertLessThan(0.6832, $best->chance);
    }

    /** No room for one, or a gap with one limit only: for that a sure one can always be found. */
    public function test_where_there_is_none(): void
    {
        $known = [new Contributor('housing', 5.0, 0.1, 0.1, 1)];
        self::assertNull(BestLength::of(Loop::of($known, new Range(10.0, 10.1)), -1, 1.0, 0.02));
        self::assertNull(BestLength::of(Loop::of($known, new Range(0.0, 2 * Loop::FAR)), -1, 1.0, 0.02));
        self::assertNotNull(BestLength::of(Loop::of($known, new Range(10.0, 10.1)), 1, 1.0, 0.02));
    }
}
