<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Picture;

use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Picture\Area;
use Oldpart\Core\Picture\BrokenScale;
use Oldpart\Core\Picture\Fill;
use Oldpart\Core\Picture\LoopPicture;
use Oldpart\Core\Picture\ShimPicture;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** What the pictures of a loop show, seen in their shapes. */
final class LoopPictureTest extends TestCase
{
    /**
     * To one scale while nothing dwarfs the rest; then the long stretch is cut to five times the short ones, here 5 of
     * 6 parts, and marked midway.
     */
    public function test_a_scale_breaks_where_one_stretch_dwarfs_the_rest(): void
    {
        $even = BrokenScale::of([0.0, 10.0, 40.0], 0.0, 400.0);
        self::assertSame([], $even->breaks);
        self::assertEqualsWithDelta(
            [0.0, 100.0, 400.0, 250.0],
            [$even->at(0), $even->at(10), $even->at(40), $even->at(25)],
            1e-6,
        );
        $broken = BrokenScale::of([0.0, 1000.0, 0.5], 0.0, 600.0);
        self::assertEqualsWithDelta([0.0, 100.0, 600.0], [$broken->at(0), $broken->at(0.5), $broken->at(1000)], 1e-6);
        self::assertEqualsWithDelta([500.25], $broken->breaks, 1e-6);
        // Order is kept whatever the lengths.
        mt_srand(9);
        for ($i = 0; $i < 200; $i++) {
            $values = array_map(static fn (): float => 10 ** (mt_rand(-300, 300) / 100), range(0, mt_rand(1, 8)));
            $scale = BrokenScale::of($values, 100.0, 500.0);
            sort($values);
            $places = array_map($scale->at(...), $values);
            $sorted = $places;
            sort($sorted);
            self::assertSame($sorted, $places);
            self::assertGreaterThanOrEqual(100.0 - 1e-6, $places[0]);
            self::assertLessThanOrEqual(500.0 + 1e-6, $places[count($places) - 1]);
        }
    }

    /**
     * Half of the gaps are as wanted: half of the hump is red. A wish far beside it is shown all the same, and nothing
     * of the hump is as wanted.
     */
    public function test_the_hump_is_red_where_it_is_not_as_wanted(): void
    {
        $tones = static function (Range $wanted): array {
            $loop = Loop::of([new Contributor('a', 10, 0.1, 0.1, 1), new Contributor('b', 9, 0.1, 0.1, -1)], $wanted);
            $areas = array_values(
                array_filter(
                    LoopPicture::draw($loop)->shapes(),
                    static fn (mixed $s): bool => $s instanceof Area && $s->fill !== Fill::Blank,
                ),
            );

            return array_map(static fn (Area $a): string => $a->tone->value.' '.$a->fill->value, $areas);
        };
        self::assertSame(['overlap hatch', 'good tint', 'good none'], $tones(new Range(1.0, 2.0)));
        self::assertSame(['overlap hatch', 'good none'], $tones(new Range(3.0, 4.0)));
        self::assertSame(['good tint', 'good none'], $tones(new Range(0.0, 2 * Loop::FAR)));
    }

    public function test_every_shim_of_the_pile_is_drawn_and_named(): void
    {
        $shapes = ShimPicture::draw([0.5, 0.2, 0.05], 0.1)->shapes();
        $boxes = array_values(
            array_filter($shapes, static fn (mixed $s): bool => $s instanceof Area && $s->tone === Tone::Make),
        );
        self::assertCount(3, $boxes);
        $width = static fn (Area $a): float => max(array_column($a->points, 0)) - min(array_column($a->points, 0));
        // To scale beyond the width every shim is drawn with at least.
        self::assertEqualsWithDelta(
            0.3 / 0.15,
            ($width($boxes[0]) - $width($boxes[1])) / ($width($boxes[1]) - $width($boxes[2])),
            1e-6,
        );
        self::assertSame(
            ['0.500', '0.200', '0.050'],
            array_map(
                static fn (Text $t): string => $t->say->mm,
                array_values(array_filter($shapes, static fn (mixed $s): bool => $s instanceof Text)),
            ),
        );
    }
}
