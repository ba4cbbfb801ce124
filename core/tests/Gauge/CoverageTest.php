<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Gauge;

use Oldpart\Core\Measure\Instrument;
use PHPUnit\Framework\TestCase;

/**
 * An expanded uncertainty at 95 % must hold the truth about so often (JCGM 100:2008, 6.2.2). Seeded, so always the
 * same.
 */
final class CoverageTest extends TestCase
{
    /** Over the mix of bore instruments, 2,000 bores. */
    public function test_u95_holds_the_truth(): void
    {
        $coverage = new Coverage(20261124);
        $shares = [];
        foreach (['telescoping', 'three-point', 'dial-bore', 'calliper'] as $code) {
            $shares[$code] = $coverage->share(Instrument::named($code), 500);
        }
        self::assertGreaterThanOrEqual(0.94, array_sum($shares) / 4, (string) json_encode($shares));
    }

    /** Where repeatability is nearly all of it, 93 to 97 %: not less, and not comfortably more. */
    public function test_it_is_not_too_cautious_either(): void
    {
        $tool = new Instrument(0.0005, repeatabilityMm: 0.02);
        self::assertEqualsWithDelta(0.95, (new Coverage(7))->share($tool, 2000), 0.02);
        self::assertEqualsWithDelta(
            0.95,
            (new Coverage(8))->share(new Instrument(0.0005, repeatabilityMm: 0.02), 2000, 3),
            0.02,
            'and with the spread taken from the repeats',
        );
    }

    /** When the assumptions fail it fails too: an unchecked gauge, three lobes met in one place only. */
    public function test_failed_assumptions_show(): void
    {
        $tool = Instrument::named('three-point');
        self::assertLessThan(
            0.5,
            (new Coverage(3))->share($tool, 300, 1, 0.015),
            'a gauge that is off by three times its limit',
        );
        self::assertLessThan(0.8, (new Coverage(4))->share($tool, 300, 1, null, 0.008), 'three lobes');
    }
}
