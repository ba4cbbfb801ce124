<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Practice\Exercise;
use Oldpart\Core\Practice\ExerciseKind;
use Oldpart\Core\Practice\GaugeFace;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Reading by eye: what is drawn is what is asked, by the way these scales are made (facts of the trade). */
final class ExercisesTest extends TestCase
{
    /** @return list<array{ExerciseKind}> */
    public static function kinds(): array
    {
        return array_map(static fn (ExerciseKind $k): array => [$k], ExerciseKind::cases());
    }

    #[DataProvider('kinds')]
    public function test_the_answer_is_right_and_its_neighbours_are_not(ExerciseKind $kind): void
    {
        foreach (range(0, 60) as $seed) {
            $of = Exercise::draw($kind, $seed);
            self::assertTrue($of->isRight($of->answer), "{$kind->value} {$seed}: {$of->answer}");
            $step = 2.2 * $of->withinMm;
            foreach ([-$step, $step] as $off) {
                self::assertFalse($of->isRight(number_format($of->answerMm + $off, 5, '.', '').' mm'), "{$kind->value} {$seed}");
            }
            self::assertEquals($of, Exercise::draw($kind, $seed));
            self::assertStringNotContainsString($of->answer, (string) json_encode($of->says));
            self::assertArrayNotHasKey('answer', $of->jsonSerialize());
        }
    }

    /** What is drawn says the answer, and its unit. */
    public function test_the_picture_says_the_answer(): void
    {
        foreach ([
            [ExerciseKind::MicrometerMm, 'thimble', 'mm', 3], [ExerciseKind::MicrometerIn, 'thimble', 'in', 4],
            [ExerciseKind::VernierMm, 'vernier', 'mm', 2], [ExerciseKind::VernierIn, 'vernier', 'in', 3],
        ] as [$kind, $face, $unit, $places]) {
            foreach (range(1, 40) as $seed) {
                $of = Exercise::draw($kind, $seed);
                self::assertNotNull($of->picture);
                $eye = new Eye($of->picture);
                [$said] = $face === 'thimble' ? $eye->thimble($unit === 'in') : $eye->vernier($unit === 'in');
                self::assertSame(number_format($said, $places, '.', '').' '.$unit, $of->answer, "{$kind->value} {$seed}");
                self::assertSame($unit, $of->unit->value);
                self::assertEqualsWithDelta($said * ($unit === 'in' ? 25.4 : 1.0), $of->answerMm, 1e-9);
            }
        }
    }

    /** The largest gap: the room at its most, less both rings at their least. */
    public function test_tolerances_add_up(): void
    {
        foreach (range(1, 40) as $seed) {
            $of = Exercise::draw(ExerciseKind::Tolerances, $seed);
            self::assertSame(6, preg_match_all('/\d+(?:\.\d+)?/', $of->says->mm, $m));
            [$a, $ta, $b, $tb, $room, $tr] = array_map('floatval', $m[0]);
            self::assertEqualsWithDelta(($room + $tr) - ($a - $ta) - ($b - $tb), $of->answerMm, 1e-9);
            // A room that both go into, with something to spare.
            self::assertGreaterThan(0.25, $room - $a - $b);
            self::assertTrue($of->isRight(number_format($of->answerMm, 2, '.', '')));
        }
    }

    /** What the scales reach, on each step of theirs: 25 mm, 1 in, 140 mm by twentieths, 5½ in by thous; proper fractions in lowest terms. */
    public function test_what_is_asked_lies_on_the_scale(): void
    {
        foreach ([
            [ExerciseKind::MicrometerMm, 0.6, 24.9, 1000.0, 1.0], [ExerciseKind::MicrometerIn, 0.03, 0.98, 10000.0, 25.4],
            [ExerciseKind::VernierMm, 2.0, 140.0, 20.0, 1.0], [ExerciseKind::VernierIn, 0.1, 5.5, 1000.0, 25.4],
        ] as [$kind, $from, $to, $steps, $mm]) {
            $values = array_map(static fn (int $seed): float => Exercise::draw($kind, $seed)->answerMm / $mm, range(0, 300));
            foreach ($values as $value) {
                self::assertEqualsWithDelta(round($value * $steps), $value * $steps, 1e-6, $kind->value);
            }
            self::assertGreaterThanOrEqual($from - 1e-9, min($values));
            self::assertLessThanOrEqual($to + 1e-9, max($values));
            // All of it is asked for sooner or later.
            self::assertLessThan($from + 0.05 * ($to - $from), min($values), $kind->value);
            self::assertGreaterThan($to - 0.05 * ($to - $from), max($values), $kind->value);
        }
        $eighths = [];
        foreach (range(0, 400) as $seed) {
            preg_match('/Write (\d+)\/(\d+) in/', Exercise::draw(ExerciseKind::Fraction, $seed)->says->mm, $m);
            self::assertSame([1, 1], [$m[1] % 2, (int) ($m[1] < $m[2])], "{$m[1]}/{$m[2]}");
            $m[2] === '8' && $eighths[$m[1]] = true;
        }
        self::assertEqualsCanonicalizing(['1', '3', '5', '7'], array_map(strval(...), array_keys($eighths)));
    }

