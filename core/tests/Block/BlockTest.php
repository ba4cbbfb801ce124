<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Block;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Block\Drilling;
use Oldpart\Core\Block\PortedBlock;
use Oldpart\Core\Block\Vector;
use PHPUnit\Framework\TestCase;

/** Drillings in a block: solid geometry by hand. */
final class BlockTest extends TestCase
{
    /** @param  array{float, float, float}  $from */
    private static function drilling(array $from, array $to, float $d, string $name = 'a'): Drilling
    {
        return new Drilling($name, new Vector(...$from), new Vector(...$to), $d);
    }

    public function test_a_block_has_all_three_sizes(): void
    {
        foreach ([[0.0, 10.0, 10.0], [10.0, 0.0, 10.0], [10.0, 10.0, 0.0], [10.0, 10.0, -1.0]] as $size) {
            try {
                new PortedBlock(new Vector(...$size), []);
                self::fail(implode(' × ', $size));
            } catch (BadInput $bad) {
                self::assertSame('block', $bad->field);
            }
        }
    }

    public function test_gaps_by_hand(): void
    {
        $main = self::drilling([0.0, 0.0, 0.0], [100.0, 0.0, 0.0], 10.0);
        // Beside it, 20 between the axes, 5 and 4 of radius.
        self::assertEqualsWithDelta(11.0, $main->gapMm(self::drilling([10.0, 20.0, 0.0], [60.0, 20.0, 0.0], 8.0)), 1e-6);
        // In line behind it: the flat ends face each other.
        self::assertEqualsWithDelta(7.0, $main->gapMm(self::drilling([107.0, 2.0, 0.0], [150.0, 2.0, 0.0], 8.0)), 1e-6);
        // A cross drilling that stops short above it by 3.
        self::assertEqualsWithDelta(3.0, $main->gapMm(self::drilling([50.0, 0.0, 40.0], [50.0, 0.0, 8.0], 6.0)), 1e-6);
        // Past its end and to the side, both rounds: from the rim at (100, 5) to the flat bottom's rim at (103, 9).
        self::assertEqualsWithDelta(5.0, $main->gapMm(self::drilling([106.0, 40.0, 0.0], [106.0, 9.0, 0.0], 6.0)), 1e-4);
        // It meets the axis: overlaps by both radii; crossing 6 off the axis by 5 + 4 − 6.
        self::assertEqualsWithDelta(-9.0, $main->gapMm(self::drilling([50.0, 0.0, 40.0], [50.0, 0.0, 0.0], 8.0)), 1e-6);
        self::assertEqualsWithDelta(-3.0, $main->gapMm(self::drilling([50.0, 6.0, -40.0], [50.0, 6.0, 40.0], 8.0)), 1e-6);
        // Skew at 45°, 12 apart: the same whichever is asked.
        $skew = self::drilling([0.0, -50.0, 12.0], [100.0, 50.0, 12.0], 4.0);
        self::assertEqualsWithDelta(12 - 7, $main->gapMm($skew), 1e-6);
        self::assertEqualsWithDelta($main->gapMm($skew), $skew->gapMm($main), 1e-6);
    }

    public function test_walls(): void
    {
        $block = new PortedBlock(new Vector(80.0, 50.0, 40.0), [
            self::drilling([0.0, 25.0, 22.0], [60.0, 25.0, 22.0], 10.0, 'main'),
            self::drilling([40.0, 8.0, 40.0], [40.0, 8.0, 6.0], 8.0, 'down'),
            self::drilling([0.0, 0.0, 20.0], [40.0, 40.0, 20.0], 10.0, 'slant'),
            self::drilling([40.0, 25.0, 0.0], [40.0, 25.0, 40.0], 6.0, 'through'),
        ]);
        $walls = array_column($block->walls(), null, 'name');
        self::assertEqualsWithDelta(13.0, $walls['main']['least_mm'], 1e-9);
        self::assertSame('top', $walls['main']['face']);
        self::assertEqualsWithDelta(4.0, $walls['down']['least_mm'], 1e-9);
        self::assertSame('front', $walls['down']['face']);
        // Its end slants: the rim reaches 5 sin 45° beyond 40: 50 − 40 − 3.536 to the back.
        self::assertEqualsWithDelta(50 - 40 - 5 * M_SQRT1_2, $walls['slant']['least_mm'], 1e-9);
        self::assertSame('back', $walls['slant']['face']);
        self::assertEqualsWithDelta(22.0, $walls['through']['least_mm'], 1e-9);
        $pairs = array_column(array_filter($block->pairs(), static fn (array $p): bool => $p['meets']), 'b', 'a');
        self::assertCount(6, $block->pairs());
        // What reaches a face from inside has no wall to it: it is open there.
        $open = (new PortedBlock(new Vector(20.0, 20.0, 20.0), [self::drilling([10.0, 10.0, 0.0], [10.0, 10.0, 20.0], 20.0, 'as wide')]))->walls()[0];
        self::assertTrue($open['least_mm'] === null || $open['least_mm'] <= 1e-9);
        self::assertSame('through', $pairs['main']);
        // Drilled from the top or drawn from its bottom: 3 of floor.
        foreach ([[40.0, 3.0], [3.0, 40.0]] as [$from, $to]) {
            $blind = self::drilling([40.0, 25.0, $from], [40.0, 25.0, $to], 8.0);
            $floor = (new PortedBlock(new Vector(80.0, 50.0, 40.0), [$blind]))->walls()[0];
            self::assertEqualsWithDelta(3.0, $floor['least_mm'], 1e-9);
            self::assertSame('bottom', $floor['face']);
        }
    }

    /** Two that touch and no more are one room for what runs in them: nothing is between. */
    public function test_touching_is_meeting(): void
    {
        $block = new PortedBlock(new Vector(80.0, 50.0, 40.0), [
            self::drilling([0.0, 20.0, 20.0], [80.0, 20.0, 20.0], 10.0),
            self::drilling([40.0, 0.0, 28.0], [40.0, 50.0, 28.0], 6.0, 'b'),
        ]);
        self::assertTrue($block->pairs()[0]['meets']);
        self::assertEqualsWithDelta(0.0, $block->pairs()[0]['gap_mm'], 1e-9);
    }

    public function test_what_is_refused(): void
    {
        foreach (
            [
                static fn () => self::drilling([0.0, 0.0, 0.0], [0.0, 0.0, 0.0], 5.0),
                static fn () => self::drilling([0.0, 0.0, 0.0], [1.0, 0.0, 0.0], 0.0),
                static fn () => new PortedBlock(new Vector(10.0, 0.0, 10.0), []),
            ] as $make
        ) {
            try {
                $make();
                self::fail('was taken');
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->getMessage());
            }
        }
    }
}
