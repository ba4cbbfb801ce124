<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Practice\JointEnd;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Level;
use Oldpart\Core\Practice\LoopEnd;
use Oldpart\Core\Practice\SizeEnd;
use Oldpart\Core\Practice\TrueJob;
use Oldpart\Core\Practice\TrueSurface;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where an end is judged, it is judged at its bounds. */
final class EndsTest extends TestCase
{
    /** A running joint is judged at its tightest and its loosest place: bore 32.04 oval by 6 µm, ring oval by 4 and of lobes of 1. */
    public function test_a_running_joint_is_judged_by_its_form(): void
    {
        $bench = Benches::lesson('thin-wall')->is('Mate bore', 32.04, 0.006)->is('Sleeve outside', 32.0, 0.004, 0.0, 0.001);
        $end = $this->joint($bench, 'Sleeve in its mate');
        self::assertEqualsWithDelta(0.04 - 0.003 - 0.002 - 0.002, $end->is->min, 1e-9);
        self::assertEqualsWithDelta(0.04 + 0.003 + 0.002 + 0.002, $end->is->max, 1e-9);
        // At the bound it works, a hair beyond it does not.
        $works = $this->joint(Benches::lesson('thin-wall')->is('Mate bore', 32.0), 'Sleeve in its mate')->works;
        foreach ([[-1, 1e-7, false], [-1, -1e-7, true], [1, 1e-7, false], [1, -1e-7, true]] as [$side, $beyond, $good]) {
            $clear = $side < 0 ? $works->min - $beyond : $works->max + $beyond;
            $at = Benches::lesson('thin-wall')->is('Mate bore', 32.0)->is('Sleeve outside', 32.0 - $clear);
            $is = $this->joint($at, 'Sleeve in its mate');
            self::assertSame($good, $is->isGood(), "{$side} {$beyond}");
        }
    }

    /** A press is judged by the means. */
    public function test_a_press_is_judged_by_its_means(): void
    {
        $bench = Benches::lesson('thin-wall')->is('Seat turned on the shaft', 30.0, 0.01)->is('Sleeve bore', 29.97, 0.02);
        $end = $this->joint($bench, 'Sleeve on the shaft');
        self::assertEqualsWithDelta([-0.03, -0.03], [$end->is->min, $end->is->max], 1e-9);
        self::assertTrue($end->made);
        // A blank is not made; a blank that lost a thousandth is begun.
        self::assertFalse($this->joint(Benches::lesson('thin-wall'), 'Sleeve on the shaft')->made);
    }

    /** Bores out of line by 0.12 take that of the room of a bush bored before it was pressed in; bored in place they don't. */
    #[DataProvider('orders')]
    public function test_bores_out_of_line_take_the_room(string $order, float $lost): void
    {
        $bench = Benches::lesson('not-in-line')->is('Bush outside', 28.04)->is('Bush bore', 22.0);
        $bore = static fn (float $mm): mixed => $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Bush bore'), 'mm' => $mm]);
        foreach (explode(' ', $order) as $deed) {
            match ($deed) {
                'press' => $bench->pressed(),
                'bore' => $bore(0.1),
                'spring' => $bore(0.0),
                'look' => $bench->reads('Bush bore', 'three-point'),
                'face' => $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Bush length'), 'mm' => 0.1]),
                default => null,
            };
        }
        $end = $this->joint($bench, 'Shaft in bush');
        $inner = $bench->shop->surface($bench->surface('Shaft journal'));
        $outer = $bench->shop->surface($bench->surface('Bush bore'));
        self::assertEqualsWithDelta($lost, ($outer?->smallestMm() ?? 0) - ($inner?->largestMm() ?? 0) - $end->is->min, 1e-9);
        self::assertEqualsWithDelta(($outer?->largestMm() ?? 0) - ($inner?->smallestMm() ?? 0), $end->is->max, 1e-9);
        // What is pressed itself loses nothing.
        $fast = $this->joint($bench, 'Bush in housing');
        self::assertSame($fast->is->min, $fast->is->max);
    }

    /** @return list<array{string, float}> */
    public static function orders(): array
    {
        return [['bore press', 0.12], ['press bore', 0.0], ['press', 0.12], ['press spring', 0.12], ['press face', 0.12], ['press look', 0.12], ['bore', 0.0]];
    }

