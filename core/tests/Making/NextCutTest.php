<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Eris\Generator;
use Eris\TestTrait;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Making\Cut;
use Oldpart\Core\Making\CutState;
use Oldpart\Core\Making\NextCut;
use Oldpart\Core\Making\PlannedCut;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use PHPUnit\Framework\TestCase;

/** Roughing, two equal cuts, a spring pass: common practice of the trade, no source. Sums by hand. */
final class NextCutTest extends TestCase
{
    use TestTrait;

    public function test_last_two_cuts_are_equal(): void
    {
        $next = NextCut::toward(SurfaceKind::Shaft, new Band(28.585, 28.6), 29.0, 0.3);
        self::assertEqualsWithDelta(0.4, $next->leftMm, 1e-9, 'aims at the end where metal is left');
        self::assertSame(2, $next->cuts);
        self::assertEqualsWithDelta(0.2, $next->dialMm, 1e-9);
        self::assertSame(
            ['finish', 'finish', 'spring'],
            array_map(static fn (PlannedCut $c): string => $c->kind->value, $next->plan),
        );
    }

    public function test_roughs_first_when_there_is_much(): void
    {
        $next = NextCut::toward(SurfaceKind::Shaft, new Band(28.585, 28.6), 30.6, 0.5);
        self::assertEqualsWithDelta(0.5, $next->dialMm, 1e-9);
        self::assertSame(
            ['rough', 'rough', 'finish', 'finish', 'spring'],
            array_map(static fn (PlannedCut $c): string => $c->kind->value, $next->plan),
        );
        self::assertEqualsWithDelta(2.0, array_sum(array_column($next->plan, 'takeMm')), 1e-9);
    }

    /** The first of two cuts of 0.2 took off 0.18: the next must be dialled 0.22/0.9 to take the 0.22 that is left. */
    public function test_the_second_is_corrected_by_the_first(): void
    {
        $next = NextCut::toward(SurfaceKind::Shaft, new Band(28.585, 28.6), 28.82, 0.5, [new Cut(0.2, 0.18)]);
        self::assertSame(1, $next->cuts);
        self::assertEqualsWithDelta(0.22 / 0.9, $next->dialMm, 1e-9);
    }

    public function test_a_bore_grows(): void
    {
        $next = NextCut::toward(SurfaceKind::Bore, new Band(25.02, 25.041), 24.62, 0.4);
        self::assertEqualsWithDelta(0.4, $next->leftMm, 1e-9);
        self::assertEqualsWithDelta(0.2, $next->dialMm, 1e-9);
    }

    public function test_inside_says_stop_and_past_says_so(): void
    {
        $inside = NextCut::toward(SurfaceKind::Shaft, new Band(28.585, 28.6), 28.592, 0.5);
        self::assertSame([CutState::Inside, 0, 0.0], [$inside->state, $inside->cuts, $inside->dialMm]);
        $past = NextCut::toward(SurfaceKind::Shaft, new Band(28.585, 28.6), 28.575, 0.5);
        self::assertSame(CutState::Past, $past->state);
        self::assertSame('past', $past->notes[0]->code);
        self::assertStringContainsString('0.010 mm', $past->notes[0]->say->mm);
    }

    /** A cross slide that reads radius takes twice what is dialled (common practice, no source). */
    public function test_a_radius_dial_is_noticed(): void
    {
        $next = NextCut::toward(SurfaceKind::Shaft, new Band(28.585, 28.6), 29.2, 0.5, [new Cut(0.25, 0.5)]);
        self::assertSame('dial-radius', $next->notes[0]->code);
        self::assertEqualsWithDelta(0.3, 2 * $next->dialMm, 1e-9, 'dialled as this dial takes it');
    }

    /**
     * Half came off where the amount was meant on the radius: said, and dialled as shown; a ratio from 0.6 to 1.6 is a
     * springing tool, beyond it a slip (common practice, no source).
     */
    public function test_what_the_last_cut_says(): void
    {
        $next = static fn (float $dialled, float $removed): NextCut => NextCut::toward(
            SurfaceKind::Shaft,
            new Band(28.585, 28.6),
            30.6,
            0.5,
            [new Cut($dialled, $removed)],
        );
        $half = $next(0.5, 0.25);
        self::assertSame('dial-radius', $half->notes[0]->code);
        self::assertStringStartsWith('Half of what was dialled', $half->notes[0]->say->mm);
        self::assertEqualsWithDelta(0.5, $half->dialMm, 1e-9);
        self::assertStringStartsWith('Twice what was dialled', $next(0.25, 0.5)->notes[0]->say->mm);
        self::assertEqualsWithDelta(0.5 / 0.62, $next(0.5, 0.31)->dialMm, 1e-9);
        self::assertEqualsWithDelta(0.5 / 1.58, $next(0.5, 0.79)->dialMm, 1e-9);
        foreach ([[0.5, 0.2], [0.5, 0.83], [0.5, -0.1]] as [$dialled, $removed]) {
            self::assertSame('cut-unlikely', $next($dialled, $removed)->notes[0]->code);
            self::assertEqualsWithDelta(0.5, $next($dialled, $removed)->dialMm, 1e-9);
        }
        self::assertSame([], $next(0.0, 0.01)->notes, 'a spring pass says nothing of the dial');
    }

