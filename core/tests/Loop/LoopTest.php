<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Shims;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\TestCase;

/** Lengths that add up: distributions against closed forms and scipy, worked examples, solving, shims. */
final class LoopTest extends TestCase
{
    private static function about(
        float $half,
        Spread $spread = Spread::Uniform,
        float $size = 0.0,
        int $direction = 1,
    ): Contributor {
        return new Contributor('part', $size, $half, $half, $direction, $spread);
    }

    /**
     * Closed forms (elementary probability): one uniform a straight line, two alike a triangle, three alike 1/6, 4/6,
     * 1/6 by thirds; normals by the table.
     */
    public function test_closed_forms(): void
    {
        $chance = static fn (array $parts, float $low, float $high): float => Loop::of(
            $parts,
            new Range($low, $high),
        )->chance();
        self::assertEqualsWithDelta(0.25, $chance([self::about(0.1)], 0.05, 1.0), 1e-9);
        $two = [self::about(0.1), self::about(0.1)];
        self::assertEqualsWithDelta(0.125, $chance($two, 0.1, 1.0), 1e-4);
        self::assertEqualsWithDelta(0.75, $chance($two, -0.1, 0.1), 1e-4);
        $three = [self::about(0.1), self::about(0.1), self::about(0.1)];
        self::assertEqualsWithDelta(1 / 6, $chance($three, 0.1, 0.3), 1e-4);
        self::assertEqualsWithDelta(4 / 6, $chance($three, -0.1, 0.1), 1e-4);
        // A triangle is two uniforms: the same on both ways of saying it.
        self::assertEqualsWithDelta(
            $chance([self::about(0.1, Spread::Triangular), self::about(0.07)], -0.02, 0.05),
            $chance([self::about(0.05), self::about(0.05), self::about(0.07)], -0.02, 0.05),
            1e-6,
        );
        // Normals add in square: 3 and 4 give 5; one sigma to either side is 0.6827.
        $normal = [self::about(0.09, Spread::Normal), self::about(0.08, Spread::Measured)];
        self::assertEqualsWithDelta(0.682689, $chance($normal, -0.05, 0.05), 1e-6);
    }

    /**
     * Shigley's Mechanical Engineering Design, example 1–3 (from memory): three parts on a shouldered screw, a = 1.750
     * ± 0.003, b = 0.750 ± 0.001, c = 0.120 ± 0.005, d = 0.875 ± 0.001 in. The gap a − b − c − d is 0.005 ± 0.010 in;
     * for a gap of at least 0.003 in, d has to be 0.867 ± 0.001.
     */
    public function test_a_shouldered_screw(): void
    {
        $part = static fn (string $name, float $in, float $tolerance, int $direction): Contributor => new Contributor(
            $name,
            $in * 25.4,
            $tolerance * 25.4,
            $tolerance * 25.4,
            $direction,
        );
        $others = [$part('a', 1.75, 0.003, 1), $part('b', 0.75, 0.001, -1), $part('c', 0.12, 0.005, -1)];
        $atLeast = new Range(0.003 * 25.4, 2 * Loop::FAR);
        $screw = Loop::of([...$others, $part('d', 0.875, 0.001, -1)], $atLeast);
        self::assertEqualsWithDelta(0.005, $screw->nominalMm() / 25.4, 1e-9);
        self::assertEqualsWithDelta([-0.005, 0.015], [$screw->worst()->min / 25.4, $screw->worst()->max / 25.4], 1e-9);
        $d = Loop::of($others, $atLeast)->solveFor(-1);
        self::assertNotNull($d);
        self::assertEqualsWithDelta(0.867 + 0.001, $d->max / 25.4, 1e-9);
        $right = Loop::of([...$others, $part('d', 0.867, 0.001, -1)], $atLeast);
        self::assertEqualsWithDelta(0.003, $right->worst()->min / 25.4, 1e-9);
        self::assertSame(1.0, $right->chance());
    }

