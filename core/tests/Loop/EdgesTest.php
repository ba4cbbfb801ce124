<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Loop\Clearance;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Neighbour;
use Oldpart\Core\Loop\Offset;
use Oldpart\Core\Loop\Remedies;
use Oldpart\Core\Loop\Remedy;
use Oldpart\Core\Loop\Resultant;
use Oldpart\Core\Loop\Shims;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Loop\Travel;
use Oldpart\Core\Number\Normal;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What lengths that add up refuse, and what happens at the ends of their ranges; worked by hand. */
final class EdgesTest extends TestCase
{
    /** @return iterable<string, array{\Closure(): mixed}> */
    public static function refused(): iterable
    {
        $passes = static fn (?float $x, ?float $y, float $other, float $mover = 10.0): Clearance => new Clearance(
            kind: Travel::Swing,
            armMm: 50.0,
            moverMm: $mover,
            travel: new Range(0, 90),
            other: Neighbour::Round,
            xMm: $x,
            yMm: $y,
            otherMm: $other,
            doubtMm: 0.0,
        );
        yield 'a neighbour of no place across' => [static fn () => $passes(null, 20.0, 5.0)];
        yield 'a neighbour of no place along' => [static fn () => $passes(20.0, null, 5.0)];
        yield 'a neighbour without end' => [static fn () => $passes(20.0, 20.0, INF)];
        yield 'a neighbour below nothing' => [static fn () => $passes(20.0, 20.0, -1.0)];
        yield 'nothing that moves' => [static fn () => $passes(20.0, 20.0, 5.0, 0.0)];
        yield 'a length that counts for nothing' => [static fn () => new Contributor('a', 1, 0, 0, 1, weight: 0.0)];
        yield 'a length that counts more than whole' => [static fn () => new Contributor('a', 1, 0, 0, 1, weight: 1.01)];
        yield 'a length that goes neither way' => [static fn () => new Contributor('a', 1, 0, 0, 0)];
        yield 'a shim of nothing' => [static fn () => Shims::pile([['mm' => 0.0, 'count' => 1]], new Range(0.1, 0.2))];
        yield 'no lengths at all' => [static fn () => Resultant::of([], new Range(0, 1))];
    }

    #[DataProvider('refused')]
    public function test_refused(\Closure $act): void
    {
        $this->expectException(BadInput::class);
        $act();
    }

    public function test_what_needs_no_shim_gets_none(): void
    {
        $stock = [['mm' => 0.1, 'count' => 3]];
        self::assertSame([], Shims::pile($stock, new Range(0.0, 0.05)), 'nothing is enough');
        self::assertSame([0.1], Shims::pile($stock, new Range(0.01, 0.15)));
    }

    /**
     * A slide of ⌀10 along x at height 0 past a round ⌀10 at (20, 8): the middles are √((20−x)² + 64) apart, less 10 of radii; room
     * of 2 is missing where √((20−x)² + 64) < 12, which is |20 − x| < √80 = 8.944.
     */
    public function test_where_on_its_travel_it_fouls(): void
    {
        $slide = new Clearance(
            kind: Travel::Slide,
            armMm: 0.0,
            moverMm: 10.0,
            travel: new Range(0, 24),
            other: Neighbour::Round,
            xMm: 20.0,
            yMm: 8.0,
            otherMm: 10.0,
            doubtMm: 0.0,
        );
        $fouls = $slide->fouls(2.0);
        self::assertEqualsWithDelta(20.0 - sqrt(80.0), $fouls->min ?? 0, 0.1);
        self::assertSame(24.0, $fouls?->max, 'the travel ends inside');
        self::assertNull($slide->fouls(-3.0), 'no room at all is wanted');
    }

    /**
     * Two lengths at 60° to each other, ±0.3 each: along the first the other counts ±0.15. Of a trapezoid of ±0.3 and ±0.15 one in
     * forty lies beyond 0.45 − √(2 · 0.6 · 0.3/40) on either side.
     */
    public function test_lengths_that_are_not_square_to_each_other(): void
    {
        $slant = Resultant::of(
            [
                new Offset('a', 100.0, 0.3, 0.0, Spread::Uniform),
                new Offset('b', 1e-6, 0.3, 60.0, Spread::Uniform),
            ],
            new Range(90, 110),
        );
        $likely = $slant->likely();
        self::assertEqualsWithDelta(2 * (0.45 - sqrt(2 * 0.6 * 0.3 / 40)), $likely->width(), 0.0005);
        $sharp = Resultant::of([new Offset('a', 100.0, 0.0, 0.0, Spread::Uniform)], new Range(99, 101));
        self::assertEqualsWithDelta([100.0, 100.0], [$sharp->likely()->min, $sharp->likely()->max], 1e-5);
        self::assertSame(1.0, $sharp->chance());
    }

