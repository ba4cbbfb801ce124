<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\TestCase;

/** What a sum takes because nothing was said it says; what was said otherwise it uses. */
final class TakenOrSaidTest extends TestCase
{
    /** A warm part, and no expansion given: steel's is taken, and that is said. With one given, or all cool, nothing is. */
    public function test_the_expansion_of_a_warm_part(): void
    {
        $readings = static function (?float $partC, ?float $gaugeC, ?float $alpha): array {
            $in = Sums::named('readings')->example();
            $in['readings'] = array_map(
                static fn (array $r): array => array_filter([...$r, 'part_c' => $partC, 'gauge_c' => $gaugeC], static fn (mixed $v): bool => $v !== null),
                $in['readings'],
            );
            $in += $alpha === null ? [] : ['alpha_per_k' => $alpha];

            return array_map(static fn (Note $n): string => $n->code, Sums::run('readings', $in)['notes']);
        };
        self::assertContains('alpha-steel', $readings(45.0, null, null));
        self::assertContains('alpha-steel', $readings(null, 30.0, null));
        self::assertNotContains('alpha-steel', $readings(null, null, null));
        self::assertNotContains('alpha-steel', $readings(45.0, null, 18e-6));
    }

    /** 25 × 52 × 15 is a 6205 (ISO 15), and its seats are the same whichever way it is said; a size of no bearing is taken as it is. */
    public function test_a_bearing_by_its_sizes(): void
    {
        $by = static fn (array $in): array => array_diff_key(
            Sums::run('bearing-seat', [...$in, 'turning' => 'inner', 'load' => 'normal']),
            ['picture' => 0],
        );
        $named = $by(['designation' => '6205']);
        $sized = $by(['bore_mm' => 25.0, 'outer_mm' => 52.0, 'width_mm' => 15.0]);
        self::assertEquals(json_encode($named), json_encode($sized));
        $other = $by(['bore_mm' => 25.0, 'outer_mm' => 52.1, 'width_mm' => 15.0]);
        self::assertNotEquals(json_encode($named), json_encode($other));
    }

    /** Two bores at one height need no shim, and none is asked for under either foot. */
    public function test_no_shim_where_nothing_leans(): void
    {
        $line = Sums::run('bore-line', ['distance_mm' => 400.0, 'a_mm' => 0.1, 'b_mm' => 0.0, 'turned_a_mm' => 0.0, 'turned_b_mm' => 0.0, 'feet_mm' => 250.0]);
        $other = Sums::run('bore-line', ['distance_mm' => 400.0, 'a_mm' => 0.0, 'b_mm' => 0.1, 'turned_a_mm' => 0.0, 'turned_b_mm' => 0.0, 'feet_mm' => 250.0]);
        self::assertNotSame($line['shim_says']->mm, $other['shim_says']->mm, 'the other foot');
        self::assertEqualsWithDelta(-$line['shim_mm'], $other['shim_mm'], 1e-12);
    }
}
