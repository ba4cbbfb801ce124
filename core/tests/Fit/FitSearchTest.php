<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Fit\Batch;
use Oldpart\Core\Fit\FitSearch;
use Oldpart\Core\Fit\FitWish;
use Oldpart\Core\Fit\NamedFit;
use Oldpart\Core\Fit\School;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Tables\FitTable;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Fits by name, by result and beside one another, and what comes of a batch. */
final class FitSearchTest extends TestCase
{
    /** ISO 286-2 at 25 mm and ANSI B4.1 at 1 in, from memory. */
    public function test_by_its_name_however_it_is_typed(): void
    {
        foreach (['H7/p6', 'H7 p6', ' H7 / p6 '] as $typed) {
            $fit = NamedFit::named(25.0, $typed);
            self::assertSame('H7/p6', $fit->label);
            self::assertEqualsWithDelta([-0.035, -0.001], [$fit->clearance()->min, $fit->clearance()->max], 1e-9);
        }
        foreach (['FN2', 'fn2', 'Fn 2'] as $typed) {
            $fit = NamedFit::named(25.4, $typed);
            self::assertSame([School::Inch, 'FN2'], [$fit->school, $fit->label]);
            self::assertEqualsWithDelta(
                [-1.9 * 0.0254, -0.6 * 0.0254],
                [$fit->clearance()->min, $fit->clearance()->max],
                1e-9,
            );
        }
        foreach (['H7', 'p6/H7', 'XX2', 'FN9', '', 'H7/q6'] as $typed) {
            try {
                NamedFit::named(25.0, $typed);
                self::fail("“{$typed}” was taken.");
            } catch (BadInput $bad) {
                self::assertGreaterThan(15, strlen($bad->getMessage()));
            }
        }
    }

    /**
     * Every fit found to give a range does give it; the widest comes first; none that gives it is wider than the first.
     */
    public function test_found_by_what_it_gives(): void
    {
        foreach (
            [
                [40.0, new Range(-0.04, 0.0)],
                [25.0, new Range(-0.036, 0.0)],
                [25.4, new Range(0.005, 0.06)],
                [100.0, new Range(-0.02, 0.02)],
            ] as [$size, $wanted]
        ) {
            $found = FitSearch::inside($size, $wanted);
            self::assertNotSame([], $found);
            $width = INF;
            foreach ($found as $fit) {
                self::assertGreaterThanOrEqual($wanted->min - 1e-9, $fit->clearance()->min, $fit->label);
                self::assertLessThanOrEqual($wanted->max + 1e-9, $fit->clearance()->max, $fit->label);
                self::assertLessThanOrEqual($width + 1e-6, $fit->clearance()->width());
                $width = $fit->clearance()->width();
            }
            foreach (FitSearch::all($size) as $fit) {
                if ($fit->clearance()->min >= $wanted->min && $fit->clearance()->max <= $wanted->max) {
                    self::assertLessThanOrEqual(
                        $found[0]->clearance()->width() + 1e-6,
                        $fit->clearance()->width(),
                        $fit->label,
                    );
                }
            }
        }
        // H7/p6 at 25 mm is 1 to 35 µm tight (ISO 286-2): it is among what is found for just that.
        self::assertContains(
            'H7/p6',
            array_map(
                static fn (NamedFit $f): string => $f->label,
                FitSearch::inside(25.0, new Range(-0.0351, -0.0009)),
            ),
        );
        // And where the wish is its very limits, as ISO 286-2 has them: 25 H7/g6 is 7 to 41 µm loose.
        self::assertContains(
            'H7/g6',
            array_map(static fn (NamedFit $f): string => $f->label, FitSearch::inside(25.0, new Range(0.007, 0.041))),
        );
        self::assertSame([], FitSearch::inside(40.0, new Range(-0.0301, -0.0299)));
    }

