<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Measure\GaugeCheck;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\ReadingDoubt;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Measure\Warmth;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Fields;
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
        self::assertEqualsWithDelta(0.00507, Instrument::named('outside-micrometer')->bestU95Mm(25.0), 1e-5);
        self::assertEqualsWithDelta(0.6028, Instrument::named('rule')->bestU95Mm(25.0), 1e-4);
    }

    /**
     * A micrometer may err 4 µm to 50 mm, 5 to 100, 6 to 150 (ISO 3611, DIN 863 by the range it is of; from memory), and with
     * it what is set by one; a ring, a calliper's own figure to 150 and a comparison with a master don't grow.
     */
    public function test_a_larger_micrometer_may_err_more(): void
    {
        foreach ([[0.0, 4], [24.9, 4], [49.9, 4], [50.1, 5], [74.9, 5], [99.9, 5], [100.1, 6], [149.9, 6]] as [$mm, $um]) {
            foreach (['outside-micrometer', 'telescoping'] as $code) {
                self::assertEqualsWithDelta($um / 1000, Instrument::named($code)->mpeAt($mm), 1e-9, "{$code} at {$mm}");
            }
            self::assertEqualsWithDelta(0.004, Instrument::named('three-point')->mpeAt($mm), 1e-9);
            self::assertEqualsWithDelta(0.02, Instrument::named('calliper')->mpeAt($mm), 1e-9);
        }
        // By hand at 60: 2 √(0.001² + 0.001²/12 + 0.005²/3) = 0.006137.
        $tool = Instrument::named('outside-micrometer');
        self::assertEqualsWithDelta(0.006137, $tool->bestU95Mm(60.0), 1e-6);
        $doubt = static fn (float $mm, ?float $master): float => ReadingDoubt::of(
            new Reading($mm, masterMm: $master), $tool, new Warmth(), SurfaceKind::Shaft, $mm,
        )->gaugeMm;
        self::assertEqualsWithDelta(0.004 / sqrt(3), $doubt(40.0, null), 1e-9);
        self::assertEqualsWithDelta(0.005 / sqrt(3), $doubt(60.0, null), 1e-9);
        self::assertSame(0.0, $doubt(60.0, 60.0));
        // Held to it by a master of its size, and through a file.
        $check = [new GaugeCheck(60.0075, 60.0, new \DateTimeImmutable('2026-11-01'))];
        $codes = array_column(GaugeCheck::verdict($tool, $check, new \DateTimeImmutable('2026-11-30')), 'code');
        self::assertNotContains('beyond-its-limits', $codes, '5 and 2 and 1 µm are 8');
        $check = [new GaugeCheck(40.0075, 40.0, new \DateTimeImmutable('2026-11-01'))];
        self::assertContains('beyond-its-limits', array_column(GaugeCheck::verdict($tool, $check, new \DateTimeImmutable('2026-11-30')), 'code'));
        $kept = Instrument::read(new Fields(array_filter($tool->jsonSerialize(), static fn (mixed $v): bool => $v !== null)));
        self::assertSame(0.001, $kept->mpePer50Mm);
    }
}
