<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Shape;

use Oldpart\Core\Shape\SurfaceType;
use PHPUnit\Framework\TestCase;

final class SurfaceTypeTest extends TestCase
{
    /** Facts of the trade, no source: what has a thread, and what is counted rather than read with a micrometer. */
    public function test_what_is_what(): void
    {
        $of = static fn (callable $is): array => array_map(
            static fn (SurfaceType $t): string => $t->name,
            array_values(array_filter(SurfaceType::cases(), $is)),
        );
        self::assertEqualsCanonicalizing(
            ['ThreadOutside', 'ThreadInside'],
            $of(static fn (SurfaceType $t): bool => $t->isThread()),
        );
        self::assertEqualsCanonicalizing(
            ['Flat', 'HolePattern', 'Spline', 'Teeth'],
            $of(static fn (SurfaceType $t): bool => $t->isCounted()),
        );
        self::assertNotContains('Angle', $of(static fn (SurfaceType $t): bool => $t->isMeasurable()));
        self::assertContains('Bore', $of(static fn (SurfaceType $t): bool => $t->isMeasurable()));
    }
}