    /** In bores that are in line nothing is lost. */
    public function test_bores_in_line_lose_nothing(): void
    {
        $bench = Benches::lesson('warm-part')->is('Bush outside', 28.04)->is('Bush bore', 22.1)->pressed();
        $end = $this->joint($bench, 'Shaft in bush');
        $inner = $bench->shop->surface($bench->surface('Shaft journal'));
        $outer = $bench->shop->surface($bench->surface('Bush bore'));
        self::assertEqualsWithDelta(($outer?->smallestMm() ?? 0) - ($inner?->largestMm() ?? 0), $end->is->min, 1e-9);
    }

    /** A loop is good from its least to its most, both counted in; what closes is taken off, half of a diameter where it is one. */
    public function test_a_loop_at_its_bounds(): void
    {
        $bench = new Benches(Lesson::free('flanged-bush', Level::Easy, Unit::Millimetre), 4);
        $loop = $this->loop($bench, 'Bush below the far face');
        $housing = $bench->trueMm('Housing length');
        [$least, $most] = [$loop->least?->length->mm, $loop->most?->length->mm];
        self::assertNotNull($most);
        foreach ([[$least ?? 0.0, true], [($least ?? 0.0) - 1e-6, $least === null], [$most, true], [$most + 1e-6, false]] as [$gap, $good]) {
            $bench->is('Length under the flange', $housing - $gap);
            $end = LoopEnd::of($loop, $bench->shop);
            self::assertEqualsWithDelta($gap, $end->gapMm ?? NAN, 1e-9);
            self::assertSame($good, $end?->isGood());
        }
        // Nothing asked, nothing judged; nor what lies in a plane.
        $row = (array) json_decode((string) json_encode($loop), true);
        foreach ([['least' => null, 'most' => null], ['plane' => true]] as $other) {
            self::assertNull(LoopEnd::of(LoopFacts::read(new Fields([...$row, ...$other])), $bench->shop));
        }
    }

    /** What goes by its shape is not judged, whether it is cut or not; nor what nobody cuts. */
    public function test_what_is_judged_at_all(): void
    {
        $judged = 0;
        foreach (['plain-bush', 'taper-hub', 'lever', 'stepped-shaft', 'repair-sleeve', 'flanged-axle'] as $kind) {
            $bench = new Benches(Lesson::free($kind, Level::Easy, Unit::Millimetre), 4);
            $true = TrueJob::outcome($bench->shop->laid, $bench->shop->truth);
            foreach ($bench->shop->laid->joints as $joint) {
                $sides = array_filter([$bench->shop->surface($joint->inner), $bench->shop->surface($joint->outer)]);
                $cut = array_filter($sides, static fn (TrueSurface $s): bool => $s->cut) !== [];
                $end = JointEnd::of($joint, $bench->shop, $true);
                if (count($sides) < 2 || ! $cut || Purpose::orNull($joint->purpose)?->shape !== null) {
                    self::assertNull($end, "{$kind}: {$joint->name}");
                }
                $judged += (int) ($end !== null);
            }
        }
        self::assertGreaterThan(8, $judged);
    }

    /** Without a joint, a free job is good when every size that was asked for is inside; one outside spoils it, and so does none. */
    public function test_a_job_without_joints_is_judged_by_its_sizes(): void
    {
        foreach ([[[0.05], true], [[0.05, 0.0], true], [[0.15], false], [[0.05, 0.15], false], [[], false]] as [$offs, $good]) {
            $bench = new Benches(Lesson::free('ported-block', Level::Easy, Unit::Millimetre), 4);
            $drawn = array_values(array_filter($bench->shop->laid->surfaces, static fn (SurfaceFacts $s): bool => $s->size !== null && $s->demand !== null));
            self::assertGreaterThanOrEqual(2, count($drawn));
            foreach ($offs as $i => $off) {
                $bench->is($drawn[$i]->name, ($drawn[$i]->size->length->mm ?? 0.0) + $off);
            }
            self::assertSame($good, $bench->debrief()->good, implode(' ', $offs));
        }
    }

