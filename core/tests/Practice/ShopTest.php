<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Gauge\TrueShape;
use Oldpart\Core\Practice\Joined;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Level;
use Oldpart\Core\Practice\TrueLathe;
use Oldpart\Core\Practice\Truth;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** The simulated lathe, press and oven, against what is known of real ones. */
final class ShopTest extends TestCase
{
    /** A tool that gives way by a twentieth leaves a twentieth; a spring pass takes nearly all of that (fact of the trade). */
    public function test_the_tool_springs_and_a_spring_pass_takes_it(): void
    {
        $lathe = new TrueLathe(springs: 0.05, scatterMm: 0.0);
        $first = $lathe->cut(0.5, 0.0, false, 0.0);
        self::assertEqualsWithDelta(0.475, $first['takenMm'], 1e-9);
        $spring = $lathe->cut(0.0, $first['owedMm'], false, 0.0);
        self::assertEqualsWithDelta(0.02375, $spring['takenMm'], 1e-9);
        self::assertEqualsWithDelta(0.5, $first['takenMm'] + $spring['takenMm'], 0.002);
    }

    public function test_backlash_is_lost_of_the_first_cut_and_a_radius_dial_takes_twice(): void
    {
        $lathe = new TrueLathe(springs: 0.0, backlashMm: 0.05, scatterMm: 0.0);
        self::assertEqualsWithDelta(0.15, $lathe->cut(0.2, 0.0, true, 0.0)['takenMm'], 1e-9);
        self::assertEqualsWithDelta(0.2, $lathe->cut(0.2, 0.0, false, 0.0)['takenMm'], 1e-9);
        self::assertSame(0.0, $lathe->cut(0.03, 0.0, true, 0.0)['takenMm']);
        self::assertEqualsWithDelta(0.4, (new TrueLathe(springs: 0.0, scatterMm: 0.0, onRadius: true))->cut(0.2, 0.0, false, 0.0)['takenMm'], 1e-9);
    }

    /** A cut warms the part; it cools by e-folding, so that after three time constants a twentieth is left. */
    public function test_a_cut_warms_and_time_cools(): void
    {
        $bench = Benches::lesson('warm-part');
        $bush = $bench->shop->laid->surface($bench->surface('Bush outside'))->part ?? '';
        self::assertEqualsWithDelta(20.0, $bench->shop->celsius($bush), 1e-9);
        $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Bush outside'), 'mm' => 0.5]);
        $warm = $bench->shop->celsius($bush);
        self::assertGreaterThan(28.0, $warm);
        self::assertLessThan(60.0, $warm);
        $bench->do(['kind' => 'wait', 'minutes' => 30]);
        $half = $bench->shop->celsius($bush);
        $bench->do(['kind' => 'wait', 'minutes' => 30]);
        $quarter = $bench->shop->celsius($bush);
        // Exponential: equal times, equal shares.
        self::assertEqualsWithDelta(($half - 20) / ($warm - 20), ($quarter - 20) / ($half - 20), 1e-6);
        self::assertLessThan($half, $quarter);
        // A bronze plug of 30 mm by 40: rho c V/(hA) = 8,800 x 380 x 0.00545/10, about half an hour.
        self::assertEqualsWithDelta(exp(-1), ($half - 20) / ($warm - 20), 0.12);
    }

