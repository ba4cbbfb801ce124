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
        self::assertSame('good', GoodEnough::judge(0.040, 0.005)->verdict);
        self::assertSame('usable', GoodEnough::judge(0.030, 0.005)->verdict);
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
        $band = new Band(10.000, 10.020);
        self::assertSame(Acceptance::Inside, Acceptance::of(10.010, 0.004, $band));
        self::assertSame(Acceptance::CannotTell, Acceptance::of(10.018, 0.004, $band));
        self::assertSame(Acceptance::CannotTell, Acceptance::of(10.022, 0.004, $band));
        self::assertSame(Acceptance::Above, Acceptance::of(10.025, 0.004, $band));
        self::assertSame(Acceptance::Below, Acceptance::of(9.995, 0.004, $band));
    }
}
