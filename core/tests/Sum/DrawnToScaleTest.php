<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Sum;

use Oldpart\Core\Picture\Area;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a sum draws lies where school geometry puts it, one millimetre as long as the other. */
final class DrawnToScaleTest extends TestCase
{
    /** @return iterable<array{string, int}> sums that write sizes at lines, and how many */
    public static function sized(): iterable
    {
        yield ['taper', 3];
        yield ['taper-trial', 2];
        yield ['taper-by-balls', 3];
        yield ['taper-by-rollers', 3];
        yield ['sine-bar', 2];
        yield ['keyway', 3];
        yield ['key-cut', 3];
        yield ['flats', 2];
        yield ['screw-hole', 3];
        yield ['ball-groove', 2];
        yield ['bore-centre', 2];
        yield ['pour', 2];
    }

    /** The line a size is written at is as long as it says, all of a drawing in one scale. */
    #[DataProvider('sized')]
    public function test_a_line_is_as_long_as_it_says(string $sum, int $count): void
    {
        $says = $long = [];
        foreach (self::drawn($sum)->shapes() as $shape) {
            if ($shape instanceof Text && preg_match('/^(?:now |wanted |travel )?(\d+\.\d{3})$/', $shape->say->mm, $m) === 1) {
                $says[$m[1]] = (float) $m[1];
            } elseif ($shape instanceof Line) {
                $long[] = hypot($shape->x2 - $shape->x1, $shape->y2 - $shape->y1);
            }
        }
        self::assertCount($count, $says);
        $most = max($says);
        $fits = static fn (float $scale): bool => array_filter($says, static fn (float $mm): bool => array_filter($long, static fn (float $l): bool => abs($l - $mm * $scale) < 0.003 * $mm * $scale) === []) === [];
        self::assertNotSame([], array_filter($long, static fn (float $l): bool => $fits($l / $most)), 'no scale suits all of '.implode(', ', $says));
    }

    /**
     * @param  array<string, mixed>  $in  over its example
     */
    private static function drawn(string $sum, array $in = []): Drawing
    {
        $picture = Sums::run($sum, [...Sums::named($sum)->example(), ...$in])['picture'];
        self::assertInstanceOf(Drawing::class, $picture);

        return $picture;
    }

    /**
     * The circles of a drawing in mm, its first one (or the one named) about 0, 0 and of a known radius.
     *
     * @return list<array{float, float, float, Tone}> x, y upward, radius
     */
    private static function rounds(Drawing $drawing, float $radiusMm, int $first = 0): array
    {
        $found = [];
        foreach ($drawing->shapes() as $shape) {
            if ($shape instanceof Area && count($shape->points) >= 90) {
                [$xs, $ys] = [array_column($shape->points, 0), array_column($shape->points, 1)];
                $found[] = [(max($xs) + min($xs)) / 2, -(max($ys) + min($ys)) / 2, (max($xs) - min($xs)) / 2, $shape->tone];
            }
        }
        [$x, $y, $r] = $found[$first];
        $per = $radiusMm / $r;

        return array_map(static fn (array $c): array => [($c[0] - $x) * $per, ($c[1] - $y) * $per, $c[2] * $per, $c[3]], $found);
    }

    /** @param  list<array{float, float, float, Tone}>  $rounds */
    private static function has(float $x, float $y, float $r, array $rounds): void
    {
        $near = array_filter($rounds, static fn (array $c): bool => hypot($c[0] - $x, $c[1] - $y) < 0.05 && abs($c[2] - $r) < 0.05);
        self::assertNotSame([], $near, "no circle of {$r} at {$x}, {$y}");
    }

    /** Six holes of 9 on 80, and four of 8 on 70, those turned by 15°. */
    public function test_two_circles_of_holes(): void
    {
        $rounds = self::rounds(self::drawn('clocking'), 40.0);
        foreach (range(0, 5) as $i) {
            self::has(40 * cos(deg2rad(60 * $i)), 40 * sin(deg2rad(60 * $i)), 4.5, $rounds);
        }
        foreach (range(0, 3) as $i) {
            self::has(35 * cos(deg2rad(90 * $i + 15)), 35 * sin(deg2rad(90 * $i + 15)), 4.0, $rounds);
        }
    }