    /**
     * A steel shaft in a steel hub of twice its size: p = E d/(4 D) of Lamé for one metal with a solid shaft,
     * p = (E δ/(2 d)) (1 − d²/D²) (Shigley, press and shrink fits); the force is that over the area times friction.
     */
    public function test_the_force_of_the_press_is_lames(): void
    {
        $bench = new Benches(Lesson::named('bond-by-heat'), pressN: 1e7);
        $bench->cutTo('Sleeve outside', 36.030);
        $d = $bench->trueMm('Mate bore');
        $inner = $bench->trueMm('Sleeve outside');
        self::assertGreaterThan($d, $inner);
        $done = $bench->do(['kind' => 'together', 'joint' => $bench->joint('Sleeve in its mate'), 'way' => 'press']);
        $force = $done->number('force_n') ?? 0.0;
        // The sleeve is hollow and the mate of 62 mm: between a quarter and all of what a solid one in a thick one would be.
        $solid = 205e3 * ($inner - $d) / (2 * $d) * (1 - ($d / 62) ** 2) * M_PI * $d * 35 * 0.2;
        self::assertGreaterThan(0.1 * $solid, $force);
        self::assertLessThan($solid, $force);
        // What is pressed in closes.
        self::assertSame('in', array_values((array) $done->result['joined'])[0]);
        $closed = (float) ((array) ((array) $done->result['sizes'])[$bench->surface('Sleeve bore')])[0];
        self::assertLessThan(26.0, $closed);
        self::assertGreaterThan(26.0 - ($inner - $d), $closed);
    }

    public function test_a_press_that_is_too_weak_leaves_it_half_way(): void
    {
        $bench = new Benches(Lesson::named('bond-by-heat'), pressN: 500.0);
        $bench->cutTo('Sleeve outside', 36.030);
        $done = $bench->do(['kind' => 'together', 'joint' => $bench->joint('Sleeve in its mate'), 'way' => 'press']);
        self::assertSame('It is stuck part of the way in: the press gives no more.', $done->word('says'));
        self::assertSame(500.0, $done->number('force_n'));
        $this->expectException(BadInput::class);
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Sleeve in its mate'), 'way' => 'press']);
    }

    /** Cast iron breaks where a tough housing only gives: half a millimetre on 28. */
    public function test_cast_iron_cracks(): void
    {
        $bench = new Benches(Lesson::named('warm-part'), pressN: 1e9);
        $bench->cutTo('Bush outside', 28.4);
        $done = $bench->do(['kind' => 'together', 'joint' => $bench->joint('Bush in housing'), 'way' => 'press']);
        self::assertSame('The outer part has cracked.', $done->word('says'));
    }

    /** 36 mm of steel grow 0.055 mm in 130 degrees (11.7e-6): a press of 0.02 drops in, with a hand's breadth left. */
    public function test_a_warm_mate_lets_it_drop_in_and_a_cold_one_does_not(): void
    {
        $bench = Benches::lesson('bond-by-heat');
        $bench->cutTo('Sleeve outside', 36.030);
        $joint = $bench->joint('Sleeve in its mate');
        self::assertSame('It does not go in.', $bench->do(['kind' => 'together', 'joint' => $joint, 'way' => 'hand'])->word('says'));
        $cold = $bench->do(['kind' => 'together', 'joint' => $joint, 'way' => 'warm', 'outer_c' => 40, 'inner_c' => 20]);
        self::assertSame('It does not go in.', $cold->word('says'));
        $warm = $bench->do(['kind' => 'together', 'joint' => $joint, 'way' => 'warm', 'outer_c' => 150, 'inner_c' => 20]);
        self::assertSame('It is in, and it holds.', $warm->word('says'));
        self::assertSame(0.0, $warm->number('force_n'));
    }

    /** A compound wants a film, and clean metal. */
    public function test_a_bond_wants_a_gap_and_clean_metal(): void
    {
        $bench = Benches::lesson('bond-by-heat');
        $bench->cutTo('Sleeve bore', 29.97);
        $joint = $bench->joint('Sleeve on the shaft');
        $dirty = $bench->do(['kind' => 'together', 'joint' => $joint, 'way' => 'bond']);
        self::assertSame('The compound has not taken hold.', $dirty->word('says'));
        foreach (['Sleeve bore', 'Seat turned on the shaft'] as $surface) {
            $bench->do(['kind' => 'clean', 'surface' => $bench->surface($surface)]);
        }
        self::assertSame('It is bonded.', $bench->do(['kind' => 'together', 'joint' => $joint, 'way' => 'bond'])->word('says'));
        // Heat beside it, above what compounds stand (makers' common 150 °C), spoils it.
        $bench->cutTo('Sleeve outside', 36.025);
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Sleeve in its mate'), 'way' => 'warm', 'outer_c' => 220, 'inner_c' => 160]);
        self::assertSame(Joined::Spoiled, $bench->shop->joined()[$joint]);
    }

