<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Making\Speed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** rev/min = 1000 v/(π d), feed = rev/min · teeth · feed per tooth: by hand. */
final class SpeedTest extends TestCase
{
    public function test_by_hand(): void
    {
        // 25 m/min at 20 mm: 25000/62.8319; at twice the diameter half of it.
        self::assertEqualsWithDelta(397.887, (new Speed(20.0, 25.0, null, null))->rpm, 1e-3);
        self::assertEqualsWithDelta(198.944, (new Speed(40.0, 25.0, null, null))->rpm, 1e-3);
        self::assertEqualsWithDelta(79.577, (new Speed(20.0, 25.0, 4, 0.05))->feedMmMin, 1e-3);
    }

    /** A feed needs both its teeth and the feed of each. */
    public function test_half_a_feed_is_none(): void
    {
        self::assertNull((new Speed(20.0, 25.0, 4, null))->feedMmMin);
        self::assertNull((new Speed(20.0, 25.0, null, 0.05))->feedMmMin);
    }

    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused(float $diameter, float $speed, ?int $teeth, ?float $feed): void
    {
        $this->expectException(BadInput::class);
        new Speed($diameter, $speed, $teeth, $feed);
    }

    /** @return iterable<array{float, float, ?int, ?float}> */
    public static function nonsense(): iterable
    {
        yield [0.0, 25.0, null, null];
        yield [20.0, 0.0, null, null];
        yield [20.0, 25.0, 0, 0.05];
        yield [20.0, 25.0, 4, 0.0];
    }
}
