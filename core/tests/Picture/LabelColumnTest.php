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
            for ($i = mt_rand(2, 8); $i > 0; $i--) {
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

    /** On the nearer side, in a column of its own, and no leader crosses another there either. */
    public function test_names_stand_on_the_nearer_side(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 200; $round++) {
            $labels = [];
            for ($i = mt_rand(4, 8); $i > 0; $i--) {
                $labels[] = new Label(mt_rand(200, 480), mt_rand(20, 300), "n{$i}", null, Tone::Ink);
            }
            $drawing = new Drawing(700, 640, Say::plain(''));
            LabelColumn::both($drawing, $labels, 340.0, [6.0, 168.0], [512.0, 694.0], 640);
            $texts = array_values(array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Text && preg_match('/^n\d/', $s->say->mm) === 1));
            self::assertCount(count($labels), $texts);
            $byName = array_column(array_map(static fn (Label $l): array => [$l->name, $l->x], $labels), 1, 0);
            foreach ($texts as $text) {
                self::assertTrue($text instanceof Text && ($byName[$text->say->mm] < 340) === ($text->x < 340), 'on the nearer side');
            }
            $leaders = array_values(array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Line && $s->y1 !== $s->y2));
            foreach ($leaders as $i => $a) {
                foreach (array_slice($leaders, $i + 1) as $b) {
                    $sameSide = $a instanceof Line && $b instanceof Line && ($a->x2 < 340) === ($b->x2 < 340);
                    self::assertFalse($sameSide && $a instanceof Line && $b instanceof Line && self::cross($a, $b));
                }
            }
        }
    }

    /** More than eight are a tangle: each gets a number at its place, none on another, and the same in the column. */
    public function test_numbers_where_it_is_crowded(): void
    {
        mt_srand(5);
        for ($round = 0; $round < 100; $round++) {
            $labels = [];
            for ($i = mt_rand(9, 16); $i > 0; $i--) {
                // Half of them at one place, as mating surfaces are.
                $labels[] = new Label($i % 2 === 0 ? 200 : mt_rand(0, 400), $i % 2 === 0 ? 150 : mt_rand(0, 300), "n{$i}", null, Tone::Ink, id: "id-{$i}");
            }
            $drawing = new Drawing(700, 900, Say::plain(''));
            LabelColumn::draw($drawing, $labels, 452, 694, 900);
            $texts = array_filter($drawing->shapes(), static fn ($s): bool => $s instanceof Text);
            $numbers = array_values(array_filter($texts, static fn ($t): bool => $t instanceof Text && preg_match('/^\d+$/', $t->say->mm) === 1));
            self::assertSame(range(1, count($labels)), array_map(static fn ($t): int => $t instanceof Text ? (int) $t->say->mm : 0, $numbers));
            foreach ($numbers as $i => $a) {
                foreach (array_slice($numbers, $i + 1) as $b) {
                    self::assertTrue($a instanceof Text && $b instanceof Text && hypot($a->x - $b->x, $a->y - $b->y) > 20.0, 'no number stands on another');
                }
            }
            $names = array_filter($texts, static fn ($t): bool => $t instanceof Text && preg_match('/^\d+  n\d+$/', $t->say->mm) === 1);
            self::assertCount(count($labels), $names);
            self::assertCount(count($labels), $drawing->spots());
        }
    }

    private static function cross(Line $a, Line $b): bool
    {
        $side = static fn (Line $l, float $x, float $y): float => ($l->x2 - $l->x1) * ($y - $l->y1) - ($l->y2 - $l->y1) * ($x - $l->x1);

        return $side($a, $b->x1, $b->y1) * $side($a, $b->x2, $b->y2) < -1e-6 && $side($b, $a->x1, $a->y1) * $side($b, $a->x2, $a->y2) < -1e-6;
    }
}
