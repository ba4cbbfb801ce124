<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Picture\Area;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Practice\GaugeFace;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every face is read back as a person reads it: what it says is what it was given. */
final class FacesTest extends TestCase
{
    /** @return iterable<string, array{Unit, float}> */
    public static function micrometers(): iterable
    {
        foreach ([0.6, 0.75, 1.0, 4.999, 5.0, 7.123, 9.58, 12.347, 17.5, 18.006, 20.499, 23.841, 24.9] as $mm) {
            yield "{$mm} mm" => [Unit::Millimetre, $mm];
        }
        foreach ([0.03, 0.0999, 0.1, 0.125, 0.2503, 0.4378, 0.5, 0.6617, 0.7749, 0.8124, 0.98] as $inch) {
            yield "{$inch} in" => [Unit::Inch, $inch];
        }
    }

    #[DataProvider('micrometers')]
    public function test_a_micrometer_says_what_it_measures(Unit $unit, float $value): void
    {
        $inch = $unit === Unit::Inch;
        $face = GaugeFace::thimble($inch ? 25.4 * $value : $value, $unit);
        [$said, $clear] = (new Eye($face))->thimble($inch);
        self::assertEqualsWithDelta($value, $said, 1e-9);
        // The next pair of lines is a tenth of a division out: that can be seen.
        self::assertEqualsWithDelta(0.1, $clear, 1e-6);
        $this->fits($face);
        self::assertSame($inch ? 'inch' : 'mm', self::lastText($face));
    }

    /** @return iterable<string, array{Unit, float}> */
    public static function verniers(): iterable
    {
        foreach ([2.0, 3.05, 9.95, 10.0, 25.4, 33.35, 47.85, 68.6, 99.9, 100.0, 112.75, 140.0] as $mm) {
            yield "{$mm} mm" => [Unit::Millimetre, $mm];
        }
        foreach ([0.1, 0.124, 0.926, 1.0, 1.013, 2.349, 3.775, 4.999, 5.5] as $inch) {
            yield "{$inch} in" => [Unit::Inch, $inch];
        }
    }

    #[DataProvider('verniers')]
    public function test_a_vernier_says_what_it_measures(Unit $unit, float $value): void
    {
        $inch = $unit === Unit::Inch;
        $face = GaugeFace::vernier($inch ? 25.4 * $value : $value, $unit);
        [$said, $clear] = (new Eye($face))->vernier($inch);
        self::assertEqualsWithDelta($value, $said, 1e-9);
        self::assertEqualsWithDelta($inch ? 1 / 25 : 1 / 20, $clear, 1e-6);
        $this->fits($face);
        $said = implode(' ', array_map(static fn (object $s): string => $s instanceof Text ? $s->say->mm : '', $face->shapes()));
        self::assertStringContainsString($inch ? 'tenths of an inch' : 'centimetres', $said);
        self::assertStringContainsString($inch ? 'thous' : 'twentieths of a millimetre', $said);
    }

    /** @return iterable<string, array{Unit, float}> */
    public static function dials(): iterable
    {
        foreach ([0.0, 0.07, 0.5, 1.0, 2.38, 9.99, 27.43, 40.8] as $mm) {
            yield "{$mm} mm" => [Unit::Millimetre, $mm];
        }
        foreach ([0.003, 0.1, 0.257, 1.999, 2.05] as $inch) {
            yield "{$inch} in" => [Unit::Inch, $inch];
        }
    }

    #[DataProvider('dials')]
    public function test_a_dial_says_what_it_measures(Unit $unit, float $value): void
    {
        $inch = $unit === Unit::Inch;
        $face = GaugeFace::dial($inch ? 25.4 * $value : $value, $unit);
        self::assertEqualsWithDelta($value, (new Eye($face))->dial() * ($inch ? 0.1 : 1.0), 1e-9);
        $this->fits($face);
        self::assertStringContainsString($inch ? '0.001 in' : '0.01 mm', self::lastText($face));
    }

