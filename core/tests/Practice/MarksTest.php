<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Gauge\TrueShape;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Practice\BenchView;
use Oldpart\Core\Practice\Debrief;
use Oldpart\Core\Practice\Deed;
use Oldpart\Core\Practice\DeedKind;
use Oldpart\Core\Practice\Dice;
use Oldpart\Core\Practice\GaugeFace;
use Oldpart\Core\Practice\Joined;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Level;
use Oldpart\Core\Practice\Score;
use Oldpart\Core\Practice\Skill;
use Oldpart\Core\Practice\Trap;
use Oldpart\Core\Practice\TrueSurface;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** The marks, worked by hand, and what is drawn, by how it is made. */
final class MarksTest extends TestCase
{
    /**
     * A light press at 28 mm works from 0 to 15 + 0.9 · 28 = 40.2 µm tight (the purpose's own rule): 4 µm off in the bore
     * is a tenth of that, and twice a tenth is lost.
     */
    public function test_measuring_loses_by_the_room_of_the_joint(): void
    {
        foreach ([[28.034, 100], [28.038, 80], [28.030, 80], [28.060, 0]] as [$mm, $points]) {
            $bench = Benches::lesson('warm-part');
            $bench->reads('Housing bore', 'three-point', [], ['value' => ['typed' => (string) $mm, 'unit' => 'mm']]);
            $score = $this->score($bench->debrief(), Skill::Measuring);
            self::assertEqualsWithDelta($points, $score->points, 1, (string) $mm);
            self::assertStringContainsString('Housing bore', $score->why->mm);
        }
        self::assertNull($this->score(Benches::lesson('warm-part')->debrief(), Skill::Measuring)->points);
    }

    /** One of two cut inside what was asked is 50; a size nobody asked for counts for nothing. */
    public function test_cutting_counts_what_came_out_inside(): void
    {
        $bench = Benches::lesson('size-for-size');
        $bench->measured('Shaft end', 'outside-micrometer')->measured('Pin', 'outside-micrometer');
        $bench->cutTo('Hub bore', 20.0)->cutTo('Pin bore', 10.2)->cutTo('Hub boss', 39.0);
        $debrief = $bench->debrief();
        self::assertCount(3, $debrief->sizes);
        $score = $this->score($debrief, Skill::Cutting);
        self::assertSame(50, $score->points);
        self::assertSame('1 of 2 came out inside what was asked.', $score->why->mm);
        foreach ($debrief->sizes as $size) {
            self::assertEqualsWithDelta($bench->trueMm($size->surface->name), $size->isMm, 1e-9);
        }
        $pin = array_values(array_filter($debrief->sizes, static fn ($s): bool => $s->surface->name === 'Pin bore'))[0];
        self::assertEqualsWithDelta($bench->trueMm('Pin bore') - ($pin->asked->upperMm ?? 0), $pin->offMm(), 1e-9);
        // Read well, the product asks for nearly the same: it was a little less sure than with everything read right.
        self::assertEqualsWithDelta($pin->right?->middleMm() ?? 0.0, $pin->asked?->middleMm() ?? 1.0, 0.006);
        self::assertStringContainsString('At the cut of “Pin bore”', $debrief->first->mm ?? '');
    }

    /** A cut that pressing then closed is told as it came off the lathe. */
    public function test_what_pressing_did_is_not_the_cuts(): void
    {
        $bench = Benches::lesson('not-in-line');
        $bench->measured('Housing bore', 'three-point')->cutTo('Bush bore', 22.05)->cutTo('Bush outside', 28.045);
        $was = $bench->trueMm('Bush bore');
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Bush in housing'), 'way' => 'press']);
        self::assertLessThan($was - 0.005, $bench->trueMm('Bush bore'));
        $sizes = array_values(array_filter($bench->debrief()->sizes, static fn ($s): bool => $s->surface->name === 'Bush bore'));
        self::assertEqualsWithDelta($was, $sizes[0]->isMm, 1e-9);
    }