    public function test_refusals(): void
    {
        $band = new Band(28.585, 28.6);
        foreach (
            [
                'now_mm' => static fn (): NextCut => NextCut::toward(SurfaceKind::Shaft, $band, 0.0, 0.5),
                'rough_mm' => static fn (): NextCut => NextCut::toward(SurfaceKind::Shaft, $band, 30.0, 0.0),
                'history.0' => static fn (): NextCut => NextCut::toward(SurfaceKind::Shaft, $band, 30.0, 0.5, [
                    new Cut(-0.1, 0.1),
                ]),
                'history.1' => static fn (): NextCut => NextCut::toward(SurfaceKind::Shaft, $band, 30.0, 0.5, [
                    new Cut(0.1, 0.1),
                    new Cut(NAN, 0.1),
                ]),
                'history.2' => static fn (): NextCut => NextCut::toward(SurfaceKind::Shaft, $band, 30.0, 0.5, [
                    new Cut(0.1, 0.1),
                    new Cut(0.1, 0.1),
                    new Cut(INF, 0.1),
                ]),
            ] as $field => $make
        ) {
            try {
                $make();
                self::fail($field);
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }

    /**
     * Cutting as told, on a lathe that takes off a steady share of what is dialled, always ends inside and never past.
     */
    public function test_following_it_ends_inside(): void
    {
        $this->forAll(
            Generator\choose(80, 118),
            Generator\choose(20, 3000),
            Generator\choose(100, 900),
            Generator\choose(12, 60),
        )->then(function (int $share, int $over, int $rough, int $width): void {
            $band = new Band(30.0 - $width / 1000, 30.0);
            $now = 30.0 + $over / 1000;
            $history = [];
            for ($i = 0; $i < 40; $i++) {
                $next = NextCut::toward(SurfaceKind::Shaft, $band, $now, $rough / 1000, $history);
                if ($next->state !== CutState::Cut) {
                    break;
                }
                $removed = ($next->dialMm * $share) / 100;
                $history[] = new Cut($next->dialMm, $removed);
                $now -= $removed;
                if (abs($now - 30.0) < 1e-9) {
                    $now = 30.0;
                }
            }
            self::assertSame(CutState::Inside, $next?->state, "ended at {$now}");
        });
    }

    /** A size typed in the wrong unit leaves metres to take off: said, counted, but not listed cut by cut. */
    public function test_a_size_far_off_is_pointed_out(): void
    {
        $next = NextCut::toward(SurfaceKind::Shaft, new Band(28.585, 28.6), 5028.6, 0.5);
        self::assertSame('many-cuts', $next->notes[0]->code);
        self::assertSame(10000, $next->cuts);
        self::assertLessThan(60, count($next->plan));
    }

    /** The other school, by hand: 0.5 off in rough cuts of 0.2, the last half thou with emery. */
    public function test_the_last_of_it_is_polished(): void
    {
        $band = new Band(19.98, 20.0);
        $next = NextCut::toward(SurfaceKind::Shaft, $band, 20.5, 0.2, polished: true);
        self::assertSame(['rough', 'rough', 'finish', 'polish'], array_map(static fn ($c): string => $c->kind->value, $next->plan));
        self::assertEqualsWithDelta([0.2, 0.2, 0.1 - 0.0127, 0.0127], array_map(static fn ($c): float => $c->takeMm, $next->plan), 1e-9);
        self::assertSame(0.0, $next->plan[3]->dialMm);
        $last = NextCut::toward(SurfaceKind::Shaft, $band, 20.012, 0.2, polished: true);
        self::assertSame([['polish', 0.012, 0.0]], array_map(static fn ($c): array => [$c->kind->value, round($c->takeMm, 6), $c->dialMm], $last->plan));
    }

    /** Four thousandths of a millimetre are left of the band: no cut is so fine. */
    public function test_one_more_would_lose_it(): void
    {
        $says = static fn (float $now): string => NextCut::toward(SurfaceKind::Shaft, new Band(19.98, 20.0), $now, 0.2)->notes[0]->say->mm;
        self::assertStringContainsString('one more cut would lose it', $says(19.984));
        self::assertStringNotContainsString('one more cut would lose it', $says(19.986));
    }

    /** How far it is past, whichever way: 0.012 over a bore of 25.000 to 25.021, 0.012 under a shaft. */
    public function test_how_far_past(): void
    {
        $band = new Band(25.0, 25.021);
        $says = static fn (SurfaceKind $kind, float $now): string => NextCut::toward($kind, $band, $now, 0.5)->notes[0]->say->mm;
        self::assertStringStartsWith('Too large by 0.012', $says(SurfaceKind::Bore, 25.033));
        self::assertStringStartsWith('Too small by 0.012', $says(SurfaceKind::Shaft, 24.988));
    }

    /** A bore below its limits has metal left and above them none; a shaft the other way about. Geometry. */
    public function test_where_a_size_stands_to_its_limits(): void
    {
        $band = new Band(30.0, 30.02);
        $states = static fn (SurfaceKind $kind): array => array_map(
            static fn (float $size): string => CutState::of($size, $band, $kind)->value,
            [29.99, 30.0, 30.02, 30.03],
        );
        self::assertSame(['cut', 'inside', 'inside', 'past'], $states(SurfaceKind::Bore));
        self::assertSame(['past', 'inside', 'inside', 'cut'], $states(SurfaceKind::Shaft));
    }
}