    /**
     * A normal length laid over a uniform one: held to ±a with a uniform of ±b beside it in a wish of ±w, by the normal table: one
     * alone in ±3 s is 99.73 of 100.
     */
    public function test_a_normal_length_is_weighed_as_one(): void
    {
        $loop = Loop::of(
            [
                new Contributor('bought', 10.0, 0.3, 0.3, 1, Spread::Normal),
                new Contributor('made', 5.0, 0.001, 0.001, -1, Spread::Uniform),
            ],
            new Range(4.85, 5.15),
        );
        // ±0.3 are its three deviations: s = 0.1, the wish is ±1.5 s, and 86.6 of 100 lie inside.
        self::assertEqualsWithDelta(0.8664, $loop->chance(), 0.0006);
        $remedies = (new Remedies($loop, 0.01))->all([], [0]);
        $hold = array_values(array_filter($remedies, static fn (Remedy $r): bool => $r->kind === 'hold'))[0] ?? null;
        // Held so that 99.73 of 100 are inside ±0.15: three deviations again.
        self::assertEqualsWithDelta(0.15, $hold->new->plusMm ?? 0, 0.004);
    }

    /** A gap that is 0.3 too wide at its widest, closed by a face that closes it: nothing comes off; one that opens it gives 0.3. */
    public function test_what_a_face_can_give(): void
    {
        $gap = static fn (float $wide): Loop => Loop::of(
            [
                new Contributor('housing', 20.0 + $wide, 0.01, 0.01, 1),
                new Contributor('shaft', 19.8, 0.01, 0.01, -1),
            ],
            new Range(0.1, 0.3),
        );
        $faces = static fn (Loop $loop): array => array_map(
            static fn (Remedy $r): array => [$r->place, round($r->old->sizeMm - $r->new->sizeMm, 3)],
            array_values(array_filter(
                (new Remedies($loop, 0.01))->all([], [], [], [0, 1]),
                static fn (Remedy $r): bool => $r->kind === 'face',
            )),
        );
        // 0.5 nominal: the middle of the wish is 0.2, so 0.3 comes off the housing, which opens the gap.
        self::assertSame([[0, 0.3]], $faces($gap(0.3)));
        // 0.0 nominal: 0.2 off the shaft, which closes it.
        self::assertSame([[1, 0.2]], $faces($gap(-0.2)));
        self::assertSame([], $faces($gap(0.0)), 'it is as wanted: nothing comes off');
        // ± 0.02 in all lies inside ± 0.1, and never in ± 0.005.
        $enough = static fn (float $half): bool => (new Remedies(
            Loop::of($gap(0.3)->contributors, new Range(0.2 - $half, 0.2 + $half)),
            0.01,
        ))->all([], [], [], [0])[0]->enough;
        self::assertSame([true, false], [$enough(0.1), $enough(0.005)]);
    }

    /**
     * Two lengths at right angles that scatter unevenly: normal along and across, so the axes stay those two, whichever is
     * the wider; at 45° and 135° they are those. The chance is that of the chi distribution where both are alike:
     * 1 − exp(−r²/2σ²) about the start itself (Rayleigh).
     */
    public function test_the_axes_of_two_directions(): void
    {
        $at = static fn (float $deg, float $size, float $half): Offset => new Offset(
            'a',
            $size,
            $half,
            $deg,
            Spread::Measured,
        );
        foreach ([[0.0, 90.0], [30.0, 120.0]] as [$one, $other]) {
            foreach ([[0.3, 0.1], [0.1, 0.3]] as [$wide, $narrow]) {
                $loop = Resultant::of([$at($one, 0.0, $wide), $at($other, 0.0, $narrow)], new Range(0.0, 0.2));
                // By its two independent halves, on a grid: P(x² + y² < r²).
                [$sx, $sy] = [$wide / 2, $narrow / 2];
                $sum = 0.0;
                for ($i = 0; $i < 4000; $i++) {
                    $x = 0.2 * (2 * ($i + 0.5) / 4000 - 1);
                    $y = sqrt(0.04 - $x * $x);
                    $sum += (0.4 / 4000) * exp(-($x / $sx) ** 2 / 2) / ($sx * sqrt(2 * M_PI))
                        * (2 * Normal::below($y / $sy) - 1);
                }
                self::assertEqualsWithDelta($sum, $loop->within(0.2), 2e-4);
            }
        }
    }

    /** A pile fits by what it adds up to, and a stock is used no further than it goes. */
    public function test_a_pile_adds_up(): void
    {
        $stock = [['mm' => 0.2, 'count' => 1], ['mm' => 0.1, 'count' => 1], ['mm' => 0.05, 'count' => 4]];
        self::assertSame([0.2, 0.1], Shims::pile($stock, new Range(0.29, 0.31)));
        self::assertSame([0.1, 0.05, 0.05, 0.05, 0.05], Shims::pile([$stock[1], $stock[2]], new Range(0.29, 0.31)));
        self::assertNull(Shims::pile([['mm' => 0.1, 'count' => 2]], new Range(0.29, 0.31)));
    }
}