    /** Another purpose than the joint has is no fit; it is named. */
    public function test_a_fit_for_another_purpose_is_none(): void
    {
        $bench = Benches::lesson('warm-part');
        $bench->measured('Housing bore', 'three-point')->cutTo('Bush outside', 28.0);
        $facts = $bench->facts();
        self::assertSame(100, $this->score($bench->debrief(), Skill::Fit)->points);
        $array = (array) json_decode((string) json_encode($facts), true);
        $array['joints'] = array_map(
            static fn (array $j): array => $j['name'] === 'Bush in housing' ? [...$j, 'purpose' => 'hand-fit'] : $j,
            (array) $array['joints'],
        );
        $debrief = Debrief::of($bench->lesson, $bench->shop, JobFacts::fromArray($array));
        self::assertSame(0, $this->score($debrief, Skill::Fit)->points);
        self::assertStringContainsString('another purpose was chosen', $debrief->first->mm ?? '');
        // Nor does it help that its limits would do.
        $array['joints'] = array_map(
            static fn (array $j): array => $j['name'] === 'Bush in housing' ? [
                ...$j, 'purpose' => 'medium-press', 'school' => null,
                'least' => ['typed' => '-0.03', 'unit' => 'mm'], 'most' => ['typed' => '-0.01', 'unit' => 'mm'],
            ] : $j,
            $array['joints'],
        );
        $debrief = Debrief::of($bench->lesson, $bench->shop, JobFacts::fromArray($array));
        self::assertSame(0, $this->score($debrief, Skill::Fit)->points);
        // Limits typed by hand, wider than it works within: at both ends, or at one.
        foreach ([['-0.1', '0.1'], ['-0.05', '-0.01'], ['-0.03', '0.01']] as [$least, $most]) {
            $array['joints'] = array_map(
                static fn (array $j): array => $j['name'] === 'Bush in housing' ? [
                    ...$j, 'purpose' => 'light-press', 'school' => null,
                    'least' => ['typed' => $least, 'unit' => 'mm'], 'most' => ['typed' => $most, 'unit' => 'mm'],
                ] : $j,
                $array['joints'],
            );
            $debrief = Debrief::of($bench->lesson, $bench->shop, JobFacts::fromArray($array));
            self::assertSame(0, $this->score($debrief, Skill::Fit)->points, $least);
            self::assertStringContainsString('its limits are wider', $debrief->first->mm ?? '', $least);
        }
    }

    /** Started with a press that can't finish it, it is stuck half way, and that costs 40; one that can, costs nothing. */
    public function test_stuck_half_way_costs(): void
    {
        foreach ([[100.0, 60, 'stuck half way.'], [1e9, 100, null]] as [$press, $points, $why]) {
            $bench = (new Benches(Lesson::named('bond-by-heat'), pressN: $press))->is('Mate bore', 36.0)->is('Sleeve outside', 36.02);
            $bench->do(['kind' => 'together', 'joint' => $bench->joint('Sleeve in its mate'), 'way' => 'press']);
            $score = $this->score($bench->debrief(), Skill::Order);
            self::assertSame($points, $score->points);
            $why === null || self::assertSame($why, $score->why->mm);
        }
    }

    /** Each thing done in the wrong order costs 40. */
    public function test_the_order_costs_for_each_thing(): void
    {
        $bench = Benches::lesson('thin-wall')->cutTo('Sleeve outside', 31.96);
        $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Sleeve bore'), 'mm' => 3.4]);
        $bench->reads('Sleeve bore', 'three-point', [], ['state' => 'done']);
        $score = $this->score($bench->debrief(), Skill::Order);
        self::assertSame(20, $score->points);
        self::assertSame('measured warm, bored a thin ring last.', $score->why->mm);
    }

    public function test_free_practice_is_judged_by_its_joints(): void
    {
        $bench = new Benches(Lesson::free('plain-bush', Level::Easy, Unit::Millimetre), 4);
        $score = $this->score($bench->debrief(), Skill::Judgement);
        self::assertSame(0, $score->points);
        self::assertSame('0 of 3 joints do their work.', $score->why->mm);
        // 20 µm tight in its housing, whatever that is: one of three.
        $one = new Benches(Lesson::free('plain-bush', Level::Easy, Unit::Millimetre), 4);
        $one->is('Bush outside', $one->trueMm('Housing bore') + 0.02)->pressed();
        $score = $this->score($one->debrief(), Skill::Judgement);
        self::assertSame([33, '1 of 3 joints do their work.'], [$score->points, $score->why->mm]);
    }

