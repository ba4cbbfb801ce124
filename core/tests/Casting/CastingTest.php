<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Casting;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Casting\Casting;
use Oldpart\Core\Casting\Scale;
use PHPUnit\Framework\TestCase;

/** Patterns, blanks and sister machines: by hand. */
final class CastingTest extends TestCase
{
    /** 120 and 3 a side is 126, 1 of 100 more 127.26; a bore of 50 is cast at 44, 44.44. */
    public function test_a_pattern(): void
    {
        self::assertEqualsWithDelta(127.26, Casting::patternMm(120.0, true, 3.0, 1.0), 1e-9);
        self::assertEqualsWithDelta(44.44, Casting::patternMm(50.0, false, 3.0, 1.0), 1e-9);
        foreach ([[0.0, true, 3.0, 1.0], [50.0, true, -1.0, 1.0], [50.0, true, 1.0, 11.0], [6.0, false, 3.0, 1.0]] as $in) {
            try {
                Casting::patternMm(...$in);
                self::fail(json_encode($in).' was taken');
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->field);
            }
        }
    }

    /** (52 − 50)/2 less half of 0.8 is 0.6; a cored hole of 48 to 50 with 2.4 of run-out lacks 0.2. */
    public function test_whether_it_cleans_up(): void
    {
        self::assertEqualsWithDelta(0.6, Casting::stockMm(52.0, 50.0, 0.8, true), 1e-12);
        self::assertEqualsWithDelta(-0.2, Casting::stockMm(48.0, 50.0, 2.4, false), 1e-12);
        $this->expectException(BadInput::class);
        Casting::stockMm(52.0, 50.0, -0.1, true);
    }

    /**
     * Least squares through zero by hand: (100 · 80.2 + 250 · 199.9)/(100² + 250²) = 0.799931; with doubts of 1 and 0.1 the
     * second pair counts a hundred times as much.
     */
    public function test_a_scale(): void
    {
        $pair = static fn (float $theirs, float $ours, ?float $u95 = null): array => ['theirs' => $theirs, 'ours' => $ours, 'u95' => $u95];
        $scale = Scale::of([$pair(100.0, 80.2), $pair(250.0, 199.9)]);
        self::assertEqualsWithDelta([0.7999310, 0.0024], [$scale->ratio, $scale->spread], 1e-7);
        // Residuals 0.2069 and −0.0828; s 0.2228 over √72500; t of one degree 12.706 (from a table of t).
        self::assertEqualsWithDelta(12.706 * 0.22284 / sqrt(72500), $scale->u95, 2e-5);
        $weighted = Scale::of([$pair(100.0, 80.2, 1.0), $pair(250.0, 199.9, 0.1)]);
        self::assertEqualsWithDelta((100 * 80.2 + 100 * 250 * 199.9) / (100 ** 2 + 100 * 250 ** 2), $weighted->ratio, 1e-9);
        self::assertEqualsWithDelta(1 / sqrt(100 ** 2 + 100 * 250 ** 2), $weighted->u95, 1e-9);
        self::assertSame(0.0, Scale::of([$pair(100.0, 80.0)])->u95);
        foreach ([[], [$pair(0.0, 1.0)], [$pair(1.0, 1.0, 0.0)]] as $pairs) {
            try {
                Scale::of($pairs);
                self::fail(json_encode($pairs).' was taken');
            } catch (BadInput $bad) {
                self::assertStringStartsWith('pairs', $bad->field);
            }
        }
    }
}
