<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Making\LatheDial;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Quantity\Fields;
use PHPUnit\Framework\TestCase;

/** A cut in the lines of the dial, by hand: half of it where the dial reads the radius, never more than is asked. */
final class LatheDialTest extends TestCase
{
    /** @param  array<string, string>  $figures */
    private static function lathe(array $figures, string $unit = 'mm'): Machine
    {
        return Machine::read(new Fields(['id' => 'l', 'kind' => 'lathe', 'name' => 'Long bed', 'unit' => $unit, 'figures' => $figures]));
    }

    public function test_lines(): void
    {
        $diameter = LatheDial::of([self::lathe(['dial_mm' => '0.02', 'dial_reads' => 'diameter'])]);
        $radius = LatheDial::of([self::lathe(['dial_mm' => '0.02', 'dial_reads' => 'radius'])]);
        $inch = LatheDial::of([self::lathe(['dial_mm' => '0.001', 'dial_reads' => 'diameter'], 'in')]);
        self::assertSame([25.0, 12.5, 20.0], [$diameter?->lines(0.5), $radius?->lines(0.5), $inch?->lines(0.508)]);
        // 0.059 is 2.95 lines: three would be too much.
        self::assertSame([2.5, 1.0], [$diameter?->lines(0.059), $radius?->lines(0.059)]);
        self::assertSame('12.5 lines of the dial of Long bed, which reads the radius', $radius?->says(0.5)->mm);
        self::assertSame('20 lines of the dial of Long bed, which reads the diameter', $inch?->says(0.508)->in);
        self::assertStringStartsWith('Less than half a line', $diameter?->says(0.009)->mm ?? '');
    }

    /** What it reads decides by a factor of two: a dial that may be either is not used. */
    public function test_a_dial_that_may_be_either_is_none(): void
    {
        self::assertNull(LatheDial::of([]));
        self::assertNull(LatheDial::of([self::lathe(['dial_mm' => '0.02'])]));
        self::assertNull(LatheDial::of([self::lathe(['dial_reads' => 'radius'])]));
        self::assertNotNull(LatheDial::of([self::lathe([]), self::lathe(['dial_mm' => '0.02', 'dial_reads' => 'radius'])]));
    }

    /** 0.3 mm on a dial of 0.05 is six lines, though a float makes it a hair less: no half line is lost to that. */
    public function test_a_whole_number_of_lines_is_whole(): void
    {
        $dial = LatheDial::of([self::lathe(['dial_mm' => '0.05', 'dial_reads' => 'diameter'])]);
        foreach (range(1, 200) as $half) {
            self::assertSame((float) $half / 2.0, $dial?->lines($half * 0.025), (string) $half);
        }
    }
}