    /** Of two joints one fit is within what it works within, the other wider: half. */
    public function test_fits_are_counted_by_the_joint(): void
    {
        $bench = Benches::lesson('not-in-line');
        $bench->measured('Housing bore', 'three-point')->measured('Shaft journal', 'outside-micrometer');
        $bench->cutTo('Bush outside', 28.04)->cutTo('Bush bore', 22.05);
        $array = (array) json_decode((string) json_encode($bench->facts()), true);
        $debrief = Debrief::of($bench->lesson, $bench->shop, $bench->facts());
        self::assertSame([100, '2 of 2 within what the joint works within.'], [
            $this->score($debrief, Skill::Fit)->points, $this->score($debrief, Skill::Fit)->why->mm,
        ]);
        $array['joints'] = array_map(
            static fn (array $j): array => $j['name'] === 'Shaft in bush' ? [
                ...$j, 'school' => null, 'least' => ['typed' => '0', 'unit' => 'mm'], 'most' => ['typed' => '0.9', 'unit' => 'mm'],
            ] : $j,
            (array) $array['joints'],
        );
        $wide = $this->score(Debrief::of($bench->lesson, $bench->shop, JobFacts::fromArray($array)), Skill::Fit);
        self::assertSame([50, '1 of 2 within what the joint works within.'], [$wide->points, $wide->why->mm]);
    }

    /** What stands on the bench can be taken in the hand: joints of surfaces that are there, gauges that are in the drawer. */
    public function test_the_bench_shows_only_what_can_be_done(): void
    {
        foreach (Kind::all() as $kind) {
            foreach ($kind->code === 'free-form' ? [] : [1, 2] as $seed) {
                $bench = new Benches(Lesson::free($kind->code, Level::Hard, Unit::Millimetre), $seed);
                $view = (array) json_decode((string) json_encode(new BenchView($bench->lesson, $bench->shop)), true);
                $surfaces = array_column((array) $view['surfaces'], 'kind', 'id');
                $joints = array_column($bench->shop->laid->joints, null, 'id');
                $round = ['bore', 'shaft'];
                foreach ((array) $view['joints'] as $shown) {
                    $joint = $joints[$shown['id']];
                    self::assertContains($surfaces[$joint->inner] ?? '', $round, "{$kind->code}: {$joint->name}");
                    self::assertContains($surfaces[$joint->outer] ?? '', $round, "{$kind->code}: {$joint->name}");
                }
                $drawer = array_column((array) $view['gauges'], 'code');
                foreach ((array) $view['surfaces'] as $surface) {
                    self::assertSame([], array_diff($surface['gauges'], $drawer));
                }
            }
        }
    }

    public function test_points_lie_from_nothing_to_a_hundred(): void
    {
        self::assertSame([0, 100, 50], array_map(
            static fn (float $p): ?int => Score::of(Skill::Fit, $p, '')->points,
            [-20.0, 104.0, 49.6],
        ));
    }

    /** Where a form takes the room: the smallest of a bore is its mean less half of oval and taper together, and lobes twice. */
    public function test_form_takes_the_room(): void
    {
        $surface = new TrueSurface('s', 'p', SurfaceKind::Bore, new TrueShape(20.0, 0.01, -0.02, 0.003));
        self::assertEqualsWithDelta(20 - 0.015 - 0.006, $surface->smallestMm(), 1e-12);
        self::assertEqualsWithDelta(20 + 0.015 + 0.006, $surface->largestMm(), 1e-12);
        self::assertEqualsWithDelta(20.5, $surface->grown(0.5)->shape->sizeMm, 1e-12);
        self::assertSame(-0.02, $surface->grown(0.5)->shape->taperMm);
    }