    /** A line of a sleeve that counts for more is longer: whole millimetres beside halves, tenths of an inch beside fortieths. */
    public function test_lines_that_count_for_more_are_longer(): void
    {
        foreach ([[Unit::Millimetre, 20.0, 2], [Unit::Inch, 25.4 * 0.9, 4]] as [$unit, $mm, $every]) {
            $long = $this->lengths(GaugeFace::thimble($mm, $unit), static fn (Line $l): bool => $l->x1 === $l->x2);
            foreach (array_reverse($long) as $k => $length) {
                // The last one is a whole one, in both.
                self::assertSame($k % $every === (count($long) - 1) % $every, $length === max($long), "{$unit->value} {$k}");
            }
        }
        $beam = $this->lengths(GaugeFace::vernier(30.0, Unit::Millimetre), static fn (Line $l): bool => $l->x1 === $l->x2 && $l->y2 < $l->y1);
        self::assertSame([$beam[0], $beam[10], $beam[20]], array_fill(0, 3, max($beam)));
        self::assertTrue($beam[5] < $beam[0] && $beam[5] > $beam[1] && $beam[15] === $beam[5]);
        // The ten of a dial beside the fives and the ones.
        $dial = $this->lengths(GaugeFace::dial(1.0, Unit::Millimetre), static fn (Line $l): bool => true);
        self::assertCount(101, $dial);
        self::assertTrue($dial[10] > $dial[5] && $dial[5] > $dial[1]);
        self::assertEqualsWithDelta($dial[0], $dial[90], 1e-9);
        self::assertEqualsWithDelta($dial[5], $dial[95], 1e-9);
    }

    /** The sleeve's vernier is numbered 0, 2, 4, 6, 8, 0 to the left of its lines; every fifth line of a thimble to the right. */
    public function test_what_is_written_at_a_thimble(): void
    {
        foreach ([[Unit::Millimetre, 12.347], [Unit::Inch, 25.4 * 0.4378]] as [$unit, $mm]) {
            $face = GaugeFace::thimble($mm, $unit);
            $flat = array_filter($face->shapes(), static fn (object $s): bool => $s instanceof Line && $s->y1 === $s->y2);
            $edge = max(array_map(static fn (object $l): float => $l instanceof Line && $l->x1 < 25 ? $l->x2 : 0.0, $flat));
            $vernier = array_values(array_filter($flat, static fn (object $l): bool => $l instanceof Line && $l->x2 === $edge && $l->x1 > 25));
            usort($vernier, static fn (Line $a, Line $b): int => $b->y1 <=> $a->y1);
            $said = [];
            foreach ($vernier as $line) {
                $beside = array_filter($face->shapes(), static fn (object $t): bool => $t instanceof Text && $t->x < $line->x1 && $t->x > $line->x1 - 20 && abs($t->y - $t->size / 3 - $line->y1) < 1);
                $said[] = array_values(array_map(static fn (object $t): string => $t instanceof Text ? $t->say->mm : '', $beside))[0] ?? '';
            }
            self::assertSame(['0', '', '2', '', '4', '', '6', '', '8', '', '0'], $said);
        }
        // On an inch beam a line is a fortieth or a tenth, and of those two lengths.
        self::assertCount(2, array_unique(array_map(
            static fn (float $l): string => (string) round($l, 3),
            $this->lengths(GaugeFace::vernier(30.0, Unit::Inch), static fn (Line $l): bool => $l->x1 === $l->x2 && $l->y2 < $l->y1),
        )));
    }

    /** Thimble or dial: as the gauge has it. */
    public function test_each_gauge_has_its_own_face(): void
    {
        foreach (['outside-micrometer' => 'thimble', 'depth-micrometer' => 'thimble', 'three-point' => 'thimble',
            'calliper' => 'dial', 'dial-bore' => 'dial', 'dial-indicator' => 'dial', 'height-gauge' => 'dial'] as $code => $face) {
            self::assertStringContainsString(
                $face,
                GaugeFace::of(Instrument::named($code), 20.0, Unit::Millimetre)->says->mm,
                $code,
            );
        }
    }

    /** Nothing is drawn beyond the frame. */
    private function fits(Drawing $face): void
    {
        foreach ($face->shapes() as $shape) {
            $points = match (true) {
                $shape instanceof Line => [[$shape->x1, $shape->y1], [$shape->x2, $shape->y2]],
                $shape instanceof Text => [[$shape->x, $shape->y], [$shape->x, $shape->y - $shape->size * 0.7]],
                $shape instanceof Area => $shape->points,
                default => [],
            };
            foreach ($points as [$x, $y]) {
                self::assertTrue($x >= 0 && $x <= $face->width && $y >= 0 && $y <= $face->height, "{$x}, {$y} is outside");
            }
        }
    }

    /**
     * @param  \Closure(Line): bool  $which
     * @return list<float>
     */
    private function lengths(Drawing $face, \Closure $which): array
    {
        $lengths = [];
        foreach ($face->shapes() as $shape) {
            if ($shape instanceof Line && $which($shape)) {
                $lengths[] = hypot($shape->x2 - $shape->x1, $shape->y2 - $shape->y1);
            }
        }

        return $lengths;
    }

    private static function lastText(Drawing $face): string
    {
        $said = '';
        foreach ($face->shapes() as $shape) {
            $said = $shape instanceof Text ? $shape->say->mm : $said;
        }

        return $said;
    }
}
