<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Fit\FitByTrial;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The mate is the gauge: facts of fitting by trial, common practice with no source. */
final class FitByTrialTest extends TestCase
{
    /** Proud by the doubt and 0.05 mm: a shaft over its bore, a bore under its shaft. */
    public function test_it_starts_proud(): void
    {
        $fit = new Range(0.005, 0.02);
        self::assertEqualsWithDelta(25.08, FitByTrial::of(true, 25.0, 0.03, $fit, [], null)->startMm, 1e-9);
        self::assertEqualsWithDelta(24.92, FitByTrial::of(false, 25.0, 0.03, $fit, [], null)->startMm, 1e-9);
        self::assertEqualsWithDelta(25.08, FitByTrial::of(true, 25.0, 0.03, $fit, [], null)->nextMm, 1e-9);
    }

    /** A trial bounds the mate: a shaft of 25.020 that won't enter is in a bore of 25.020 at most. */
    public function test_a_trial_bounds_the_mate(): void
    {
        $fit = FitByTrial::of(true, 25.0, 0.03, new Range(0.005, 0.02), [['made' => 25.02, 'seen' => "won't enter"]], 25.02);
        self::assertEqualsWithDelta([24.97, 25.02], [$fit->mate->min, $fit->mate->max], 1e-9);
        $bore = FitByTrial::of(false, 25.0, 0.03, new Range(0.005, 0.02), [['made' => 24.98, 'seen' => "won't enter"]], 24.98);
        self::assertEqualsWithDelta([24.98, 25.03], [$bore->mate->min, $bore->mate->max], 1e-9);
        $both = FitByTrial::of(true, 25.0, 0.03, new Range(0.005, 0.02), [
            ['made' => 25.0, 'seen' => 'drops in'],
            ['made' => 25.01, 'seen' => "won't enter"],
        ], 25.0);
        self::assertTrue($both->contradicts);
        self::assertNull($both->nextMm);
    }

    /** @return iterable<string, array{bool, float, float}> */
    public static function mates(): iterable
    {
        foreach ([true, false] as $shaft) {
            foreach ([-0.029, -0.02, -0.011, 0.0, 0.007, 0.018, 0.029] as $off) {
                yield ($shaft ? 'shaft ' : 'bore ').$off => [$shaft, 25.0 + $off, 0.03];
            }
        }
    }

    /**
     * A mate nobody can read closer than ±0.03, and a fit 0.026 wide: cut and tried as it says, feeling what the true
     * clearance gives, it ends as wanted and was never cut too far.
     */
    #[DataProvider('mates')]
    public function test_followed_to_its_end_it_fits(bool $shaft, float $true, float $u): void
    {
        $wanted = new Range(0.004, 0.03);
        $now = null;
        $tries = [];
        $clear = static fn (float $made): float => $shaft ? $true - $made : $made - $true;
        for ($i = 0; $i < 40; $i++) {
            $fit = FitByTrial::of($shaft, 25.0, $u, $wanted, $tries, $now);
            self::assertFalse($fit->contradicts);
            self::assertTrue($fit->mate->min <= $true && $true <= $fit->mate->max);
            if ($fit->nextMm === null) {
                break;
            }
            $c = $now === null ? -INF : $clear($now);
            if ($c >= 0.004) {
                break;
            }
            $now = $fit->nextMm;
            self::assertLessThanOrEqual($wanted->max + 1e-9, $clear($now), 'never too far');
            $tries[] = ['made' => $now, 'seen' => match (true) {
                $clear($now) > 0.03 => 'drops in',
                $clear($now) >= 0.004 => 'slides',
                $clear($now) >= 0.001 => 'half way by hand',
                $clear($now) >= -0.004 => 'starts',
                default => "won't enter",
            }];
        }
        self::assertNotNull($now);
        self::assertGreaterThanOrEqual($wanted->min - 1e-9, $clear($now));
        self::assertLessThanOrEqual($wanted->max + 1e-9, $clear($now));
        self::assertLessThan(20, count($tries), 'in a reasonable number of trials');
    }

    public function test_what_makes_no_sense_is_refused(): void
    {
        foreach ([[0.0, 0.01, 'slides'], [25.0, -0.01, 'slides'], [25.0, 0.01, 'sings']] as [$mate, $u, $seen]) {
            try {
                FitByTrial::of(true, $mate, $u, new Range(0.0, 0.02), [['made' => 25.0, 'seen' => $seen]], 25.0);
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->getMessage());
            }
        }
    }
}