    /** Standard normal: of 4,000 the mean is nothing, the spread one, and a sixth lies beyond one (Gauss). */
    public function test_the_dice_are_normal_and_even(): void
    {
        $dice = new Dice(3, 'many');
        $drawn = array_map(static fn (): float => $dice->normal(), range(1, 4000));
        $mean = array_sum($drawn) / 4000;
        self::assertEqualsWithDelta(0.0, $mean, 0.06);
        self::assertEqualsWithDelta(1.0, sqrt(array_sum(array_map(static fn (float $x): float => ($x - $mean) ** 2, $drawn)) / 3999), 0.045);
        self::assertEqualsWithDelta(0.1587, count(array_filter($drawn, static fn (float $x): bool => $x > 1)) / 4000, 0.02);
        self::assertEqualsWithDelta(0.1587, count(array_filter($drawn, static fn (float $x): bool => $x < -1)) / 4000, 0.02);
        $even = array_map(static fn (): float => $dice->even(2, 4), range(1, 4000));
        self::assertEqualsWithDelta(3.0, array_sum($even) / 4000, 0.04);
        self::assertGreaterThanOrEqual(2.0, min($even));
        self::assertLessThanOrEqual(4.0, max($even));
        // Exponential, cut off at six times its mean.
        $worn = array_map(static fn (): float => $dice->worn(0.02), range(1, 4000));
        self::assertEqualsWithDelta(0.02, array_sum($worn) / 4000, 0.0015);
        self::assertLessThanOrEqual(0.12, max($worn));
    }

    public function test_what_is_asked_of_a_deed(): void
    {
        $read = static fn (array $deed): Deed => Deed::read(new Fields(['id' => 'd', ...$deed]));
        $minutes = array_map(static fn (DeedKind $k): float => $k->minutes(), DeedKind::cases());
        self::assertSame([0.5, 2.0, 2.0, 0.0, 0.5, 3.0, 2.0, 3.0, 3.0, 10.0, 0.0, 0.0], $minutes);
        self::assertSame(30.0, $read(['kind' => 'wait'])->minutes);
        $plain = $read(['kind' => 'end']);
        // Held in the middle, square and with the right feel; nothing warmed: what is not said.
        self::assertSame([0.5, 0.0, 0.0, 0.0, 0.0, 20.0, 20.0, false], [
            $plain->along, $plain->angleDeg, $plain->tiltDeg, $plain->feel, $plain->mm, $plain->outerC, $plain->innerC, $plain->otherFace,
        ]);
        self::assertSame(3.0, $read(['kind' => 'cut', 'surface' => 's', 'minutes' => 700])->minutes);
        foreach ([
            'along' => [[0, 1], [-0.01, 1.01]], 'angle_deg' => [[-360, 360], [-361, 361]], 'tilt_deg' => [[-20, 20], [-21, 21]],
            'feel' => [[-1, 1], [-1.1, 1.1]], 'mm' => [[0, 500], [-0.1, 501]], 'outer_c' => [[-196, 400], [-197, 401]], 'inner_c' => [[-196, 400], [-197, 401]],
        ] as $field => [$fine, $bad]) {
            foreach ($fine as $value) {
                self::assertInstanceOf(Deed::class, $read(['kind' => 'end', $field => $value]));
            }
            foreach ($bad as $value) {
                try {
                    $read(['kind' => 'end', $field => $value]);
                    self::fail("{$field} {$value}");
                } catch (BadInput $e) {
                    self::assertSame($field, $e->field);
                }
            }
        }
        foreach ([['wait', 0.5], ['wait', 1441]] as [$kind, $minutes]) {
            try {
                $read(['kind' => $kind, 'minutes' => $minutes]);
                self::fail((string) $minutes);
            } catch (BadInput $e) {
                self::assertSame('minutes', $e->field);
            }
        }
        foreach ([
            ['read', 'surface'], ['check', 'instrument'], ['clean', 'surface'], ['cut', 'surface'], ['test', 'part'],
            ['warmth', 'part'], ['stock', 'test'], ['together', 'joint'],
        ] as [$kind, $field]) {
            try {
                $read(['kind' => $kind]);
                self::fail($kind);
            } catch (BadInput $e) {
                self::assertSame($field, $e->field);
            }
        }
    }

