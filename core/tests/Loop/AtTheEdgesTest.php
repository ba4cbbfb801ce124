<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Loop\BestLength;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Distribution;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Offset;
use Oldpart\Core\Loop\Remedies;
use Oldpart\Core\Loop\Remedy;
use Oldpart\Core\Loop\Shims;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** Loops at the ends of what is taken, and remedies by hand. */
final class AtTheEdgesTest extends TestCase
{
    private static function about(string $name, float $size, float $half, int $direction = 1, float $weight = 1.0): Contributor
    {
        return new Contributor($name, $size, $half, $half, $direction, Spread::Uniform, weight: $weight);
    }

    public function test_lengths_up_to_twenty_metres(): void
    {
        self::assertSame(20000.0, (new Contributor('rail', 20000.0, 0, 0, 1))->sizeMm);
        self::assertSame(-20000.0, (new Offset('arm', -20000.0, 0.0, 0.0))->sizeMm);
        foreach ([20000.5, -20000.5, INF, NAN] as $size) {
            foreach ([static fn () => new Contributor('rail', $size, 0, 0, 1), static fn () => new Offset('arm', $size, 0.0, 0.0)] as $make) {
                try {
                    $make();
                    self::fail("{$size} was taken");
                } catch (BadInput $bad) {
                    self::assertStringContainsString('up to 20 m', $bad->getMessage());
                }
            }
        }
    }

    /** By hand: 0.3 wanted to the hundredth is three of 0.1, or 0.25 and 0.05, which are fewer. */
    public function test_piles_of_shims(): void
    {
        $stock = [['mm' => 0.1, 'count' => 3], ['mm' => 0.25, 'count' => 1], ['mm' => 0.05, 'count' => 2]];
        self::assertEqualsWithDelta([0.25, 0.05], Shims::pile($stock, new Range(0.295, 0.305)), 1e-12);
        self::assertEqualsWithDelta([0.1, 0.1, 0.1], Shims::pile([['mm' => 0.1, 'count' => 3]], new Range(0.3, 0.3)), 1e-12);
        self::assertNull(Shims::pile([['mm' => 0.1, 'count' => 2]], new Range(0.3, 0.3)), 'two are no three');
        // Of one piece each, the one nearer the middle of what is wanted.
        self::assertSame([0.15], Shims::pile([['mm' => 0.2, 'count' => 1], ['mm' => 0.15, 'count' => 1], ['mm' => 0.1, 'count' => 1]], new Range(0.1, 0.2)));
        self::assertSame([], Shims::pile($stock, new Range(-0.1, 0.1)));
    }

    /**
     * Half of a plate counts: 40 less ½ · 40 is 20, and 21 to 22 is wanted. Taking 2 to 4 off the plate does it, the
     * middle is 3. Half of one that opens: ½ · 60 − 5 is 25, 21 to 22 wanted, 6 to 8 off, the middle 7.
     */
    public function test_taking_off_what_counts_in_part(): void
    {
        $closes = Loop::of([self::about('housing', 40, 0), self::about('plate', 40, 0, -1, 0.5)], new Range(21, 22));
        $face = (new Remedies($closes, 0.02))->all([], [], [], [1])[0];
        self::assertEqualsWithDelta(37.0, $face->new->sizeMm, 1e-9);
        self::assertMatchesRegularExpression('/2\.000.*4\.000/', $face->do->mm);
        $opens = Loop::of([self::about('bar', 60, 0, 1, 0.5), self::about('ring', 5, 0, -1)], new Range(21, 22));
        self::assertEqualsWithDelta(53.0, (new Remedies($opens, 0.02))->all([], [], [], [0])[0]->new->sizeMm, 1e-9);
    }