    /** The circle through 10, 0 and 0, 10 and −10, 0.1: its middle a hair below and left of 0, its places numbered. */
    public function test_a_circle_through_places(): void
    {
        $drawing = self::drawn('find-circle');
        $rounds = self::rounds($drawing, 10.00025);
        foreach ([[10.0, 0.0], [0.0, 10.0], [-10.0, 0.1]] as [$x, $y]) {
            self::has($x, $y, 10.0 / 14, $rounds);
        }
        $texts = array_map(static fn (Text $t): string => $t->say->mm, array_values(array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Text)));
        foreach (['1: ', '2: ', '3: '] as $number) {
            self::assertNotSame([], array_filter($texts, static fn (string $t): bool => str_starts_with($t, $number)));
        }
    }

    /** Five pins of 8 on the circle a chord of 56 has: 95.273, the first two level at the top. */
    public function test_a_chord(): void
    {
        $rounds = self::rounds(self::drawn('circle-from-chord'), 28 / sin(deg2rad(36)));
        $r = 28 / sin(deg2rad(36));
        foreach (range(0, 4) as $i) {
            self::has($r * cos(deg2rad(54 + 72 * $i)), $r * sin(deg2rad(54 + 72 * $i)), 4.0, $rounds);
        }
    }

    /** 3 across and 4 up: the second axis lies there, and its line runs on the same way. */
    public function test_an_offset(): void
    {
        $drawing = self::drawn('offset');
        $rounds = self::rounds($drawing, 20.0);
        self::has(3.0, 4.0, 9.0, $rounds);
        $out = array_values(array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Line && $s->tone === Tone::Make && $s->dashed));
        self::assertCount(1, $out);
        self::assertEqualsWithDelta(4 / 3, ($out[0]->y1 - $out[0]->y2) / ($out[0]->x2 - $out[0]->x1), 1e-6);
    }

    /** Stock of 1 all round on 50, off by 0.4 to the left: drawn larger, to 6 of 100, and as much more off. */
    public function test_stock_that_is_off_to_one_side(): void
    {
        $rounds = self::rounds(self::drawn('clean-up'), 25.0, 1);
        self::has(-0.4 * 3, 0.0, 25 + 3.0, $rounds);
        $pattern = self::rounds(self::drawn('casting'), 60.0, 1);
        self::has(0.0, 0.0, 60 + 7.2, $pattern);
        // Much stock is drawn as it is.
        self::has(0.0, 0.0, 60 + 20.0, self::rounds(self::drawn('casting', ['allowance_mm' => 20.0, 'shrink_percent' => 0.0]), 60.0, 1));
        // From a bore it lies inside.
        $bore = self::rounds(self::drawn('casting', ['outside' => false]), 60.0, 1);
        self::has(0.0, 0.0, 60 - 7.2, $bore);
    }

    /** Two drillings in a block of 80 by 50 by 40: one seen along it as a circle from the side, one from above. */
    public function test_drillings_in_three_views(): void
    {
        $drawing = self::drawn('ports');
        $boxes = array_values(array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Area && count($s->points) === 4 && $s->tone === Tone::Found));
        self::assertCount(3, $boxes);
        $size = static fn (Area $a): array => [max(array_column($a->points, 0)) - min(array_column($a->points, 0)), max(array_column($a->points, 1)) - min(array_column($a->points, 1))];
        $per = $size($boxes[0])[0] / 80;
        self::assertEqualsWithDelta([80 * $per, 50 * $per], $size($boxes[0]), 1e-6);
        self::assertEqualsWithDelta([80 * $per, 40 * $per], $size($boxes[1]), 1e-6);
        self::assertEqualsWithDelta([50 * $per, 40 * $per], $size($boxes[2]), 1e-6);
        $rounds = array_values(array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Area && count($s->points) >= 90));
        self::assertCount(2, $rounds);
        // From above the cross drilling at 40, 25: in the middle of that view. From the side the main one in its middle.
        foreach ([[$rounds[0], $boxes[0], 8.0], [$rounds[1], $boxes[2], 10.0]] as [$round, $box, $wide]) {
            self::assertEqualsWithDelta(self::middle($box), self::middle($round), 1e-6);
            self::assertEqualsWithDelta($wide * $per, $size($round)[0], 0.01 * $wide * $per);
        }
        $along = array_values(array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Area && count($s->points) === 4 && $s->tone === Tone::Make));
        self::assertCount(4, $along);
        self::assertEqualsWithDelta([60 * $per, 10 * $per], $size($along[0]), 1e-6);
        self::assertEqualsWithDelta([8 * $per, 20 * $per], $size($along[2]), 1e-6);
    }

    /** The bar gives way along x² (3 − x): half way out 5/16 of what it gives at its end, and level at the chuck. */
    public function test_a_bar_that_hangs_out(): void
    {
        $bent = array_values(array_filter(self::drawn('overhang')->shapes(), static fn ($s): bool => $s instanceof Area && $s->tone === Tone::Found))[0];
        self::assertCount(42, $bent->points);
        [$start, $middle, $end] = [$bent->points[0], $bent->points[10], $bent->points[20]];
        self::assertEqualsWithDelta(2 * ($middle[0] - $start[0]), $end[0] - $start[0], 1e-6);
        self::assertEqualsWithDelta(5 / 16, ($middle[1] - $start[1]) / ($end[1] - $start[1]), 1e-6);
        self::assertEqualsWithDelta(100 / 20, ($end[0] - $start[0]) / ($bent->points[41][1] - $start[1]), 1e-6, 'five to one');
    }

    /** Straight to the kink at 100, then rising alike: 0.2 at 200 and 0.4 at 300. */
    public function test_a_shaft_that_is_bent(): void
    {
        $lines = array_values(array_filter(self::drawn('bend')->shapes(), static fn ($s): bool => $s instanceof Line && $s->tone === Tone::Found));
        self::assertCount(3, $lines);
        self::assertEqualsWithDelta($lines[0]->y1, $lines[0]->y2, 1e-9);
        self::assertEqualsWithDelta($lines[1]->y1 - $lines[1]->y2, $lines[2]->y1 - $lines[2]->y2, 1e-6);
        self::assertGreaterThan(10.0, $lines[1]->y1 - $lines[1]->y2, 'up, and to be seen');
        $kink = array_values(array_filter(self::drawn('bend')->shapes(), static fn ($s): bool => $s instanceof Line && $s->tone === Tone::Make))[0];
        self::assertEqualsWithDelta($lines[1]->x1, $kink->x1, 1e-6);
        self::assertGreaterThan($lines[0]->y1, max($kink->y1, $kink->y2));
        self::assertLessThan($lines[0]->y1, min($kink->y1, $kink->y2));
    }

    /** The shell 72 and its wall round a mandrel of 57, 90 long, with 15 of head over it. */
    public function test_a_shell_to_be_poured(): void
    {
        $drawing = self::drawn('pour');
        $areas = array_values(array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Area && count($s->points) === 4));
        $span = static fn (Area $a, int $k): array => [min(array_column($a->points, $k)), max(array_column($a->points, $k))];
        $metal = array_values(array_filter($areas, static fn (Area $a): bool => $a->tone === Tone::Make));
        $shell = array_values(array_filter($areas, static fn (Area $a): bool => $a->tone === Tone::Found));
        self::assertSame([2, 2], [count($metal), count($shell)]);
        $per = ($span($shell[0], 1)[1] - $span($shell[0], 1)[0]) / 90;
        self::assertEqualsWithDelta([7.5 * $per, 105 * $per], [$span($metal[0], 0)[1] - $span($metal[0], 0)[0], $span($metal[0], 1)[1] - $span($metal[0], 1)[0]], 1e-6);
        self::assertEqualsWithDelta(57 * $per, $span($metal[0], 0)[0] - $span($metal[1], 0)[1], 1e-6);
        self::assertEqualsWithDelta($span($metal[0], 0)[1], $span($shell[0], 0)[0], 1e-6, 'the shell begins where the metal ends');
        self::assertEqualsWithDelta(10.08 * $per, $span($shell[0], 0)[1] - $span($shell[0], 0)[0], 1e-6, 'a wall of 0.14 of the bore');
    }

    /** @return array{float, float} */
    private static function middle(Area $a): array
    {
        [$xs, $ys] = [array_column($a->points, 0), array_column($a->points, 1)];

        return [(min($xs) + max($xs)) / 2, (min($ys) + max($ys)) / 2];
    }

    /** A slit is sawn: as wide at the bore as outside, its two sides side by side. */
    public function test_the_slit_of_a_bush(): void
    {
        foreach (self::drawn('split-bush')->shapes() as $shape) {
            if ($shape instanceof Area) {
                $points = $shape->points;
            }
        }
        self::assertNotEmpty($points ?? []);
        $half = intdiv(count($points), 2);
        $gap = static fn (int $a, int $b): array => [$points[$b][0] - $points[$a][0], $points[$b][1] - $points[$a][1]];
        [$outside, $inside] = [$gap(0, $half - 1), $gap(count($points) - 1, $half)];
        self::assertEqualsWithDelta(0.0, $outside[1], 1e-6);
        self::assertEqualsWithDelta($outside[0], $inside[0], 0.01 * abs($outside[0]));
        self::assertGreaterThan(0.0, abs($outside[0]));
    }
}
