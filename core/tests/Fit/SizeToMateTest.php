<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Eris\Generator;
use Eris\TestTrait;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Fit\FitAt;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

final class SizeToMateTest extends TestCase
{
    use TestTrait;

    /** Worked by hand from the definition of clearance, bore less shaft. */
    public function test_by_hand(): void
    {
        $press = SizeToMate::of(true, 30.0, 0.004, new Range(-0.035, -0.001));
        self::assertEqualsWithDelta(30.005, $press->band?->lowerMm, 1e-9);
        self::assertEqualsWithDelta(30.031, $press->band?->upperMm, 1e-9);
        self::assertEqualsWithDelta(0.017, $press->neededU95Mm, 1e-9);

        $running = SizeToMate::of(false, 25.0, 0.003, new Range(0.02, 0.074), 24.99);
        self::assertEqualsWithDelta(25.023, $running->band?->lowerMm, 1e-9);
        self::assertEqualsWithDelta(25.061, $running->band?->upperMm, 1e-9);
        self::assertEqualsWithDelta(0.022, $running->neededU95Mm, 1e-9);
    }

    /**
     * Whatever the mate really is, within its doubt and its form, a part inside the band gives the clearance asked for.
     */
    public function test_any_size_in_the_band_fits_any_true_mate(): void
    {
        $this->forAll(
            Generator\choose(0, 1),
            Generator\choose(-60, 60),
            Generator\choose(20, 90),
            Generator\choose(0, 9),
            Generator\choose(0, 9),
            Generator\choose(0, 10),
            Generator\choose(-10, 10),
        )->then(function (int $makeShaft, int $min, int $width, int $u, int $form, int $at, int $error): void {
            $c = new Range($min / 1000, ($min + $width) / 1000);
            $form = $c->max <= 0 ? 0 : $form;
            $mating = 30.0;
            $loose = $mating + ($makeShaft ? $form : -$form) / 1000;
            $band = SizeToMate::of((bool) $makeShaft, $mating, $u / 1000, $c, $loose)->band;
            if ($band === null) {
                self::assertGreaterThanOrEqual($width, 2 * $u + $form);

                return;
            }
            $made = $band->lowerMm + ($band->widthMm() * $at) / 10;
            foreach ([$mating, $loose] as $reading) {
                $mate = $reading + (($error / 10) * $u) / 1000;
                $clearance = $makeShaft ? $mate - $made : $made - $mate;
                self::assertGreaterThanOrEqual($c->min - 1e-9, $clearance);
                self::assertLessThanOrEqual($c->max + 1e-9, $clearance);
            }
        });
    }

    public function test_tells_a_poor_reading_from_an_oval_mate(): void
    {
        $poor = SizeToMate::of(true, 30.0, 0.02, new Range(-0.035, -0.001));
        self::assertNull($poor->band);
        self::assertSame('reading-not-good-enough', $poor->notes[0]->code);
        self::assertStringContainsString('0.017 mm', $poor->notes[0]->say->mm);

        $oval = SizeToMate::of(true, 30.0, 0.0, new Range(0.007, 0.041), 30.05);
        self::assertNull($oval->band);
        self::assertNull($oval->neededU95Mm, 'no reading can mend an oval bore');
        self::assertSame('mate-form', $oval->notes[0]->code);
    }

    public function test_a_clearance_larger_than_the_part_gives_no_size(): void
    {
        $sized = SizeToMate::of(true, 0.01, 0.0, new Range(0.01, 0.05));
        self::assertNull($sized->band);
        self::assertSame('clearance-too-large', $sized->notes[0]->code);
    }

    public function test_refusals(): void
    {
        foreach (
            [
                [0.0, 0.001, null, 'mate.size_mm'],
                [30.0, -0.1, null, 'mate.u95_mm'],
                [30.0, 0.001, 29.9, 'mate.loose_mm'],
            ] as [$size, $u, $loose, $field]
        ) {
            try {
                SizeToMate::of(true, $size, $u, new Range(0.01, 0.05), $loose);
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }

    /**
     * By hand: a bore found 30.000 to 30.010, sure to 4 µm; a shaft of 29.980 has 20 to 30 µm, with the doubt 16 to 34.
     */
    public function test_what_the_fit_is_at_a_size(): void
    {
        $at = static fn (float $size): FitAt => FitAt::of(true, $size, 30.0, 0.004, 30.01, new Range(0.01, 0.04));
        self::assertEqualsWithDelta([0.016, 0.034], [$at(29.98)->clearanceMm->min, $at(29.98)->clearanceMm->max], 1e-9);
        self::assertSame(
            ['inside', 'cannot-tell', 'outside', 'outside'],
            [$at(29.98)->verdict, $at(29.988)->verdict, $at(29.996)->verdict, $at(29.96)->verdict],
        );
        $bore = FitAt::of(false, 25.03, 25.0, 0.0, 24.99);
        self::assertEqualsWithDelta([0.03, 0.04], [$bore->clearanceMm->min, $bore->clearanceMm->max], 1e-9);
        foreach ([[0.0, 30.0, 0.0], [30.0, 0.0, 0.0], [30.0, 30.0, -1.0]] as [$size, $mate, $u]) {
            try {
                FitAt::of(true, $size, $mate, $u);
                self::fail('taken');
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->field);
            }
        }
    }

    /**
     * The band and the fit at a size say the same: inside the band inside, beyond it by more than twice the doubt
     * outside.
     */
    public function test_the_band_and_the_fit_at_a_size_agree(): void
    {
        foreach (
            [
                [true, 30.0, 0.004, -0.035, -0.001, null],
                [false, 25.0, 0.003, 0.02, 0.074, 24.99],
                [true, 40.0, 0.002, 0.009, 0.05, 40.008],
            ] as [$shaft, $mate, $u, $min, $max, $loose]
        ) {
            $wanted = new Range($min, $max);
            $band = SizeToMate::of($shaft, $mate, $u, $wanted, $loose)->band;
            self::assertNotNull($band);
            foreach ([$band->lowerMm, $band->middleMm(), $band->upperMm] as $size) {
                self::assertSame('inside', FitAt::of($shaft, $size, $mate, $u, $loose, $wanted)->verdict);
            }
            foreach ([$band->lowerMm - 2 * $u - 0.001, $band->upperMm + 2 * $u + 0.001] as $size) {
                self::assertSame('outside', FitAt::of($shaft, $size, $mate, $u, $loose, $wanted)->verdict);
            }
        }
    }

    /** Form that takes more than half of the fit is said; form that takes all of it is what stands in the way, not the gauge. */
    public function test_form_and_gauge_are_told_apart(): void
    {
        $codes = static fn (float $form, float $u): array => array_column(
            SizeToMate::of(true, 30.0, $u, new Range(0.0, 0.05), 30.0 + $form)->notes,
            'code',
        );
        self::assertSame([], $codes(0.02, 0.002));
        self::assertSame(['mate-form'], $codes(0.03, 0.002));
        self::assertSame(['mate-form'], $codes(0.06, 0.002));
        self::assertSame(['reading-not-good-enough'], $codes(0.02, 0.03));
        self::assertSame(['reading-not-good-enough'], $codes(0.0, 0.03));
        self::assertNull(SizeToMate::of(true, 30.0, 0.002, new Range(0.0, 0.05), 30.06)->neededU95Mm);
        self::assertEqualsWithDelta(
            0.015,
            SizeToMate::of(true, 30.0, 0.03, new Range(0.0, 0.05), 30.02)->neededU95Mm,
            1e-9,
        );
    }
}