    /** The counterpart in the other school as tables of both put them side by side; common practice. */
    public function test_what_it_would_be_in_the_other_school(): void
    {
        foreach (
            [['H7/p6', 25.0, 'LN2'], ['H8/f7', 25.0, 'RC4'], ['H7/h6', 40.0, 'LC2'], ['H7/g6', 25.0, 'LC5']] as [$iso, $size, $inch]
        ) {
            $like = FitSearch::like($size, NamedFit::named($size, $iso)->clearance(), School::Inch);
            self::assertContains(
                $inch,
                array_map(static fn (NamedFit $f): string => $f->label, $like),
                "{$iso} at {$size}",
            );
        }
        self::assertSame('H7/p6', FitSearch::like(25.0, new Range(-0.035, -0.001), School::Iso, 1)[0]->label);
    }

    public function test_beside_a_fit_lie_looser_and_tighter_ones(): void
    {
        foreach (['H7/p6', 'H8/f7', 'P7/h6', 'RC4', 'FN2'] as $name) {
            $beside = FitSearch::beside(NamedFit::named(25.4, $name));
            self::assertContains($name, array_map(static fn (NamedFit $f): string => $f->label, $beside));
            for ($i = 1; $i < count($beside); $i++) {
                self::assertLessThanOrEqual(
                    $beside[$i - 1]->clearance()->middle() + 1e-9,
                    $beside[$i]->clearance()->middle(),
                );
            }
        }
    }

    /** Read by hand. */
    public function test_a_wish_in_words(): void
    {
        foreach (
            [
                ['0.01 to 0.03 mm tight at 40 mm', -0.03, -0.01, 40.0],
                ['0,01 to 0,03 mm clear on 40', 0.01, 0.03, 40.0 * 25.4],
                ['1 thou tight to 1 thou clear at 1-1/4', -0.0254, 0.0254, 31.75],
                ['0.0005 to 0.0015 tight at 1 1/4"', -0.0015 * 25.4, -0.0005 * 25.4, 31.75],
                ['5 tenths to 2 thou LOOSE at 1', 0.0127, 0.0508, 25.4],
            ] as [$text, $min, $max, $size]
        ) {
            $wish = FitWish::read($text, Unit::Inch);
            self::assertEqualsWithDelta(
                [$min, $max, $size],
                [$wish->clearanceMm->min, $wish->clearanceMm->max, $wish->sizeMm],
                1e-9,
                $text,
            );
        }
        foreach (
            [
                'tight',
                '',
                '1 to 2',
                '0.01 to 0.03 mm tight',
                '20 to 30 mm tight at 40 mm',
                '0.01 to smudge tight at 40',
                '1 to 2 thou snug at 1',
                '0.001 to 0.002 tight at 0',
            ] as $text
        ) {
            try {
                FitWish::read($text, Unit::Inch);
                self::fail("“{$text}” was taken.");
            } catch (BadInput $bad) {
                self::assertSame('text', $bad->field);
            }
        }
    }

    /**
     * By hand for holes 25.000 to 25.021 and shafts 25.022 to 25.035: −35 to −1 µm. The clearance is a trapezoid; the
     * chance of less than −22 µm (13 in from the tight end, the shaft’s whole width) is 13/(2·21) = 0.3095; the middle
     * is evenly shared.
     */
    public function test_chances_of_a_batch(): void
    {
        $batch = new Batch(new Band(25.0, 25.021), new Band(25.022, 25.035));
        self::assertEqualsWithDelta([-0.035, -0.001], [$batch->extremes()->min, $batch->extremes()->max], 1e-9);
        self::assertEqualsWithDelta(13 / 42, $batch->chance(new Range(-1.0, -0.022)), 1e-9);
        self::assertEqualsWithDelta(0.5, $batch->chance(new Range(-1.0, -0.018)), 1e-9);
        self::assertEqualsWithDelta(1.0, $batch->chance(new Range(-0.035, -0.001)), 1e-9);
        self::assertEqualsWithDelta(0.0, $batch->chance(new Range(0.0, 1.0)), 1e-9);
        $likely = $batch->likely();
        self::assertEqualsWithDelta(0.95, $batch->chance($likely), 1e-9);
        // A tail of 0.025: z² = 2 · 0.025 · 21 · 13, z = 3.694 µm from either end.
        self::assertEqualsWithDelta([-0.035 + 0.003694, -0.001 - 0.003694], [$likely->min, $likely->max], 1e-6);
        self::assertEqualsWithDelta(
            0.25,
            (new Batch(new Band(10.0, 10.02), new Band(9.99, 9.99)))->chance(new Range(0.01, 0.015)),
            1e-9,
            'a shaft of one size',
        );
    }

