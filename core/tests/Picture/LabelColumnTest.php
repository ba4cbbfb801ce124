<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Label;
use Oldpart\Core\Picture\LabelColumn;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Picture\Tone;
use PHPUnit\Framework\TestCase;

/** Names beside a picture: their leaders never cross, and each leads to its own. */
final class LabelColumnTest extends TestCase
{
    public function test_no_two_leaders_cross(): void
    {
        mt_srand(3);
        for ($round = 0; $round < 200; $round++) {
            $labels = [];
            for ($i = mt_rand(2, 12); $i > 0; $i--) {
                $labels[] = new Label(mt_rand(0, 400), mt_rand(0, 300), "n{$i}", null, Tone::Ink);
            }
            $drawing = new Drawing(700, 640, Say::plain(''));
            LabelColumn::draw($drawing, $labels, 452, 694, 640);
            $leaders = array_values(array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Line && $s->x2 < 440));
            self::assertCount(count($labels), $leaders);
            foreach ($leaders as $i => $a) {
                foreach (array_slice($leaders, $i + 1) as $b) {
                    self::assertFalse($a instanceof Line && $b instanceof Line && self::cross($a, $b));
                }
            }
            // Each name stands where its own leader ends.
            $names = array_values(array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Text && str_starts_with($s->say->mm, 'n') && $s->say->mm !== 'not yet known'));
            foreach ($leaders as $i => $leader) {
                $own = array_values(array_filter($labels, static fn (Label $l): bool => $leader instanceof Line && $names[$i] instanceof Text && $l->name === $names[$i]->say->mm && $l->x === $leader->x1 && $l->y === $leader->y1));
                self::assertCount(1, $own);
            }
        }
    }

    private static function cross(Line $a, Line $b): bool
    {
        $side = static fn (Line $l, float $x, float $y): float => ($l->x2 - $l->x1) * ($y - $l->y1) - ($l->y2 - $l->y1) * ($x - $l->x1);

        return $side($a, $b->x1, $b->y1) * $side($a, $b->x2, $b->y2) < -1e-6 && $side($b, $a->x1, $a->y1) * $side($b, $a->x2, $a->y2) < -1e-6;
    }
}