    /** Common practice: what is bought is hard, a ring that is made is bronze, other new parts and shafts are steel, bodies mostly iron. */
    public function test_what_parts_are_of(): void
    {
        $seen = [];
        for ($seed = 1; $seed <= 60; $seed++) {
            foreach (['plain-bush', 'stepped-shaft', 'lever'] as $kind) {
                $shop = (new Benches(Lesson::free($kind, Level::Hard, Unit::Millimetre), $seed))->shop;
                foreach ($shop->laid->parts as $part) {
                    $seen["{$kind} {$part->name}"][$shop->truth->materials[$part->id]] = true;
                }
            }
        }
        self::assertSame(['leaded tin bronze (bearing)'], array_keys($seen['plain-bush Bush']));
        self::assertEqualsCanonicalizing(['grey cast iron, ordinary', 'low-carbon steel, cold drawn', 'ductile iron'], array_keys($seen['plain-bush Housing']));
        self::assertEqualsCanonicalizing(['medium-carbon steel, normalised', 'low-carbon steel, cold drawn'], array_keys($seen['plain-bush Shaft']));
        self::assertSame(['low-carbon steel, cold drawn'], array_keys($seen['stepped-shaft Shaft']));
    }

    /** Every word that is said of a mistake, a joint and a skill is said. */
    public function test_nothing_is_left_unsaid(): void
    {
        foreach (Trap::cases() as $trap) {
            self::assertNotSame('', $trap->fell());
            self::assertNotSame('', $trap->avoided());
            self::assertNotSame($trap->fell(), $trap->avoided());
        }
        self::assertSame(['Measuring', 'Choosing the fit', 'Cutting', 'Order of work', 'Judgement'], array_map(static fn (Skill $s): string => $s->label(), Skill::cases()));
        self::assertSame(['Easy', 'Fair', 'Hard'], array_map(static fn (Level $l): string => $l->label(), Level::cases()));
        self::assertSame([Joined::In, Joined::Bonded], array_values(array_filter(Joined::cases(), static fn (Joined $j): bool => $j->isGood())));
        self::assertCount(9, array_unique(array_map(static fn (Joined $j): string => $j->says(), Joined::cases())));
    }

    /** What one has before one: found surfaces are read, made ones cut, threads and lengths not put together. */
    public function test_the_bench_offers_what_can_be_done(): void
    {
        $seen = (array) json_decode((string) json_encode(new BenchView(Lesson::named('wrong-face'), Benches::lesson('wrong-face')->shop)), true);
        $surfaces = array_column((array) $seen['surfaces'], null, 'name');
        self::assertTrue($surfaces['Depth of the seat']['two_faces']);
        self::assertFalse($surfaces['Housing bore']['two_faces']);
        self::assertTrue($surfaces['Spacer outside']['cut']);
        self::assertFalse($surfaces['Housing bore']['cut']);
        self::assertContains('three-point', $surfaces['Housing bore']['gauges']);
        self::assertNotContains('outside-micrometer', $surfaces['Housing bore']['gauges']);
        self::assertNotContains('dial-indicator', $surfaces['Housing bore']['gauges']);
        self::assertSame(['Spacer in housing', 'Shaft through the spacer'], array_column((array) $seen['joints'], 'name'));
        self::assertFalse($seen['runs']);
        self::assertContains('magnet', array_column((array) $seen['tests'], 'code'));
        foreach ((array) $seen['tests'] as $test) {
            self::assertGreaterThan(1, count(((array) $test)['outcomes']));
        }
        // What goes by its shape is neither put together nor pressed here.
        foreach (['taper-hub', 'lever', 'stepped-shaft'] as $kind) {
            $shop = (new Benches(Lesson::free($kind, Level::Easy, Unit::Millimetre), 4))->shop;
            $offered = array_column((array) ((array) json_decode((string) json_encode(new BenchView(Lesson::free($kind, Level::Easy, Unit::Millimetre), $shop)), true))['joints'], 'id');
            foreach ($shop->laid->joints as $joint) {
                $purpose = \Oldpart\Core\Fit\Purpose::orNull($joint->purpose);
                $round = $purpose !== null && $purpose->shape === null && ! $purpose->isLength;
                self::assertSame($round, in_array($joint->id, $offered, true), "{$kind}: {$joint->name}");
            }
        }
        self::assertTrue(((array) json_decode((string) json_encode(new BenchView(Lesson::named('not-in-line'), Benches::lesson('not-in-line')->shop)), true))['runs']);
        $offset = (array) json_decode((string) json_encode(new BenchView(Lesson::named('full-swing'), Benches::lesson('full-swing')->shop)), true);
        self::assertContains('dial-indicator', array_column((array) $offset['surfaces'], null, 'name')['Bearing seat, offset']['gauges']);
    }

