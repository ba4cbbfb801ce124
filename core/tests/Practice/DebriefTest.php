<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Practice\JointEnd;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Level;
use Oldpart\Core\Practice\LoopEnd;
use Oldpart\Core\Practice\Score;
use Oldpart\Core\Practice\TrueJob;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** What is told at the end, worked by hand. */
final class DebriefTest extends TestCase
{
    private function free(string $kind, Level $level = Level::Easy, int $seed = 2): Benches
    {
        return new Benches(Lesson::free($kind, $level, Unit::Millimetre), $seed);
    }

    /** A reading set aside counts no more, neither for the found size nor here. */
    public function test_what_is_set_aside_is_no_belief(): void
    {
        $bench = Benches::lesson('worn-gauge');
        $bench->reads('Housing bore', 'three-point', [], ['set_aside' => 'the gauge is off']);
        self::assertSame([], $bench->debrief()->beliefs);
        self::assertNull($bench->debrief()->fell);
    }

    /** A size after a cut that was read warm is told as such. */
    public function test_a_cut_read_warm_is_told(): void
    {
        $bench = Benches::lesson('warm-part');
        $bench->measured('Housing bore', 'three-point');
        $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Bush outside'), 'mm' => 1]);
        $read = $bench->do(['kind' => 'read', 'surface' => $bench->surface('Bush outside'), 'instrument' => 'outside-micrometer']);
        $bench->add('cuts', [
            'id' => $read->id, 'surface' => $bench->surface('Bush outside'), 'phase' => 'only', 'dialled' => null,
            'after' => ['typed' => number_format($read->number('mm') ?? 0.0, 4, '.', ''), 'unit' => 'mm'],
            'instrument' => 'outside-micrometer', 'part_c' => null, 'set_aside' => null, 'at' => null,
        ]);
        $debrief = $bench->debrief();
        $belief = $debrief->beliefs[12];
        self::assertTrue($belief->cut);
        self::assertSame('warm', array_key_first($belief->why()));
        // 29 mm of tin bronze, some 25 degrees warm: 18e-6 · 29 · 25 = 0.013.
        self::assertEqualsWithDelta(0.013, $belief->why()['warm'], 0.005);
        self::assertTrue($debrief->fell);
        self::assertSame('measured warm.', $this->score($debrief->scores, 'order')->why->mm);
        self::assertSame(60, $this->score($debrief->scores, 'order')->points);
    }

    /** Had its warmth been said, it would be no mistake. */
    public function test_warmth_that_is_said_is_none(): void
    {
        $bench = Benches::lesson('warm-part');
        $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Bush outside'), 'mm' => 1]);
        $part = $bench->shop->laid->surface($bench->surface('Bush outside'))->part ?? '';
        $celsius = $bench->do(['kind' => 'warmth', 'part' => $part])->number('celsius') ?? 0.0;
        self::assertEqualsWithDelta($bench->shop->celsius($part), $celsius, 1.0);
        $bench->reads('Bush outside', 'outside-micrometer', [], ['part_c' => $celsius, 'state' => 'done']);
        $debrief = $bench->debrief();
        self::assertFalse($debrief->fell);
        self::assertArrayNotHasKey('warm', $debrief->beliefs[0]->why());
        self::assertSame(100, $this->score($debrief->scores, 'order')->points);
    }

    /** Said to be 20 degrees when it is warmer, a size is as wrong as with nothing said; said warm when it is not, it is small. */
    public function test_warmth_said_wrong_is_an_error(): void
    {
        $bench = Benches::lesson('warm-part');
        $bench->reads('Housing bore', 'three-point', [], ['part_c' => 45.0]);
        // 28.034 mm of grey iron 25 degrees too warm by word: the table's expansion times 25 times the size.
        $said = \Oldpart\Core\Catalogue\Material::named('grey cast iron, ordinary')->alphaPerK * 25 * 28.034;
        self::assertGreaterThan(0.006, $said);
        $belief = $bench->debrief()->beliefs[0];
        self::assertEqualsWithDelta(-$said, $belief->why()['warm'], 1e-5);
        self::assertEqualsWithDelta(-$said, $belief->errorMm(), 0.012);
        self::assertSame(-25.0, $belief->unsaidWarmth());
    }