    /** A thin ring finished outside first comes out of round; bored first it stays round. */
    public function test_a_thin_ring_bored_last_springs(): void
    {
        $last = Benches::lesson('thin-wall')->cutTo('Sleeve outside', 31.96)->cutTo('Sleeve bore', 29.92);
        self::assertSame(0.05, $last->shop->surface($last->surface('Sleeve bore'))?->shape->ovalityMm);
        $first = Benches::lesson('thin-wall')->cutTo('Sleeve bore', 29.92)->cutTo('Sleeve outside', 31.96);
        self::assertSame(0.0, $first->shop->surface($first->surface('Sleeve bore'))?->shape->ovalityMm);
    }

    /** A millimetre and a half of wall holds; less does not, and only where the outside was turned before. */
    public function test_how_thin_a_ring_gives(): void
    {
        foreach ([[32.0, 1.45, 0.05], [32.0, 1.55, 0.0], [34.995, 1.45, 0.0], [34.98, 1.45, 0.05]] as [$outside, $wall, $oval]) {
            $bench = Benches::lesson('thin-wall');
            self::assertEqualsWithDelta(35.0, $bench->trueMm('Sleeve outside'), 1e-9);
            $bench->is('Sleeve outside', $outside)->is('Sleeve bore', $outside - 2 * $wall - 0.01);
            $done = $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Sleeve bore'), 'mm' => 0.01]);
            self::assertSame($oval > 0, $done->result['sprung'], "{$outside} {$wall}");
            foreach (['Sleeve bore', 'Sleeve outside'] as $side) {
                self::assertSame($oval, $bench->shop->surface($bench->surface($side))?->shape->ovalityMm);
                self::assertSame($oval > 0 ? 0.015 : 0.0, $bench->shop->surface($bench->surface($side))?->shape->lobesMm);
            }
        }
        // A spring pass takes too little to spring it; turning the outside does not either.
        $bench = Benches::lesson('thin-wall')->is('Sleeve outside', 32.0)->is('Sleeve bore', 29.92);
        self::assertFalse($bench->do(['kind' => 'cut', 'surface' => $bench->surface('Sleeve bore'), 'mm' => 0.0])->result['sprung']);
        self::assertFalse($bench->do(['kind' => 'cut', 'surface' => $bench->surface('Sleeve outside'), 'mm' => 0.1])->result['sprung']);
    }

    /** Heat: 30 degrees for a millimetre off 25; half of that off 50; never more than 60; small work counts as 5 mm. */
    public function test_what_a_cut_warms(): void
    {
        $lathe = new TrueLathe();
        foreach ([[1.0, 25.0, 30.0], [1.0, 50.0, 15.0], [0.5, 25.0, 15.0], [1.9, 25.0, 57.0], [2.1, 25.0, 60.0], [0.1, 5.0, 15.0], [0.1, 2.0, 15.0]] as [$taken, $size, $warms]) {
            self::assertEqualsWithDelta($warms, $lathe->warms($taken, $size), 1e-9);
        }
    }

    /** Scatter is added, and nothing grows by being cut; what is less than the lost motion takes nothing, but what is owed. */
    public function test_what_a_cut_takes(): void
    {
        $lathe = new TrueLathe(springs: 0.0, backlashMm: 0.05, scatterMm: 0.002);
        self::assertEqualsWithDelta(0.102, $lathe->cut(0.1, 0.0, false, 1.0)['takenMm'], 1e-12);
        self::assertEqualsWithDelta(0.096, $lathe->cut(0.1, 0.0, false, -2.0)['takenMm'], 1e-12);
        self::assertSame(0.0, $lathe->cut(0.001, 0.0, false, -2.0)['takenMm']);
        self::assertEqualsWithDelta(0.01, $lathe->cut(0.04, 0.01, true, 0.0)['takenMm'], 1e-12);
        self::assertEqualsWithDelta(0.01, $lathe->cut(0.0, 0.01, true, 0.0)['takenMm'], 1e-12);
        self::assertSame(['takenMm' => 0.0, 'owedMm' => 0.0], $lathe->cut(0.0, 0.0, true, 3.0));
    }

