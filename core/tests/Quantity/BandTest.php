<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Quantity;

use Eris\Generator;
use Eris\TestTrait;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Length;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

final class BandTest extends TestCase
{
    use TestTrait;

    public function test_rounds_inward_or_to_nothing(): void
    {
        $band = (new Band(10.0004, 10.0026))->roundedInto(0.001);
        self::assertEqualsWithDelta(10.001, $band?->lowerMm, 1e-9);
        self::assertEqualsWithDelta(10.002, $band?->upperMm, 1e-8);
        self::assertNull((new Band(10.0002, 10.0008))->roundedInto(0.001), 'no step falls inside');
    }

    public function test_rounding_never_widens(): void
    {
        $this->forAll(Generator\choose(0, 100000), Generator\choose(0, 500), Generator\choose(1, 50))->then(function (
            int $at,
            int $width,
            int $step,
        ): void {
            $band = new Band($at / 10000, ($at + $width) / 10000);
            $rounded = $band->roundedInto($step / 1000);
            if ($rounded !== null) {
                self::assertGreaterThanOrEqual($band->lowerMm - 1e-9, $rounded->lowerMm);
                self::assertLessThanOrEqual($band->upperMm + 1e-9, $rounded->upperMm);
            } else {
                self::assertLessThan($step / 1000 + 1e-9, $band->widthMm(), 'a band a step wide always holds a step');
            }
        });
    }

    public function test_a_guard_narrows_from_both_ends(): void
    {
        $band = (new Band(10, 10.02))->lessGuard(0.005);
        self::assertEqualsWithDelta(0.01, $band?->widthMm(), 1e-12);
        self::assertEqualsWithDelta(10.01, $band?->middleMm(), 1e-12);
        self::assertNull((new Band(10, 10.02))->lessGuard(0.011));
    }

    public function test_reversed_and_endless_are_refused(): void
    {
        foreach (
            [
                static fn () => new Band(2, 1),
                static fn () => new Band(NAN, 1),
                static fn () => new Range(2, 1),
                static fn () => new Range(0, INF),
            ] as $make
        ) {
            try {
                $make();
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->getMessage());
            }
        }
    }

    /** 1 in = 25.4 mm exactly; a thou is 25.4 µm. */
    public function test_lengths(): void
    {
        self::assertEqualsWithDelta(25.4, Length::inches(1)->mm, 1e-12);
        self::assertEqualsWithDelta(Length::thou(1)->mm, Length::um(25.4)->mm, 1e-12);
        self::assertEqualsWithDelta(1.5, Length::inches(1)->plus(Length::mm(12.7))->in(), 1e-12);
        self::assertEqualsWithDelta(-12.7, Length::mm(12.7)->minus(Length::inches(1))->mm, 1e-12);
        self::assertEqualsWithDelta(-6.0, Range::of(2, 6)->times(-1)->min, 1e-12);
    }
}
