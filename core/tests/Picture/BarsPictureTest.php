<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\Area;
use Oldpart\Core\Picture\Bar;
use Oldpart\Core\Picture\BarsPicture;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Picture\Tone;
use PHPUnit\Framework\TestCase;

/** Bars are as long as what they stand for, from nothing on; what is written at their ends stands on no line. */
final class BarsPictureTest extends TestCase
{
    /** @return list<array{float, float}> from and to of each bar */
    private static function bars(Drawing $drawing): array
    {
        $areas = array_values(array_filter($drawing->shapes(), static fn (object $shape): bool => $shape instanceof Area));

        return array_map(static function (Area $area): array {
            $at = array_column($area->points, 0);

            return [min($at), max($at)];
        }, $areas);
    }

    public function test_lengths_are_in_proportion(): void
    {
        $bars = self::bars(BarsPicture::draw([new Bar('a', 30.0, '30'), new Bar('b', 120.0, '120'), new Bar('c', 90.0, '60', 30.0)], Say::plain('three')));
        $begin = $bars[0][0];
        self::assertSame($begin, $bars[1][0], 'all begin at nothing');
        $one = ($bars[1][1] - $begin) / 120;
        self::assertEqualsWithDelta(30 * $one, $bars[0][1] - $begin, 1e-9);
        self::assertEqualsWithDelta([$begin + 30 * $one, $begin + 90 * $one], $bars[2], 1e-9, 'one on another');
    }

    /** With a line at 100: whatever the bars are, no text lies across it, and all of it is in the frame. */
    public function test_no_text_on_the_line(): void
    {
        foreach ([0.0, 1.0, 60.0, 88.0, 94.0, 99.9, 100.0, 130.0, 250.0] as $value) {
            $drawing = BarsPicture::draw([new Bar('one', $value, 'at least 12'), new Bar('two', 40.0, '40')], Say::plain('two'), 100.0, 'what it stands');
            $line = array_values(array_filter($drawing->shapes(), static fn (object $s): bool => $s instanceof Line && $s->tone === Tone::Overlap))[0];
            self::assertInstanceOf(Line::class, $line);
            foreach ($drawing->shapes() as $shape) {
                if ($shape instanceof Text && $shape->mono) {
                    // Letters of one width: six tenths of their height.
                    $to = $shape->x + 0.6 * $shape->size * mb_strlen($shape->say->mm);
                    self::assertTrue($to <= $line->x1 || $shape->x >= $line->x1, "{$value}: {$shape->say->mm}");
                    self::assertLessThanOrEqual($drawing->width, $to);
                }
                if ($shape instanceof Text && $shape->tone === Tone::Overlap && ! $shape->mono) {
                    $wide = 0.54 * $shape->size * mb_strlen($shape->say->mm);
                    self::assertGreaterThanOrEqual(0.0, $shape->anchor === Anchor::End ? $shape->x - $wide : $shape->x);
                    self::assertLessThanOrEqual($drawing->width, $shape->anchor === Anchor::End ? $shape->x : $shape->x + $wide);
                }
            }
        }
    }

    public function test_nothing_is_no_fault_and_ten_are_eight(): void
    {
        self::assertCount(1, self::bars(BarsPicture::draw([new Bar('none', 0.0, '0')], Say::plain('none'))));
        self::assertCount(8, self::bars(BarsPicture::draw(array_map(static fn (int $i): Bar => new Bar("b{$i}", $i, "{$i}"), range(1, 10)), Say::plain('ten'))));
    }
}