    /** Half a step of what it is read on is right, on either side. */
    public function test_how_near_is_right(): void
    {
        foreach ([
            [ExerciseKind::MicrometerMm, 0.0005], [ExerciseKind::MicrometerIn, 25.4 * 0.00005], [ExerciseKind::VernierMm, 0.025],
            [ExerciseKind::VernierIn, 25.4 * 0.0005], [ExerciseKind::Fraction, 25.4 * 0.0005], [ExerciseKind::Tolerances, 0.005],
        ] as [$kind, $half]) {
            $of = Exercise::draw($kind, 7);
            self::assertEqualsWithDelta($half, $of->withinMm, 1e-8);
            self::assertGreaterThan($half, $of->withinMm, 'half a step itself is in');
        }
    }

    public function test_each_has_a_name(): void
    {
        $names = array_map(static fn (ExerciseKind $k): string => $k->label(), ExerciseKind::cases());
        self::assertSame(['Micrometer, mm', 'Micrometer, inch', 'Vernier, mm', 'Vernier, inch', 'Fractions', 'Adding tolerances'], $names);
    }

    public function test_fractions_are_as_the_tables_have_them(): void
    {
        $seen = [];
        foreach (range(0, 400) as $seed) {
            $of = Exercise::draw(ExerciseKind::Fraction, $seed);
            preg_match('/Write (\d+)\/(\d+) in/', $of->says->mm, $m);
            $seen["{$m[1]}/{$m[2]}"] = $of->answer;
        }
        // Handbooks' table of decimal equivalents.
        foreach (['1/8' => '0.125 in', '5/16' => '0.3125 in', '27/32' => '0.84375 in', '37/64' => '0.578125 in'] as $fraction => $decimal) {
            if (isset($seen[$fraction])) {
                self::assertSame($decimal, $seen[$fraction]);
            }
        }
        self::assertGreaterThan(40, count($seen));
    }

    /** 12.347 mm: 12 on the sleeve, 34 on the thimble and seven tenths of a division by the vernier. */
    public function test_a_thimble_is_drawn_as_it_stands(): void
    {
        $drawn = $this->texts(GaugeFace::thimble(12.347, Unit::Millimetre));
        // The line of the sleeve lies at 175; division 35 stands 0.3 of 14 above it, and seven tenths past 34.
        self::assertEqualsWithDelta(175 - 0.3 * 14, $drawn['35'] - 5, 0.02);
        self::assertArrayHasKey('10', $drawn);
        // The seventh line of the vernier meets a line of the thimble: 7 · 0.9 divisions up is 34.7 + 6.3 = 41.
        self::assertEqualsWithDelta(41.0, 34.7 + 7 * 0.9, 1e-9);
    }

    /** 0.4378 in: 4 and one fortieth on the sleeve, 12.8 thous on the thimble. */
    public function test_an_inch_thimble_has_twenty_five_thous(): void
    {
        $drawn = $this->texts(GaugeFace::thimble(0.4378 * 25.4, Unit::Inch));
        self::assertEqualsWithDelta(175 - 2.2 * 14, $drawn['15'] - 5, 0.02);
        self::assertArrayNotHasKey('25', $drawn);
    }

    /** 27.43 mm on a dial: 27 turns, and the needle 43 of a hundred round. */
    public function test_a_dials_needle_points_where_it_should(): void
    {
        $lines = array_values(array_filter(
            GaugeFace::dial(27.43, Unit::Millimetre)->shapes(),
            static fn (object $s): bool => $s instanceof \Oldpart\Core\Picture\Line && $s->width === 3.0,
        ));
        self::assertCount(1, $lines);
        $needle = $lines[0];
        assert($needle instanceof \Oldpart\Core\Picture\Line);
        $turned = fmod(atan2($needle->y2 - $needle->y1, $needle->x2 - $needle->x1) / (2 * M_PI) + 0.25 + 1, 1);
        self::assertEqualsWithDelta(0.43, $turned, 1e-6);
    }

    /** @return array<string, float> by what is written: how far down it stands */
    private function texts(\Oldpart\Core\Picture\Drawing $drawing): array
    {
        $texts = [];
        foreach ($drawing->shapes() as $shape) {
            if ($shape instanceof \Oldpart\Core\Picture\Text) {
                $texts[$shape->say->mm] = $shape->y;
            }
        }

        return $texts;
    }
}