    /** A lump cools by m c/(h A): twice as large a ring of the same length takes (V/A) times as long (Newton). */
    public function test_a_larger_part_cools_slower(): void
    {
        $tau = static function (float $across): float {
            $bench = Benches::lesson('warm-part')->is('Bush outside', $across)->warm('Bush', 60.0);
            $part = $bench->shop->laid->surfaces[array_search('Bush outside', array_column($bench->shop->laid->surfaces, 'name'), true)]->part;
            $bench->do(['kind' => 'wait', 'minutes' => 20]);

            return -20 / log(($bench->shop->celsius($part) - 20) / 40);
        };
        // A plug of 40 mm: V/A = d L/(4 L + 2 d).
        $va = static fn (float $d): float => $d * 40 / (4 * 40 + 2 * $d);
        self::assertEqualsWithDelta($va(60.0) / $va(30.0), $tau(60.0) / $tau(30.0), 0.002);
        // Of what has only a bore, half as much again is taken for its outside: here 1.5 times 50.
        $bored = static function (float $bore): float {
            $bench = Benches::lesson('warm-part')->is('Bush outside', 21.0)->is('Bush bore', $bore)->warm('Bush', 60.0);
            $part = array_column($bench->shop->laid->parts, 'id', 'name')['Bush'];
            $bench->do(['kind' => 'wait', 'minutes' => 20]);

            return -20 / log(($bench->shop->celsius($part) - 20) / 40);
        };
        self::assertEqualsWithDelta($va(75.0) / $va(30.0), $bored(50.0) / $bored(20.0), 0.002);
    }

    /** A cheap thermometer shows half degrees, about right in the mean; a bar through both bores shows hundredths. */
    public function test_what_a_thermometer_and_a_bar_show(): void
    {
        $warm = $line = $straight = [];
        for ($seed = 1; $seed <= 80; $seed++) {
            $bench = Benches::lesson('not-in-line', $seed)->warm('Housing', 31.3);
            $part = array_column($bench->shop->laid->parts, 'id', 'name')['Housing'];
            $warm[] = $bench->do(['kind' => 'warmth', 'part' => $part])->number('celsius') ?? 0.0;
            $line[] = $bench->do(['kind' => 'line'])->number('mm') ?? 0.0;
            $straight[] = Benches::lesson('warm-part', $seed)->do(['kind' => 'line'])->number('mm') ?? 0.0;
        }
        self::assertEqualsWithDelta(31.3, array_sum($warm) / 80, 0.15);
        self::assertEqualsWithDelta(0.12, array_sum($line) / 80, 0.002);
        foreach ($warm as $celsius) {
            self::assertEqualsWithDelta(round(2 * $celsius), 2 * $celsius, 1e-9);
        }
        self::assertGreaterThan(1, count(array_unique($line)));
        self::assertGreaterThanOrEqual(0.105, min($line));
        self::assertLessThanOrEqual(0.135, max($line));
        // Nothing is less than in line.
        self::assertSame(0.0, min($straight));
        self::assertLessThanOrEqual(0.02, max($straight));
    }

    public function test_nothing_is_cut_that_is_not_to_be_and_nothing_after_the_end(): void
    {
        $bench = Benches::lesson('warm-part');
        try {
            $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Housing bore'), 'mm' => 0.1]);
            self::fail('A found part was cut.');
        } catch (BadInput $bad) {
            self::assertSame('not-cut', $bad->reason);
        }
        try {
            $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Bush outside'), 'mm' => 400]);
            self::fail('All of it was cut away.');
        } catch (BadInput $bad) {
            self::assertSame('nothing-left', $bad->reason);
        }
        $bench->do(['kind' => 'end']);
        $this->expectException(BadInput::class);
        $bench->do(['kind' => 'wait', 'minutes' => 5]);
    }

