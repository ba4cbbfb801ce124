<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Quantity\Band;
use PHPUnit\Framework\TestCase;

final class DecisionTest extends TestCase
{
    /** Ratio = width / 2U; 4 good, 2 usable, less cannot decide (common metrology practice). */
    public function test_good_enough(): void
    {
        self::assertSame('good', GoodEnough::judge(0.04, 0.005)->verdict);
        self::assertSame('usable', GoodEnough::judge(0.03, 0.005)->verdict);
        self::assertSame('not-good-enough', GoodEnough::judge(0.015, 0.005)->verdict);
    }

    public function test_names_what_would_do(): void
    {
        $judged = GoodEnough::judge(0.033, 0.025, [Instrument::named('calliper'), Instrument::named('three-point')]);
        self::assertStringContainsString('three-point bore gauge', $judged->why->in);
        self::assertStringNotContainsString('alliper', $judged->why->in);
    }

    /** ISO 14253-1 with the full U as guard, worked by hand. */
    public function test_acceptance(): void
    {
        $band = new Band(10.0, 10.02);
        self::assertSame(Acceptance::Inside, Acceptance::of(10.01, 0.004, $band));
        self::assertSame(Acceptance::CannotTell, Acceptance::of(10.018, 0.004, $band));
        self::assertSame(Acceptance::CannotTell, Acceptance::of(10.022, 0.004, $band));
        self::assertSame(Acceptance::Above, Acceptance::of(10.025, 0.004, $band));
        self::assertSame(Acceptance::Below, Acceptance::of(9.995, 0.004, $band));
    }

    /**
     * ISO 14253-1: what is accepted is inside and what is rejected outside whatever the true size within ±U, by brute
     * force.
     */
    public function test_no_verdict_is_wrong_within_the_doubt(): void
    {
        mt_srand(20261126);
        $seen = [];
        for ($i = 0; $i < 5000; $i++) {
            $band = new Band(10.0, 10.0 + mt_rand(1, 40) / 1000);
            $u = mt_rand(0, 12) / 1000;
            $size = 10.0 + mt_rand(-30, 70) / 1000;
            $verdict = Acceptance::of($size, $u, $band);
            $seen[$verdict->value] = true;
            foreach ([-1.0, -0.5, 0.0, 0.5, 1.0] as $share) {
                $true = $size + 0.999999 * $share * $u;
                if ($verdict === Acceptance::Inside) {
                    self::assertTrue($true >= $band->lowerMm - 1e-9 && $true <= $band->upperMm + 1e-9);
                } elseif ($verdict === Acceptance::Above) {
                    self::assertGreaterThan($band->upperMm, $true);
                } elseif ($verdict === Acceptance::Below) {
                    self::assertLessThan($band->lowerMm, $true);
                }
            }
        }
        self::assertCount(4, $seen, 'every verdict was met');
    }

    /** 3.96 to 1 is not yet 4 to 1: never said better than it is. */
    public function test_the_ratio_is_never_rounded_up(): void
    {
        self::assertSame('3.9 to 1', GoodEnough::judge(0.0396, 0.005)->short());
        self::assertSame('usable', GoodEnough::judge(0.0396, 0.005)->verdict);
        self::assertSame('4.0 to 1', GoodEnough::judge(0.0401, 0.005)->short());
        self::assertSame('99 to 1', GoodEnough::judge(1.0, 0.0)->short(), 'nothing in doubt is no division by zero');
    }

    /** With nothing in the shop that would do, another way is named. */
    public function test_a_way_out_is_always_named(): void
    {
        self::assertStringContainsString(
            'Compare against a master',
            GoodEnough::judge(0.001, 0.025, [Instrument::named('calliper')])->why->in,
        );
    }

    /**
     * By hand: 2 √(0.001² + 0.001²/12 + 0.004²/3) = 0.00507 for an outside micrometer, 2 √(0.2² + 0.5²/12 + 0.3²/3) = 2
     * √0.090833 = 0.6028 for a rule.
     */
    public function test_how_sure_an_instrument_can_be(): void
    {
        self::assertEqualsWithDelta(0.00507, Instrument::named('outside-micrometer')->bestU95Mm(), 1e-5);
        self::assertEqualsWithDelta(0.6028, Instrument::named('rule')->bestU95Mm(), 1e-4);
    }
}