    /** The gap of a loop is what opens less what closes. */
    public function test_a_loop_is_judged_by_what_is_left(): void
    {
        foreach ([[0.05, true, 'It does its work.'], [0.7, false, 'Too much is left, by 0.'], [-0.1, false, 'Too little is left, by 0.1']] as [$gap, $good, $says]) {
            $bench = $this->free('flanged-bush');
            $bench->cutTo('Length under the flange', $bench->trueMm('Housing length') - $gap);
            $loop = array_values(array_filter($bench->shop->laid->loops, static fn ($l): bool => $l->name === 'Bush below the far face'))[0];
            $end = LoopEnd::of($loop, $bench->shop);
            self::assertNotNull($end);
            self::assertEqualsWithDelta($gap, $end->gapMm, 0.004);
            self::assertSame($good, $end->isGood());
            self::assertStringStartsWith($says, $end->says()->mm);
        }
        $unmade = LoopEnd::of($loop, $this->free('flanged-bush')->shop);
        self::assertFalse($unmade?->isGood());
        self::assertSame('It was not made.', $unmade->says()->mm);
    }

    /** Nobody is judged by two parts that were there already, nor by threads and tapers. */
    public function test_only_what_is_made_is_judged(): void
    {
        $bench = $this->free('taper-hub');
        $names = array_map(static fn (JointEnd $j): string => $j->joint->name, $bench->debrief()->joints);
        self::assertNotContains('Shaft in the bush', $names);
        self::assertNotContains('Bush in the hub', $names);
    }

    /** With everything read right the product's band is for the true mate: within a few thousandths of what works. */
    public function test_what_is_right_is_for_the_true_mate(): void
    {
        $bench = Benches::lesson('worn-gauge');
        $out = TrueJob::outcome($bench->shop->laid, $bench->shop->truth);
        $found = $out->found[$bench->surface('Housing bore')];
        self::assertEqualsWithDelta($bench->trueMm('Housing bore'), $found->meanMm, 0.0005);
        self::assertSame(12, $found->count);
        $band = array_values(array_filter($out->make, static fn ($e): bool => $e->surface->name === 'Bush outside'))[0]->band;
        self::assertNotNull($band);
        // Light press: from just more than nothing to 0.9 thou an inch and 15 µm over.
        self::assertGreaterThan($found->meanMm, $band->lowerMm);
        self::assertLessThan($found->meanMm + 0.015 + 0.0009 * 32, $band->upperMm);
    }

    /** At the easy level it is said what everything is of; above, a found part has to be tried. */
    public function test_what_a_found_part_is_of_has_to_be_found_out(): void
    {
        foreach ([[Level::Easy, false], [Level::Fair, true], [Level::Hard, true]] as [$level, $hidden]) {
            $bench = $this->free('plain-bush', $level);
            foreach ($bench->shop->laid->parts as $part) {
                self::assertSame($hidden && $part->origin === Origin::Found, $part->material === null, $part->name);
            }
        }
        $housing = $bench->shop->laid->parts[0]->id;
        $metal = $bench->shop->truth->materials[$housing];
        $seen = $bench->do(['kind' => 'test', 'part' => $housing, 'test' => 'magnet'])->word('outcome');
        self::assertContains($metal, ['grey cast iron, ordinary', 'low-carbon steel, cold drawn', 'ductile iron']);
        self::assertSame('strong', $seen, 'iron and steel are magnetic');
    }

    /** Something in hard practice is not as it seems: over many seeds, warm parts, burrs, and a gauge that is off. */
    public function test_hard_practice_has_what_makes_it_hard(): void
    {
        $warm = $burrs = $off = 0;
        for ($seed = 1; $seed <= 40; $seed++) {
            $hard = $this->free('plain-bush', Level::Hard, $seed)->shop->truth;
            $warm += (int) ($hard->warm !== []);
            $burrs += (int) (array_filter($hard->surfaces, static fn ($s): bool => $s->burrMm > 0) !== []);
            $errors = array_intersect_key($hard->gaugeErrors, array_flip(['outside-micrometer', 'three-point', 'telescoping']));
            $off += (int) (max(array_map(abs(...), $errors)) >= 0.012);
            $easy = $this->free('plain-bush', Level::Easy, $seed)->shop->truth;
            self::assertSame([], $easy->warm);
            self::assertSame(0.0, array_sum(array_map(static fn ($s): float => $s->burrMm, $easy->surfaces)));
            self::assertLessThan(0.012, max(array_map(abs(...), array_intersect_key($easy->gaugeErrors, $errors))));
        }
        // Two found parts, one in four of them warm: 44 of 100 jobs; of five found surfaces 30 of 100 with a burr: 83 of 100.
        self::assertEqualsWithDelta(0.44 * 40, $warm, 10);
        self::assertGreaterThan(24, $burrs);
        self::assertSame(40, $off);
    }

    public function test_a_bar_on_the_rack_goes_through_or_not(): void
    {
        $bench = Benches::lesson('stock-too-thick');
        self::assertFalse($bench->do(['kind' => 'stock', 'test' => '45 mm, 800 long'])->result['through']);
        self::assertTrue($bench->do(['kind' => 'stock', 'test' => '32 mm, 600 long'])->result['through']);
        // It goes through, and does not clean up at 32.
        self::assertTrue($bench->debrief()->fell);
    }