    /** The same number gives the same parts; another one others. Wear makes bores larger and shafts smaller, never the reverse. */
    public function test_the_seed_draws_the_parts(): void
    {
        $shop = new ShopFacts('Test', 20.0, 0.01, 0.5, 90000.0);
        $sizes = [];
        foreach ([5, 5, 6] as $n => $seed) {
            $lesson = Lesson::free('plain-bush', Level::Hard, Unit::Millimetre);
            $laid = $lesson->layOut('job-1', $shop, $seed);
            $sizes[$n] = array_map(static fn ($s): TrueShape => $s->shape, Truth::of($lesson, $seed, $laid)->surfaces);
        }
        self::assertEquals($sizes[0], $sizes[1]);
        self::assertNotEquals($sizes[0], $sizes[2]);
        foreach (range(1, 40) as $seed) {
            $lesson = Lesson::free('plain-bush', Level::Fair, Unit::Millimetre);
            $laid = $lesson->layOut('job-1', $shop, $seed);
            $truth = Truth::of($lesson, $seed, $laid);
            $of = array_column($laid->surfaces, 'id', 'name');
            foreach (['Housing bore' => 1, 'Shaft journal' => -1] as $name => $sign) {
                $mm = $truth->surfaces[$of[$name]]->shape->sizeMm;
                $off = $sign * ($mm - round($mm * 2) / 2);
                self::assertGreaterThanOrEqual(-1e-9, $off, "{$name} by {$seed}");
                self::assertLessThan(0.13, $off);
            }
        }
    }

    /** Clean on one side is not clean. */
    public function test_both_sides_of_a_bond_are_cleaned(): void
    {
        foreach (['Sleeve bore', 'Seat turned on the shaft'] as $one) {
            $bench = Benches::lesson('bond-by-heat');
            $bench->cutTo('Sleeve bore', 29.97);
            $bench->do(['kind' => 'clean', 'surface' => $bench->surface($one)]);
            $done = $bench->do(['kind' => 'together', 'joint' => $bench->joint('Sleeve on the shaft'), 'way' => 'bond']);
            self::assertSame('The compound has not taken hold.', $done->word('says'), $one);
        }
    }

    /** A film too thick does not hold either: half a millimetre, where compounds fill fifteen hundredths. */
    public function test_a_film_can_be_too_thick(): void
    {
        $bench = Benches::lesson('bond-by-heat');
        $bench->cutTo('Sleeve bore', 30.4);
        foreach (['Sleeve bore', 'Seat turned on the shaft'] as $surface) {
            $bench->do(['kind' => 'clean', 'surface' => $bench->surface($surface)]);
        }
        $done = $bench->do(['kind' => 'together', 'joint' => $bench->joint('Sleeve on the shaft'), 'way' => 'bond']);
        self::assertSame('The compound has not taken hold.', $done->word('says'));
    }

    /** Steel does not crack, it gives: a thin ring of it over a shaft, three tenths too small. */
    public function test_a_tough_ring_gives_where_iron_cracks(): void
    {
        $bench = new Benches(Lesson::named('thin-wall'), pressN: 1e9);
        $bench->cutTo('Sleeve bore', 29.6)->cutTo('Sleeve outside', 32.0);
        $done = $bench->do(['kind' => 'together', 'joint' => $bench->joint('Sleeve on the shaft'), 'way' => 'press']);
        self::assertSame('It is in, but the outer part has given way: it holds less than it should.', $done->word('says'));
    }

    /** A lathe that turns a hundredth of taper in 100 mm leaves four thousandths in 40. */
    public function test_the_lathe_leaves_its_taper(): void
    {
        $bench = new Benches(Lesson::free('plain-bush', Level::Hard, Unit::Millimetre), 9);
        $per = $bench->shop->truth->lathe->taperPer100;
        self::assertNotSame(0.0, $per);
        $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Bush outside'), 'mm' => 0.5]);
        self::assertEqualsWithDelta($per * 0.4, $bench->shop->surface($bench->surface('Bush outside'))?->shape->taperMm, 1e-9);
    }