    /** A thimble: eleven lines of the vernier, a half millimetre between the short and the long lines of the sleeve. */
    public function test_how_the_faces_are_made(): void
    {
        $face = GaugeFace::thimble(12.347, Unit::Millimetre)->shapes();
        $lines = array_values(array_filter($face, static fn (object $s): bool => $s instanceof Line));
        $vernier = array_filter($lines, static fn (Line $l): bool => $l->y1 === $l->y2 && $l->x2 === 235.0 && $l->x1 === 209.0);
        self::assertCount(11, $vernier);
        $marks = array_values(array_filter($lines, static fn (Line $l): bool => $l->x1 === $l->x2 && $l->y1 === 175.0));
        // The last one that shows is 12.0, 0.347 before the edge: 24 of the drawing for each millimetre.
        self::assertEqualsWithDelta(235 - 0.347 * 24, $marks[0]->x1, 1e-6);
        self::assertEqualsWithDelta(12.0, $marks[0]->x1 - $marks[1]->x1, 1e-6);
        self::assertGreaterThan($marks[1]->y2, $marks[0]->y2, 'whole millimetres are the long ones');
        $named = array_values(array_filter($face, static fn (object $s): bool => $s instanceof Text && $s->say->mm === '10' && $s->y > 200));
        self::assertEqualsWithDelta(235 - 2.347 * 24, $named[0]->x, 1e-6);
        // An inch sleeve is divided into fortieths, every fourth numbered.
        $inch = GaugeFace::thimble(0.4378 * 25.4, Unit::Inch)->shapes();
        $four = array_values(array_filter($inch, static fn (object $s): bool => $s instanceof Text && $s->say->mm === '4' && $s->y > 200));
        self::assertEqualsWithDelta(235 - (0.0378 / 0.025) * 22, $four[0]->x, 1e-6);
    }

    /** A vernier reads where one of its lines meets the beam: 43.35 is the seventh of twenty. */
    public function test_a_verniers_line_meets_the_beam(): void
    {
        $lines = array_values(array_filter(GaugeFace::vernier(43.35, Unit::Millimetre)->shapes(), static fn (object $s): bool => $s instanceof Line && $s->x1 === $s->x2));
        $beam = array_map(static fn (Line $l): float => $l->x1, array_filter($lines, static fn (Line $l): bool => $l->y2 < 90));
        $vernier = array_values(array_filter($lines, static fn (Line $l): bool => $l->y2 > 90));
        self::assertCount(21, $vernier);
        $off = array_map(
            static fn (Line $l): float => min(array_map(static fn (float $x): float => abs($x - $l->x1), $beam)),
            $vernier,
        );
        self::assertEqualsWithDelta(0.0, $off[7], 1e-6);
        self::assertGreaterThan(0.5, min($off[6], $off[8]));
        $inch = array_values(array_filter(GaugeFace::vernier(2.417 * 25.4, Unit::Inch)->shapes(), static fn (object $s): bool => $s instanceof Line && $s->x1 === $s->x2 && $s->y2 > 90));
        self::assertCount(26, $inch);
    }

    private function score(Debrief $debrief, Skill $skill): Score
    {
        return array_values(array_filter($debrief->scores, static fn (Score $s): bool => $s->skill === $skill))[0];
    }
}
