<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Loop;

use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Explained;
use PHPUnit\Framework\TestCase;

/** Which length explains a gap that is not as expected: least squares with one condition, by hand. */
final class ExplainedTest extends TestCase
{
    /** @return non-empty-list<Contributor> */
    private static function stack(): array
    {
        return [
            new Contributor('Housing', 50.0, 0.01, 0.01, 1),
            new Contributor('Bush', 40.0, 0.03, 0.03, -1),
            new Contributor('Washer', 9.9, 0.02, 0.02, -1),
        ];
    }

    /**
     * Expected 50 − 40 − 9.9 = 0.1. Seen 0.08: 0.02 less. The bush is least sure: 0.03² of 0.01² + 0.03² + 0.02² is
     * 9/14 of the doubt, and 0.02 larger than it was taken for would explain it.
     */
    public function test_the_least_sure_length_explains_most(): void
    {
        $why = Explained::of(self::stack(), 0.08);
        self::assertEqualsWithDelta(-0.02, $why->offMm, 1e-9);
        self::assertSame('Bush', $why->best?->name);
        self::assertEqualsWithDelta(0.02, $why->byMm, 1e-9);
        self::assertEqualsWithDelta(9 / 14, $why->share, 1e-9);
        self::assertTrue($why->withinDoubt);
        self::assertStringEndsWith('0.080 mm − 0.100 mm = −0.020 mm', $why->working->steps[0]->numbers->mm);
        self::assertFalse(Explained::of(self::stack(), 0.05)->withinDoubt, '0.05 is more than it may be off');
    }

    /** A diameter counts by half: to move the gap by 0.01 it has to be off by 0.02. */
    public function test_half_of_a_diameter_counts(): void
    {
        $why = Explained::of([
            new Contributor('Bore', 30.0, 0.05, 0.05, 1, weight: 0.5),
            new Contributor('Journal', 29.9, 0.01, 0.01, -1, weight: 0.5),
        ], 0.06);
        self::assertSame('Bore', $why->best?->name);
        self::assertEqualsWithDelta(0.02, $why->byMm, 1e-9);
    }

    /** Lengths without any doubt explain nothing. */
    public function test_without_doubt_nothing_explains_it(): void
    {
        $why = Explained::of([new Contributor('Gauge block', 10.0, 0.0, 0.0, 1)], 9.0);
        self::assertNull($why->best);
        self::assertEqualsWithDelta(-1.0, $why->offMm, 1e-9);
    }
}
