<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\Area;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\Sketch\Sketch;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Picture\TextWidth;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Sum\Sum;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the sums draw. */
final class PicturesTest extends TestCase
{
    /** Lists, tables and single numbers have nothing to draw. */
    private const WITHOUT = [
        'length', 'lathe-reach', 'from-picture', 'fitting-reach', 'readings', 'nominal', 'unit-vote', 'cooling', 'iso-fit', 'inch-fit', 'size-to-mate', 'fit-at', 'aim',
        'bearing-seat', 'plain-bearing', 'press', 'shrink', 'loop', 'next-cut', 'thread-identify', 'tap-drill', 'thread-strength', 'tighten',
        'gear-span', 'gear', 'sprocket', 'belt-pulley', 'dividing', 'bolt-hole', 'balance-hole', 'run-out-budget', 'half-turn', 'tilt-shim', 'stock-at-both-ends', 'two-castings', 'balance', 'speed', 'scale',
    ];

    /** @return iterable<string, array{Sum}> */
    public static function sums(): iterable
    {
        foreach (Sums::all() as $sum) {
            yield $sum->name() => [$sum];
        }
    }

    #[DataProvider('sums')]
    public function test_a_sum_of_shapes_is_drawn_inside_its_frame(Sum $sum): void
    {
        $picture = Sums::run($sum->name(), $sum->example())['picture'] ?? null;
        if (in_array($sum->name(), self::WITHOUT, true)) {
            self::assertNull($picture);

            return;
        }
        self::assertInstanceOf(Drawing::class, $picture);
        self::assertNotEmpty($picture->shapes());
        foreach ($picture->shapes() as $shape) {
            foreach (self::places($shape) as [$x, $y]) {
                self::assertTrue(is_finite($x) && is_finite($y));
                self::assertGreaterThanOrEqual(-1, $x);
                self::assertLessThanOrEqual($picture->width + 1, $x);
                self::assertGreaterThanOrEqual(-1, $y);
                self::assertLessThanOrEqual($picture->height + 1, $y);
            }
        }
    }

    #[DataProvider('sums')]
    public function test_no_two_texts_meet(Sum $sum): void
    {
        $picture = Sums::run($sum->name(), $sum->example())['picture'] ?? null;
        self::assertTrue($picture === null || $picture instanceof Drawing);
        foreach (['mm', 'in'] as $unit) {
            $boxes = [];
            foreach ($picture?->shapes() ?? [] as $shape) {
                if ($shape instanceof Text && ($shape->only === null || $shape->only->value === $unit)) {
                    $wide = TextWidth::of($shape->say->{$unit}, $shape->size, $shape->mono);
                    $left = match ($shape->anchor) {
                        Anchor::Start => $shape->x,
                        Anchor::Middle => $shape->x - $wide / 2,
                        Anchor::End => $shape->x - $wide,
                    };
                    foreach ($boxes as $other) {
                        $apart = $left + $wide <= $other[0] || $other[1] <= $left || abs($shape->y - $other[2]) >= 0.9 * $shape->size;
                        self::assertTrue($apart, "“{$shape->say->{$unit}}” stands on “{$other[3]}”");
                    }
                    $boxes[] = [$left, $left + $wide, $shape->y, $shape->say->{$unit}];
                }
            }
        }
        $this->addToAssertionCount(1);
    }

    /** Fields left out, sizes a hundred times as large and as small, nothing at all: refused in words, or drawn where it can be seen. */
    #[DataProvider('sums')]
    public function test_whatever_is_asked_is_refused_or_drawn(Sum $sum): void
    {
        $example = $sum->example();
        $asked = [$example, array_map(self::times(0.01), $example), array_map(self::times(100), $example), array_map(self::times(0), $example), array_map(self::times(-1), $example)];
        foreach (array_keys($example) as $field) {
            $asked[] = array_diff_key($example, [$field => 0]);
            $asked[] = [...$example, $field => self::times(0)($example[$field])];
            $asked[] = [...$example, $field => self::times(37)($example[$field])];
            foreach ($example as $other => $value) {
                // Two that are alike, where a difference of them is divided by.
                if ($other !== $field && is_numeric($value) && is_numeric($example[$field])) {
                    $asked[] = [...$example, $field => $value];
                }
            }
        }
        foreach ($asked as $in) {
            try {
                $picture = Sums::run($sum->name(), $in)['picture'] ?? null;
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->getMessage());

                continue;
            }
            foreach ($picture instanceof Drawing ? $picture->shapes() : [] as $shape) {
                foreach (self::places($shape) as [$x, $y]) {
                    self::assertTrue(is_finite($x) && is_finite($y) && abs($x) < 2000 && abs($y) < 2000, json_encode($in) ?: '');
                }
            }
        }
        $this->addToAssertionCount(1);
    }

    /** @return \Closure(mixed): mixed every number in it so many times as large */
    private static function times(float $by): \Closure
    {
        return static fn (mixed $value): mixed => match (true) {
            is_float($value) => $value * $by,
            is_array($value) => array_map(self::times($by), $value),
            default => $value,
        };
    }

    /** To scale both ways: a square is a square, and twice as long is twice as long. */
    public function test_a_sketch_is_to_scale(): void
    {
        $drawn = (new Sketch(Say::plain('')))->box(0, 0, 40, 40, Tone::Make)->line(0, 50, 80, 50)->drawing()->shapes();
        self::assertInstanceOf(Area::class, $drawn[0]);
        self::assertInstanceOf(Line::class, $drawn[1]);
        $side = $drawn[0]->points[1][0] - $drawn[0]->points[0][0];
        self::assertEqualsWithDelta($side, $drawn[0]->points[1][1] - $drawn[0]->points[2][1], 1e-9);
        self::assertEqualsWithDelta(2 * $side, $drawn[1]->x2 - $drawn[1]->x1, 1e-9);
        self::assertLessThan($drawn[0]->points[0][1], $drawn[1]->y1, 'upward is up');
    }

    /** The high spot toward 90° is drawn straight up, as long against the other as it is further off. */
    public function test_run_out_is_drawn_the_way_it_lies(): void
    {
        $picture = Sums::run('run-out', ['near_mm' => [0.01, 0, -0.01, 0], 'far_mm' => [0, 0.02, 0, -0.02], 'apart_mm' => 50])['picture'];
        assert($picture instanceof Drawing);
        $arrows = array_values(array_filter($picture->shapes(), static fn ($s): bool => $s instanceof Line && $s->tone === Tone::Overlap));
        self::assertCount(2, $arrows);
        assert($arrows[0] instanceof Line && $arrows[1] instanceof Line);
        self::assertEqualsWithDelta(0, $arrows[0]->y2 - $arrows[0]->y1, 1e-9);
        self::assertEqualsWithDelta(0, $arrows[1]->x2 - $arrows[1]->x1, 1e-9);
        self::assertEqualsWithDelta(2 * ($arrows[0]->x2 - $arrows[0]->x1), $arrows[1]->y1 - $arrows[1]->y2, 1e-6);
    }

    /** @return list<array{float, float}> */
    private static function places(Line|Area|Text $shape): array
    {
        return match (true) {
            $shape instanceof Line => [[$shape->x1, $shape->y1], [$shape->x2, $shape->y2]],
            $shape instanceof Area => $shape->points,
            default => [[$shape->x, $shape->y]],
        };
    }
}