    /** Taken though it should have been refused is no good, however well it was made; the first verdict says so. */
    public function test_what_should_be_refused_is_no_good_when_it_is_made(): void
    {
        $bench = Benches::lesson('to-decline');
        $debrief = $bench->debrief();
        self::assertFalse($debrief->good);
        self::assertSame('Taken, though it should have been refused.', $debrief->verdict->mm);
        $refused = Benches::lesson('to-decline');
        $refused->do(['kind' => 'decline', 'why' => 'People work below it.']);
        self::assertSame('Refused, and rightly.', $refused->debrief()->verdict->mm);
        self::assertNull($refused->debrief()->first);
    }

    /** Made well by luck, the mistake is still one. */
    public function test_luck_is_not_enough(): void
    {
        $bench = Benches::lesson('worn-gauge');
        $bench->measured('Housing bore', 'three-point')->cutTo('Bush outside', 32.040);
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Bush in housing'), 'way' => 'press']);
        $debrief = $bench->debrief();
        self::assertTrue($debrief->joints[0]->isGood());
        self::assertFalse($debrief->good);
        self::assertSame('It works this time, by luck: the mistake was made.', $debrief->verdict->mm);
    }

    /** A gauge that was held to its master is known, and so is one whose readings were put right. */
    public function test_a_known_error_is_no_mistake(): void
    {
        $checked = Benches::lesson('worn-gauge');
        $checked->do(['kind' => 'check', 'instrument' => 'three-point']);
        $checked->reads('Housing bore', 'three-point');
        self::assertFalse($checked->debrief()->fell);
        $corrected = Benches::lesson('worn-gauge');
        $corrected->reads('Housing bore', 'three-point', [], ['correction_mm' => -0.032]);
        $debrief = $corrected->debrief();
        self::assertFalse($debrief->fell);
        self::assertEqualsWithDelta(0.0, $debrief->beliefs[0]->errorMm(), 0.012);
        self::assertArrayNotHasKey('gauge', $debrief->beliefs[0]->why());
        $other = Benches::lesson('worn-gauge');
        $other->do(['kind' => 'check', 'instrument' => 'telescoping']);
        $other->reads('Housing bore', 'three-point');
        self::assertTrue($other->debrief()->fell);
    }

    /** What is too tight binds or breaks, what is too loose shakes or comes loose: by how much stands there. */
    public function test_what_became_of_a_joint_is_said(): void
    {
        foreach ([
            ['lever', 'Hub bore', 'Shaft end', 0.5, 'Too loose by 0.4', ': it shakes.'],
            ['lever', 'Hub bore', 'Shaft end', -0.2, 'Too tight by 0.2', ': it binds.'],
            ['guard', 'Post end', 'Bore in the machine', -0.2, 'Too loose by 0.2', ': it comes loose.'],
            ['guard', 'Post end', 'Bore in the machine', 0.2, 'Too tight by 0.1', ': more than the parts stand for sure.'],
        ] as [$kind, $made, $mate, $gap, $begins, $ends]) {
            $bench = $this->free($kind);
            $names = array_column($bench->shop->laid->surfaces, 'name');
            $mate = in_array($mate, $names, true) ? $mate : $names[0];
            $bench->cutTo($made, $bench->trueMm($mate) + $gap);
            $end = array_values(array_filter(
                $bench->debrief()->joints,
                static fn (JointEnd $j): bool => in_array($bench->surface($made), [$j->joint->inner, $j->joint->outer], true),
            ))[0];
            self::assertFalse($end->isGood());
            self::assertStringStartsWith($begins, $end->says()->mm);
            self::assertStringEndsWith($ends, $end->says()->mm);
        }
    }

    /** What has no mate comes with a size from a drawing, so that every kind has something to make. */
    public function test_what_has_no_mate_has_a_size(): void
    {
        $laid = $this->free('ported-block')->shop->laid;
        $width = array_values(array_filter($laid->surfaces, static fn ($s): bool => $s->name === 'Block width'))[0];
        self::assertSame('limits', $width->demand?->kind->value);
        self::assertEqualsWithDelta(round(($width->size->length->mm ?? 0) * 2), ($width->size->length->mm ?? 0) * 2, 1e-6);
        self::assertNotNull(Kind::named('ported-block'));
        $mated = array_values(array_filter($this->free('plain-bush')->shop->laid->surfaces, static fn ($s): bool => $s->name === 'Bush outside'))[0];
        self::assertNull($mated->size);
    }

    /** @param  list<Score>  $scores */
    private function score(array $scores, string $skill): Score
    {
        return array_values(array_filter($scores, static fn (Score $s): bool => $s->skill->value === $skill))[0];
    }
}