    /** What is not asked of a loop is not told as a number. */
    public function test_a_bound_that_is_not_there_is_none(): void
    {
        $bench = new Benches(Lesson::free('flanged-bush', Level::Easy, Unit::Millimetre), 4);
        foreach ($bench->shop->laid->loops as $loop) {
            $end = LoopEnd::of($loop, $bench->shop);
            if ($end === null) {
                continue;
            }
            $json = (array) json_decode((string) json_encode($end), true);
            self::assertSame([$loop->least?->length->mm, $loop->most?->length->mm], [
                $json['least_mm'] === null ? null : (float) $json['least_mm'],
                $json['most_mm'] === null ? null : (float) $json['most_mm'],
            ]);
        }
        $open = LoopFacts::read(new Fields([
            ...(array) json_decode((string) json_encode($this->loop($bench, 'Bush below the far face')), true), 'most' => null, 'least' => ['typed' => '0', 'unit' => 'mm'],
        ]));
        $json = (array) json_decode((string) json_encode(LoopEnd::of($open, $bench->shop)), true);
        self::assertNull($json['most_mm']);
        self::assertEquals(0, $json['least_mm']);
        // With no least any gap is enough, as with no most none is too much.
        $row = (array) json_decode((string) json_encode($open), true);
        foreach ([['least' => null, 'most' => ['typed' => '0.5', 'unit' => 'mm'], 'gap' => -3.0], ['least' => ['typed' => '0', 'unit' => 'mm'], 'most' => null, 'gap' => 7.0]] as $asked) {
            $bench->is('Length under the flange', $bench->trueMm('Housing length') - $asked['gap']);
            $end = LoopEnd::of(LoopFacts::read(new Fields([...$row, 'least' => $asked['least'], 'most' => $asked['most']])), $bench->shop);
            self::assertTrue($end?->isGood(), (string) $asked['gap']);
        }
    }

    /** By how much a size is outside: over the upper limit, under the lower one, nothing between; as it came off the lathe. */
    public function test_how_far_a_size_is_off(): void
    {
        foreach ([[0.01, 0.01], [-0.01, 0.01], [0.0, 0.0]] as [$beyond, $off]) {
            $bench = Benches::lesson('warm-part')->measured('Housing bore', 'three-point');
            $true = TrueJob::outcome($bench->shop->laid, $bench->shop->truth);
            $asked = SizeEnd::all($bench->is('Bush outside', 28.05)->shop, $this->believed($bench), $true)[0]->asked;
            self::assertNotNull($asked);
            $bench->is('Bush outside', $beyond > 0 ? $asked->upperMm + $beyond : $asked->lowerMm + $beyond);
            $end = SizeEnd::all($bench->shop, $this->believed($bench), $true)[0];
            self::assertEqualsWithDelta($off, $end->offMm(), 1e-9);
            self::assertNull($end->believedMm, 'it was never read');
        }
        // One for each surface that was cut, none for the others.
        self::assertSame([], SizeEnd::all(Benches::lesson('warm-part')->shop, $this->believed(Benches::lesson('warm-part')), $true));
    }

    /** A quarter of what the joint works within (15 + 0.9 · 28 = 40.2 µm) and more is a wrong reading; less is not. */
    public function test_a_reading_is_at_fault_from_a_quarter_of_the_room(): void
    {
        foreach ([[0.0105, true], [-0.0105, true], [0.0095, false], [-0.0095, false]] as [$off, $fault]) {
            $bench = Benches::lesson('warm-part');
            $bench->reads('Housing bore', 'three-point', [], ['value' => ['typed' => number_format($bench->trueMm('Housing bore') + $off, 4, '.', ''), 'unit' => 'mm']]);
            $first = $bench->debrief()->first->mm ?? '';
            self::assertSame($fault, str_starts_with($first, 'At a reading of “Housing bore”, off by 0.01'), $first);
            self::assertSame(! $fault, $first === '“Bush in housing” was not made.', $first);
        }
    }

    /** A good size that stuck half way in is none; a blank that happens to be of the size is not made. */
    public function test_a_size_is_not_all(): void
    {
        $good = static fn (): Benches => new Benches(Lesson::named('thin-wall'), pressN: 100.0);
        $bench = $good()->is('Seat turned on the shaft', 30.0)->is('Sleeve bore', 29.975);
        self::assertTrue($this->joint($bench, 'Sleeve on the shaft')->isGood());
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Sleeve on the shaft'), 'way' => 'press']);
        $stuck = $this->joint($bench, 'Sleeve on the shaft');
        self::assertFalse($stuck->isGood());
        self::assertSame('It is stuck part of the way in: the press gives no more.', $stuck->says()->mm);
        $blank = $good()->is('Seat turned on the shaft', 26.025);
        self::assertSame(26.0, $blank->trueMm('Sleeve bore'));
        $end = $this->joint($blank, 'Sleeve on the shaft');
        self::assertTrue($end->is->min >= $end->works->min && $end->is->max <= $end->works->max);
        self::assertFalse($end->isGood());
        self::assertSame('It was not made.', $end->says()->mm);
    }