    /**
     * K. Chase, Tolerance Allocation Methods for Designers (ADCATS 99-6), the shaft and bearing assembly (from memory):
     * seven lengths that leave 0.020 in, at worst ± 0.0245,
     * by root-sum-square ± 0.0111. The limits of the bought parts are the larger share of nothing: the shaft's ± 0.008
     * is half of the variance (by hand 64 of 122.75).
     */
    public function test_a_shaft_between_bearings(): void
    {
        $lengths = [
            ['retaining ring', 0.0505, 0.0015, -1],
            ['shaft', 8.0, 0.008, 1],
            ['bearing', 0.5093, 0.0025, -1],
            ['bearing sleeve', 0.4, 0.002, 1],
            ['housing', 7.711, 0.006, -1],
            ['bearing sleeve', 0.4, 0.002, 1],
            ['bearing', 0.5093, 0.0025, -1],
        ];
        $loop = Loop::of(
            array_map(
                static fn (array $l): Contributor => new Contributor(
                    $l[0],
                    $l[1] * 25.4,
                    $l[2] * 25.4,
                    $l[2] * 25.4,
                    $l[3],
                    Spread::Normal,
                ),
                $lengths,
            ),
            new Range(0.005 * 25.4, 0.035 * 25.4),
        );
        self::assertEqualsWithDelta(0.0199, $loop->nominalMm() / 25.4, 1e-9);
        self::assertEqualsWithDelta(2 * 0.0245, $loop->worst()->width() / 25.4, 1e-9);
        self::assertEqualsWithDelta(0.0111, $loop->rootSumSquare()->width() / 2 / 25.4, 5e-5);
        self::assertEqualsWithDelta(64 / 122.75, $loop->shares()[1]['share'], 1e-9);
        // ± 0.015 is 4.06 standard deviations of 0.00369: all but one in twenty thousand.
        self::assertEqualsWithDelta(0.99995, $loop->chance(), 2e-5);
    }

    /**
     * numpy and scipy by FFT on 200,000 cells, and ten million draws (tests/reference/loops_numpy.py): within 0.0005,
     * as is asked.
     */
    public function test_against_an_outside_reference(): void
    {
        $reference = json_decode(
            (string) file_get_contents(__DIR__.'/../reference/loops_numpy.json'),
            true,
            32,
            JSON_THROW_ON_ERROR,
        );
        foreach ($reference['cases'] as $case) {
            $parts = array_map(
                static fn (array $p): Contributor => self::about($p['half'], Spread::from($p['spread'])),
                $case['parts'],
            );
            $chance = Loop::of($parts, new Range($case['low'], $case['high']))->chance();
            self::assertEqualsWithDelta($case['fft'], $chance, 0.0002, $case['name']);
            if ($case['drawn'] !== null) {
                self::assertEqualsWithDelta($case['drawn'], $chance, 0.0005, $case['name']);
            }
        }
    }

    /**
     * What must hold whatever the parts: it rises from 0 to 1, is even about its middle, and a sign or an order changes
     * nothing.
     */
    public function test_properties(): void
    {
        mt_srand(7);
        for ($n = 1; $n <= 12; $n++) {
            $parts = $mirrored = [];
            for ($i = 0; $i < $n; $i++) {
                $spread = Spread::cases()[mt_rand(0, 3)];
                $half = mt_rand(0, 100) / 1000;
                $parts[] = self::about($half, $spread, 10, 1);
                $mirrored[] = self::about($half, $spread, -10, -1);
            }
            $loop = Loop::of($parts, new Range(10 * $n - 0.05, 10 * $n + 0.08));
            self::assertEqualsWithDelta(
                $loop->chance(),
                Loop::of(array_reverse($mirrored), $loop->wanted)->chance(),
                1e-6,
            );
            $before = 0.0;
            for ($x = -0.5; $x <= 0.5; $x += 0.02) {
                $below = $loop->below(10 * $n + $x);
                self::assertGreaterThanOrEqual($before - 1e-9, $below);
                self::assertEqualsWithDelta(1.0, $below + $loop->below(10 * $n - $x), 2e-4);
                $before = $below;
            }
            self::assertEqualsWithDelta(
                array_sum(array_map(static fn (Contributor $c): float => $c->halfMm(), $parts)) > 0 ? 1.0 : 0.0,
                array_sum(array_column($loop->shares(), 'share')),
                1e-9,
            );
        }
    }