    /** What a metal shows: iron and steel pull a magnet, tin bronze does not, over many pieces as often as the table says. */
    public function test_a_metal_shows_what_such_a_metal_shows(): void
    {
        $seen = ['Housing' => [], 'Bush' => []];
        for ($seed = 1; $seed <= 40; $seed++) {
            $bench = Benches::lesson('warm-part', $seed);
            $parts = array_column($bench->shop->laid->parts, 'id', 'name');
            foreach (array_keys($seen) as $part) {
                $seen[$part][] = $bench->do(['kind' => 'test', 'part' => $parts[$part], 'test' => 'magnet'])->word('outcome');
            }
        }
        self::assertGreaterThan(34, array_count_values($seen['Housing'])['strong']);
        self::assertGreaterThan(34, array_count_values($seen['Bush'])['none']);
    }

    /** Burrs are in the way of what goes together by hand, until they are off. */
    public function test_a_burr_is_in_the_way(): void
    {
        $seed = 1;
        do {
            $bench = new Benches(Lesson::free('lever', Level::Hard, Unit::Millimetre), $seed++);
            $end = $bench->shop->surface($bench->surface('Shaft end'));
        } while (($end->burrMm ?? 0.0) < 0.02 && $seed < 200);
        $bench->cutTo('Hub bore', ($end?->largestMm() ?? 0.0) + 0.03);
        $hub = $bench->shop->surface($bench->surface('Hub bore'));
        $room = ($hub?->smallestMm() ?? 0.0) - ($end?->largestMm() ?? 0.0);
        self::assertGreaterThan(0.002, $room);
        $joint = $bench->joint('Lever on the shaft');
        $burred = $bench->do(['kind' => 'together', 'joint' => $joint, 'way' => 'hand'])->word('says');
        self::assertSame($room >= ($end->burrMm ?? 0.0) + 0.001 ? 'It is in, and it holds.' : 'It does not go in.', $burred);
        if ($burred === 'It does not go in.') {
            $bench->do(['kind' => 'clean', 'surface' => $bench->surface('Shaft end')]);
            self::assertSame('It is in, and it holds.', $bench->do(['kind' => 'together', 'joint' => $joint, 'way' => 'hand'])->word('says'));
        }
    }

    /** A drawing of an inch machine is in inches: five thou either way. */
    public function test_a_drawn_size_is_in_the_unit_of_the_job(): void
    {
        foreach ([[Unit::Inch, 0.127, 'in'], [Unit::Millimetre, 0.1, 'mm']] as [$unit, $give, $typed]) {
            $laid = (new Benches(Lesson::free('ported-block', Level::Easy, $unit)))->shop->laid;
            $width = array_values(array_filter($laid->surfaces, static fn ($s): bool => $s->name === 'Block width'))[0];
            self::assertSame($typed, $width->size?->unit->value);
            self::assertEqualsWithDelta($give, $width->demand->plus->length->mm ?? 0.0, 1e-9);
            self::assertEqualsWithDelta($give, $width->demand->minus->length->mm ?? 0.0, 1e-9);
            self::assertGreaterThan(60.0, $width->size->length->mm);
        }
    }

    /** On an inch machine new sizes are sixteenths. */
    public function test_an_inch_machine_was_made_in_sixteenths(): void
    {
        $lesson = Lesson::free('plain-bush', Level::Easy, Unit::Inch);
        $laid = $lesson->layOut('job-1', new ShopFacts('Test', 20.0, 0.01, 0.5, 90000.0), 3);
        $bush = array_column($laid->surfaces, 'id', 'name')['Bush outside'];
        $new = Truth::of($lesson, 3, $laid)->surfaces[$bush]->shape->sizeMm - Truth::STOCK_MM;
        self::assertEqualsWithDelta(round($new / 25.4 * 16), $new / 25.4 * 16, 1e-6);
    }
}