    /** Of four that would each do, the three that spread most are named: ±0.1 four times in ±0.31 (Irwin and Hall). */
    public function test_no_more_than_three_are_looked_at(): void
    {
        $four = array_map(static fn (int $k): Contributor => self::about("p{$k}", 5, 0.1), range(0, 3));
        $loop = Loop::of($four, new Range(19.69, 20.31));
        self::assertEqualsWithDelta(1 - 2 * 0.9 ** 4 / 384, $loop->chance(), 1e-4);
        $holds = array_filter((new Remedies($loop, 0.001))->all([], [0, 1, 2, 3]), static fn (Remedy $r): bool => $r->kind === 'hold');
        self::assertCount(3, $holds);
    }

    /** A third of the width is three times the work, and ten times that where the lathe hardly holds it. */
    public function test_how_much_work_closer_limits_are(): void
    {
        [$wide, $close] = [self::about('washer', 5, 0.3), self::about('washer', 5, 0.1)];
        foreach ([[0.02, 3.0, '.'], [0.25, 30.0, ': closer than your lathe holds.']] as [$lathe, $effort, $end]) {
            $remedy = Remedy::hold(old: $wide, new: $close, place: 0, chance: 1.0, wanted: 0.9973, holdsMm: $lathe);
            self::assertEqualsWithDelta($effort, $remedy->effort, 1e-9);
            self::assertStringEndsWith($end, $remedy->do->mm);
        }
    }

    /** 10 less the open one within 0 to 19.8: 0.1 is the middle, and a length is never less than a tenth of that. */
    public function test_the_best_length_is_one_that_can_be(): void
    {
        $best = BestLength::of(Loop::of([self::about('housing', 10, 0)], new Range(0, 19.8)), -1, 1.0, 0.01);
        self::assertNotNull($best);
        self::assertEqualsWithDelta(0.1, $best->aimMm, 1e-9);
        self::assertEqualsWithDelta([0.01, 0.19], [$best->band->lowerMm, $best->band->upperMm], 1e-6);
    }

    /** A share of all sums is between none and all, wherever it is asked for. */
    public function test_a_share_is_a_share(): void
    {
        $sum = new Distribution(array_map(static fn (int $k): Contributor => self::about("p{$k}", 0, 0.01 * $k), range(1, 5)));
        $before = 0.0;
        foreach (range(-200, 200) as $step) {
            $share = $sum->below($step / 1000);
            self::assertGreaterThanOrEqual($before - 1e-6, $share);
            self::assertLessThanOrEqual(1.0, $share);
            $before = max(0.0, $share);
        }
        self::assertEqualsWithDelta(1.0, $before, 1e-9);
        self::assertEqualsWithDelta(0.5, $sum->below(0.0), 1e-6);
    }

    /** A reserve that is used from 20 up to 22 of 25 leaves 3, from 20 down to 17 of 15 leaves 2. */
    public function test_what_is_left_of_a_reserve(): void
    {
        $old = self::about('shaft in its socket', 20, 0.02, -1);
        $says = static fn (float $to): string => Remedy::absorb(old: $old, new: $old->resized($to, 0.02, 0.02), place: 0, between: new Range(15, 25), chance: 1.0, wanted: 0.9973)->do->mm;
        self::assertStringContainsString('3.000 mm of its reserve is left', $says(22.0));
        self::assertStringContainsString('2.000 mm of its reserve is left', $says(17.0));
        self::assertStringContainsString('reserve is then used up', $says(25.0));
    }

    /** What is exactly as wanted is wanted: 10 exact in 10 to 10.1 and in 9.9 to 10, and not in what begins beyond it. */
    public function test_lengths_without_doubt(): void
    {
        $in = static fn (float $min, float $max): float => Loop::of([self::about('bar', 10, 0)], new Range($min, $max))->chance();
        self::assertSame([1.0, 1.0, 1.0, 0.0, 0.0], [$in(10, 10.1), $in(9.9, 10), $in(10, 10), $in(10.001, 10.1), $in(9.9, 9.999)]);
        $bounded = static fn (float $min, float $max): float => Loop::of([self::about('bar', 10, 0.05)], new Range($min, $max))->chance();
        self::assertSame(1.0, $bounded(9.95, 10.05), 'just as wide as wanted');
        self::assertEqualsWithDelta(0.5, $bounded(10.0, 10.05), 1e-6);
    }
}