    /** Cut before its mate was measured: there was no size to cut to. */
    public function test_cut_before_there_was_a_size(): void
    {
        $bench = Benches::lesson('warm-part')->is('Bush outside', 28.5);
        self::assertSame('At “Bush outside”: it was cut before there was a size for it.', $bench->debrief()->first->mm ?? '');
        // With a size, what it is outside by.
        $known = Benches::lesson('warm-part')->measured('Housing bore', 'three-point')->is('Bush outside', 28.5);
        self::assertStringContainsString('At the cut of “Bush outside”: outside its limits by 0.4', $known->debrief()->first->mm ?? '');
    }

    /** Of a mistake that was never near, and of free practice, nothing is said. */
    public function test_nothing_is_said_of_what_did_not_come_up(): void
    {
        $trap = static fn (Benches $bench): mixed => ((array) json_decode((string) json_encode($bench->debrief()), true))['trap'];
        self::assertNull($trap(Benches::lesson('not-in-line')));
        self::assertNull($trap(new Benches(Lesson::free('plain-bush', Level::Easy, Unit::Millimetre), 4)));
        self::assertIsArray($trap(Benches::lesson('not-in-line')->is('Bush outside', 28.04)->pressed()));
    }

    /** More than four degrees over the room and nothing said of it: a warm part. */
    public function test_how_warm_is_warm(): void
    {
        foreach ([[23.9, false], [24.2, true]] as [$celsius, $fell]) {
            $bench = Benches::lesson('warm-part')->warm('Housing', $celsius);
            $bench->reads('Housing bore', 'three-point');
            self::assertSame($fell, $bench->debrief()->fell, (string) $celsius);
        }
    }

    /** A drawn size more than 0.15 mm from the true one was read in the other unit. */
    public function test_how_far_off_the_other_unit_is(): void
    {
        foreach ([[0.14, false], [-0.14, false], [0.16, true], [-0.16, true]] as [$off, $fell]) {
            $bench = Benches::lesson('wrong-unit');
            $typed = number_format($bench->trueMm('Wheel hole circle') + $off, 4, '.', '');
            $bench->change('Wheel hole circle', ['size' => ['typed' => $typed, 'unit' => 'mm']]);
            self::assertSame($fell, $bench->debrief()->fell, (string) $off);
        }
        self::assertNull(Benches::lesson('wrong-unit')->debrief()->fell);
    }

    /** What is nearer to the full swing than to half of it was taken from the dial as it stands. Its place is 3 and 4 of 5. */
    public function test_half_a_swing_or_a_whole_one(): void
    {
        foreach ([[1.0, false], [1.49, false], [1.51, true], [2.0, true]] as [$times, $fell]) {
            $bench = Benches::lesson('full-swing');
            $at = 4.06 * $times;
            $typed = static fn (float $mm): array => ['typed' => number_format($mm, 4, '.', ''), 'unit' => 'mm'];
            $bench->change('Bearing seat, offset', ['x' => $typed(0.6 * $at), 'y' => $typed(-0.8 * $at)]);
            self::assertSame($fell, $bench->debrief()->fell, (string) $times);
        }
        $one = Benches::lesson('full-swing')->change('Bearing seat, offset', ['x' => ['typed' => '4.06', 'unit' => 'mm'], 'y' => null]);
        self::assertFalse($one->debrief()->fell);
    }

    /** Looked along before they were put together: seen in time. Afterwards: not. */
    public function test_when_two_bores_are_looked_along(): void
    {
        foreach ([[['line', 'together'], false], [['together', 'line'], true], [['together'], true], [['line'], null]] as [$deeds, $fell]) {
            $bench = Benches::lesson('not-in-line')->is('Bush outside', 28.04);
            foreach ($deeds as $deed) {
                $deed === 'line' ? $bench->do(['kind' => 'line']) : $bench->pressed();
            }
            self::assertSame($fell, $bench->debrief()->fell, implode(', ', $deeds));
        }
    }

    private function joint(Benches $bench, string $name): JointEnd
    {
        foreach ($bench->shop->laid->joints as $joint) {
            if ($joint->name === $name) {
                $end = JointEnd::of($joint, $bench->shop, TrueJob::outcome($bench->shop->laid, $bench->shop->truth));
                self::assertNotNull($end);

                return $end;
            }
        }
        self::fail("no joint {$name}");
    }

    private function loop(Benches $bench, string $name): LoopFacts
    {
        return array_values(array_filter($bench->shop->laid->loops, static fn (LoopFacts $l): bool => $l->name === $name))[0];
    }

    private function believed(Benches $bench): \Oldpart\Core\Evaluate\Outcome
    {
        return (new \Oldpart\Core\Evaluate\Evaluator())->outcome($bench->facts());
    }
}