    public function test_the_ends_of_the_road(): void
    {
        $fixed = [new Contributor('a', 10, 0, 0, 1), new Contributor('b', 9.9, 0, 0, -1)];
        self::assertSame(1.0, Loop::of($fixed, new Range(0.1, 0.2))->chance());
        self::assertSame(0.0, Loop::of($fixed, new Range(0.11, 0.2))->chance());
        self::assertSame(
            1.0,
            Loop::of([self::about(0.1)], new Range(-0.1, 0.1))->chance(),
            'worst case inside is certain',
        );
        self::assertSame('never-closes', Loop::of([self::about(0.1)], new Range(1, 2))->notes()[0]->code);
        foreach (
            [
                static fn () => Loop::of([], new Range(0, 1)),
                static fn () => new Contributor('x', NAN, 0, 0, 1),
                static fn () => new Contributor('x', 1, -0.1, 0, 1),
                static fn () => new Contributor('x', 1, INF, 0, 1),
                static fn () => new Contributor('x', 1, 0, INF, 1),
                static fn () => new Contributor('x', 1, 0, 0, 2),
            ] as $bad
        ) {
            try {
                $bad();
                self::fail('taken');
            } catch (BadInput $e) {
                self::assertStringStartsWith('contributor', $e->field);
            }
        }
        self::assertSame('contributors.0.direction', $this->refused(['direction' => 0.5]));
        self::assertSame('contributors.0.spread', $this->refused(['spread' => 'odd']));
        self::assertSame('contributors.0.plus_mm', $this->refused(['plus_mm' => -1]));
    }

    /** @param  array<string, mixed>  $change */
    private function refused(array $change): string
    {
        try {
            Sums::run('loop', [
                'contributors' => [
                    [
                        'name' => 'a',
                        'size_mm' => 1,
                        'plus_mm' => 0,
                        'minus_mm' => 0,
                        'direction' => 1,
                        'spread' => 'uniform',
                        ...$change,
                    ],
                ],
                'wanted' => ['min_mm' => 0, 'max_mm' => 1],
            ]);
        } catch (BadInput $bad) {
            return $bad->field;
        }
        self::fail('taken');
    }

    /**
     * Shigley's Mechanical Engineering Design, the bolt-and-sleeve stack of the first chapter, from memory: a 1.750 ±
     * 0.003, b 0.750 ± 0.001, c
     * 0.120 ± 0.005, d 0.875 ± 0.001 in; the gap a − b − c − d is 0.005 ± 0.010 in, so it can interfere.
     */
    public function test_shigley_gap(): void
    {
        $in = static fn (string $name, float $size, float $limit, int $direction): Contributor => new Contributor(
            $name,
            25.4 * $size,
            25.4 * $limit,
            25.4 * $limit,
            $direction,
        );
        $loop = Loop::of(
            [
                $in('a', 1.75, 0.003, 1),
                $in('b', 0.75, 0.001, -1),
                $in('c', 0.12, 0.005, -1),
                $in('d', 0.875, 0.001, -1),
            ],
            new Range(0.0, 1.0),
        );
        self::assertEqualsWithDelta(0.005, $loop->nominalMm() / 25.4, 1e-9);
        self::assertEqualsWithDelta([-0.005, 0.015], [$loop->worst()->min / 25.4, $loop->worst()->max / 25.4], 1e-9);
        // Root-sum-square by hand: √(9 + 1 + 25 + 1) = 6 thou.
        self::assertEqualsWithDelta(
            [-0.001, 0.011],
            [$loop->rootSumSquare()->min / 25.4, $loop->rootSumSquare()->max / 25.4],
            1e-9,
        );
        // c makes 25 of 36 parts of the spread.
        self::assertEqualsWithDelta(25 / 36, $loop->shares()[2]['share'], 1e-9);
        self::assertSame(
            ['may-not-close', 'measure-first'],
            array_map(static fn (Note $n): string => $n->code, $loop->notes()),
        );
    }