    /** Against 200,000 drawn pairs (seeded), to a part in a hundred. */
    public function test_chances_against_drawn_pairs(): void
    {
        $random = new Randomizer(new Mt19937(20261125));
        foreach (
            [[0.03, 0.01, -0.004, 0.02], [0.012, 0.04, -0.02, 0.001], [0.02, 0.02, -0.005, 0.005]] as [$wh, $ws, $from, $to]
        ) {
            $batch = new Batch(new Band(30.0, 30.0 + $wh), new Band(29.995, 29.995 + $ws));
            $inside = 0;
            for ($i = 0; $i < 200000; $i++) {
                $clearance =
                    0.005 + ($wh * $random->getInt(0, 1_000_000)) / 1e6 - ($ws * $random->getInt(0, 1_000_000)) / 1e6;
                $inside += (int) ($clearance >= $from && $clearance <= $to);
            }
            self::assertEqualsWithDelta($inside / 200000, $batch->chance(new Range($from, $to)), 0.005);
        }
    }

    /**
     * Equal bands of 20 µm, wanted 10 µm of spread about the middle: four classes of 5 µm, since 5 + 5 = 10. Bands of
     * unlike width drift from class to class: no number of classes does it when the drift alone is more than the range.
     */
    public function test_classes_to_pair_by(): void
    {
        $batch = new Batch(new Band(30.0, 30.02), new Band(29.99, 30.01));
        self::assertSame(4, $batch->classesFor(new Range(0.005, 0.015)));
        self::assertSame(1, $batch->classesFor(new Range(-0.01, 0.03)));
        self::assertNull(
            (new Batch(new Band(30.0, 30.04), new Band(29.99, 30.0)))->classesFor(new Range(0.005, 0.015)),
        );
    }

    /**
     * A look holds together: the picture speaks, the steps go where they say, every neighbour can be looked up in turn.
     */
    public function test_a_fit_looked_up(): void
    {
        $look = FitTable::look(25.0, 'H7/p6');
        self::assertSame(
            ['25.000', '25.021', '25.022', '25.035'],
            [
                $look['hole_shown']['lower']->mm,
                $look['hole_shown']['upper']->mm,
                $look['shaft_shown']['lower']->mm,
                $look['shaft_shown']['upper']->mm,
            ],
        );
        self::assertStringContainsString('0.001 to 0.035 tight', $look['says']->mm);
        self::assertSame(
            [
                'hole one grade finer' => 'H6/p6',
                'hole one grade coarser' => 'H8/p6',
                'shaft one grade finer' => 'H7/p5',
                'shaft one grade coarser' => 'H7/p7',
            ],
            array_column($look['steps'], 'to', 'name'),
        );
        self::assertStringContainsString('light press', $look['used_for'][0]);
        foreach ($look['beside'] as $row) {
            self::assertSame($row['label'], FitTable::look(25.0, $row['label'])['label']);
        }
        self::assertSame([], FitTable::look(25.4, 'RC4')['steps']);
        $found = FitTable::find(FitWish::read('0.0299 to 0.0301 mm tight at 40 mm', Unit::Millimetre));
        self::assertSame('none-inside', $found['notes'][0]->code);
        self::assertNotSame([], $found['fits']);
    }
}
