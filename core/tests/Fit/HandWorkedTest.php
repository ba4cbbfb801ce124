<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Fit\FitAt;
use Oldpart\Core\Fit\FitSearch;
use Oldpart\Core\Fit\FitWish;
use Oldpart\Core\Fit\InchFit;
use Oldpart\Core\Fit\NamedFit;
use Oldpart\Core\Fit\PlainBearing;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** Fits and bearings worked by hand. */
final class HandWorkedTest extends TestCase
{
    /**
     * 30 × 40 under 1200 N at 810 a minute: 1 MPa, π · 0.03 · 810/60 = 1.27 m/s, 1.27 MPa m/s. One thing over what it stands is
     * said of one, two of two.
     */
    public function test_a_bearing_s_figures(): void
    {
        $bearing = PlainBearing::of(30.0, 40.0, 1200.0, 810.0, 'leaded tin bronze (bearing)');
        self::assertEqualsWithDelta(1.2723, $bearing->speedMs ?? 0, 0.0001);
        self::assertStringContainsString('1.27 ', (string) json_encode($bearing->working, JSON_UNESCAPED_UNICODE));
        self::assertStringNotContainsString('1.272', (string) json_encode($bearing->working));
        $says = static function (float $load, float $rpm): string {
            $notes = PlainBearing::of(30.0, 40.0, $load, $rpm, 'leaded tin bronze (bearing)')->notes;
            $over = array_filter($notes, static fn (Note $n): bool => $n->code === 'bearing-overloaded');

            return $over === [] ? '' : array_values($over)[0]->say->both;
        };
        self::assertStringContainsString('The pressure is more', $says(1e6, 0.0));
        self::assertStringContainsString(' are more', $says(1e6, 5000.0));
        self::assertSame('', $says(100.0, 10.0));
    }

    /** A round mate that is read too badly is not blamed on its form. */
    public function test_form_is_blamed_only_where_there_is_some(): void
    {
        $codes = static fn (SizeToMate $s): array => array_map(static fn (Note $n): string => $n->code, $s->notes);
        $round = SizeToMate::of(true, 30.0, 0.02, new Range(-0.03, -0.01));
        self::assertNull($round->band);
        self::assertNotContains('mate-form', $codes($round));
        $oval = SizeToMate::of(true, 30.0, 0.0, new Range(0.01, 0.03), 30.05);
        self::assertContains('mate-form', $codes($oval));
    }

    /** A shaft is not made three grades finer than its hole, nor two coarser (common practice; ISO 286-1 advises one finer). */
    public function test_grades_that_go_together(): void
    {
        $labels = array_map(static fn (NamedFit $f): string => $f->label, FitSearch::all(25.0));
        self::assertContains('H7/k6', $labels);
        self::assertContains('H7/k5', $labels);
        self::assertSame([], preg_grep('#^H7/[a-z]+(4|9)$#', $labels) ?: []);
        self::assertSame([], preg_grep('#^H8/[a-z]+5$#', $labels) ?: []);
    }

    /** ANSI B4.1 gives its running fits from above nothing to 19.69 in; its own last step belongs to it. */
    public function test_how_far_an_inch_class_goes(): void
    {
        self::assertFalse(InchFit::covers(0.0, 'RC4'));
        self::assertTrue(InchFit::covers(0.01, 'RC4'));
        self::assertTrue(InchFit::covers(25.4, 'RC4'));
        self::assertFalse(InchFit::covers(25.4, 'RC99'));
        self::assertTrue(InchFit::covers(19.69 * 25.4, 'RC4'));
        self::assertFalse(InchFit::covers(19.70 * 25.4, 'RC4'));
    }

    /**
     * A shaft in a hole of 30.000 to 30.010, sure to ±4 µm, with 10 to 40 µm wanted. At 29.963 it has 37 to 47: the loosest spot
     * lies out by 7, more than the doubt. At 29.968 it has 32 to 42, out by 2 only: nobody can tell.
     */
    public function test_out_is_said_only_beyond_the_doubt(): void
    {
        $at = static fn (float $mm): string => FitAt::of(true, $mm, 30.0, 0.004, 30.01, new Range(0.01, 0.04))->verdict;
        self::assertSame(
            ['outside', 'cannot-tell', 'inside', 'cannot-tell', 'outside'],
            array_map($at, [29.963, 29.968, 29.976, 29.992, 29.995]),
        );
    }

    /** ISO 286-2: H7 at 30 is 0 to +21 µm, p6 +22 to +35; their widths are IT7 and IT6. */
    public function test_a_band_is_as_wide_as_its_grade(): void
    {
        $fit = NamedFit::iso(30.0, 'H7', 'p6');
        self::assertEqualsWithDelta([0.021, 0.013], [$fit->hole->widthMm(), $fit->shaft->widthMm()], 1e-9);
    }

    /** A quarter of the size is no clearance any more but another unit: 10.1 mm at 40 mm is refused, 9.9 is not. */
    public function test_a_wish_of_more_than_a_quarter_is_a_slip(): void
    {
        FitWish::read('0.1 to 9.9 mm loose at 40 mm', Unit::Millimetre);
        $this->expectException(BadInput::class);
        FitWish::read('0.1 to 10.1 mm loose at 40 mm', Unit::Millimetre);
    }

    public function test_tight_as_well(): void
    {
        FitWish::read('9.8 to 9.9 mm tight at 40 mm', Unit::Millimetre);
        $this->expectException(BadInput::class);
        FitWish::read('10.2 mm tight to 1 mm loose at 40 mm', Unit::Millimetre);
    }

    /** K stops at grade 8 from 3 to 500 mm, not below (ISO 286-1, table 3). */
    public function test_where_k_of_a_hole_is_given(): void
    {
        self::assertSame(0.0, NamedFit::iso(3.0, 'K9', 'h8')->hole->upperMm);
        $this->expectException(BadInput::class);
        NamedFit::iso(30.0, 'K9', 'h8');
    }
}