    /**
     * By hand: a housing 40 ± 0.05, a washer 3 +0/−0.05; the gap is to be 0.1 to 0.3. A spacer between closes it: 36.80
     * to 36.85, from the ends.
     */
    public function test_solved_for_one_length(): void
    {
        $loop = Loop::of(
            [new Contributor('housing', 40, 0.05, 0.05, 1), new Contributor('washer', 3, 0, 0.05, -1)],
            new Range(0.1, 0.3),
        );
        // Rest 36.95 to 37.10; least gap 0.1 from 36.95, most 0.3 from 37.10.
        $spacer = $loop->solveFor(-1);
        self::assertEqualsWithDelta([36.8, 36.85], [$spacer?->min, $spacer?->max], 1e-9);
        foreach ([36.8, 36.85] as $length) {
            $closed = Loop::of(
                [...$loop->contributors, new Contributor('spacer', $length, 0, 0, -1)],
                $loop->wanted,
            )->worst();
            self::assertGreaterThanOrEqual(0.1 - 1e-9, $closed->min);
            self::assertLessThanOrEqual(0.3 + 1e-9, $closed->max);
        }
        self::assertNull(
            Loop::of([self::about(0.2, Spread::Uniform, 10)], new Range(0.1, 0.3))->solveFor(-1),
            'the others take all of it',
        );
    }

    /** A wish to one side only has one end to be solved for: no more is reckoned than is wished. */
    public function test_a_wish_to_one_side(): void
    {
        $housing = new Contributor('housing', 40, 0.05, 0.05, 1);
        foreach ([[new Range(0.1, 1e5), -1, 'Most'], [new Range(-1e5, 0.3), -1, 'Least'], [new Range(0.1, 1e5), 1, 'Least'], [new Range(-1e5, 0.3), 1, 'Most']] as [$wanted, $direction, $end]) {
            $steps = Loop::of([$housing], $wanted)->solveWorking($direction, 'spacer')->steps;
            self::assertCount(2, $steps);
            self::assertStringStartsWith($end, $steps[1]->what);
        }
    }

    /** One length alone makes all of the spread: there is none to measure first. */
    public function test_one_length_is_the_first(): void
    {
        $notes = Loop::of([new Contributor('housing', 40, 0.05, 0.05, 1)], new Range(39.98, 40.02))->notes();
        self::assertSame(['may-not-close'], array_map(static fn (Note $n): string => $n->code, $notes));
    }

    /** The fewest pieces, then the nearest; against trying every pile there is. */
    public function test_shims(): void
    {
        $stock = [
            ['mm' => 0.05, 'count' => 3],
            ['mm' => 0.1, 'count' => 2],
            ['mm' => 0.2, 'count' => 1],
            ['mm' => 0.5, 'count' => 1],
        ];
        self::assertSame([0.5], Shims::pile($stock, new Range(0.45, 0.55)));
        self::assertSame([0.2, 0.1], Shims::pile($stock, new Range(0.28, 0.34)));
        self::assertSame([], Shims::pile($stock, new Range(-0.1, 0.1)));
        self::assertNull(Shims::pile($stock, new Range(0.31, 0.34)));
        mt_srand(11);
        for ($i = 0; $i < 200; $i++) {
            $low = mt_rand(1, 110) / 100;
            $wanted = new Range($low, $low + mt_rand(0, 6) / 100);
            $fewest = null;
            for ($a = 0; $a <= 3; $a++) {
                for ($b = 0; $b <= 2; $b++) {
                    for ($c = 0; $c <= 1; $c++) {
                        for ($d = 0; $d <= 1; $d++) {
                            $sum = 0.05 * $a + 0.1 * $b + 0.2 * $c + 0.5 * $d;
                            $pieces = $a + $b + $c + $d;
                            if (
                                $pieces > 0
                                && $pieces <= 5
                                && $sum >= $wanted->min - 1e-9
                                && $sum <= $wanted->max + 1e-9
                            ) {
                                $fewest = min($fewest ?? 9, $pieces);
                            }
                        }
                    }
                }
            }
            $pile = Shims::pile($stock, $wanted);
            self::assertSame($fewest, $pile === null ? null : count($pile));
        }
        $this->expectException(BadInput::class);
        Shims::pile([['mm' => 0.0, 'count' => 1]], new Range(0.1, 0.2));
    }
}
