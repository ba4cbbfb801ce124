<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\Text;

/**
 * Reads a drawn scale as a person does: by its lines, the figures written at them, and which two lines meet. It knows
 * how such scales are made (facts of the trade) and nothing of how ours are drawn.
 */
final readonly class Eye
{
    /** @var list<Line> */
    private array $lines;

    /** @var list<Text> */
    private array $texts;

    public function __construct(Drawing $drawing)
    {
        $lines = [];
        $texts = [];
        foreach ($drawing->shapes() as $shape) {
            $shape instanceof Line && $lines[] = $shape;
            $shape instanceof Text && $texts[] = $shape;
        }
        [$this->lines, $this->texts] = [$lines, $texts];
    }

    /**
     * Two figures to a turn of the sleeve in millimetres, four to a tenth in inches; the thimble's figures stand beside
     * its lines, upward; the sleeve's own vernier runs up from the line.
     *
     * @return array{float, float} in the unit of the scale: what it says, and by how much of a step the lines that meet
     *                             do so better than the next ones
     */
    public function thimble(bool $inch): array
    {
        $flat = array_values(array_filter($this->lines, static fn (Line $l): bool => abs($l->y1 - $l->y2) < 1e-9));
        usort($flat, static fn (Line $a, Line $b): int => ($b->x2 - $b->x1) <=> ($a->x2 - $a->x1));
        $datum = $flat[0];
        $edge = $datum->x2;
        $rings = array_values(array_filter($flat, static fn (Line $l): bool => abs($l->x1 - $edge) < 1e-9));
        $vernier = array_values(array_filter(
            $flat,
            static fn (Line $l): bool => abs($l->x2 - $edge) < 1e-9 && $l !== $datum,
        ));
        // The sleeve: lines hanging from the datum.
        $sleeve = $this->upright($datum->y1, static fn (Line $l): float => max($l->y1, $l->y2));
        $perFigure = $inch ? 4 : 2;
        $last = count($sleeve) - 1;
        $turns = null;
        foreach ($sleeve as $i => $line) {
            $figure = $this->figureAbove($line->x1, max($line->y1, $line->y2));
            if ($figure !== null) {
                $turns = (int) $figure * $perFigure + $last - $i;
            }
        }
        // The thimble: the line at the datum or next below it.
        usort($rings, static fn (Line $a, Line $b): int => $b->y1 <=> $a->y1);
        $passed = 0;
        foreach ($rings as $i => $ring) {
            $passed = $ring->y1 > $datum->y1 - 1e-6 ? $i : $passed;
        }
        $division = $this->byFigures($rings, $passed, $inch ? 25 : 50);
        // Its tenths: which line of the sleeve's vernier goes on into one of the thimble.
        usort($vernier, static fn (Line $a, Line $b): int => $b->y1 <=> $a->y1);
        $apart = array_map(static fn (Line $v): float => min(array_map(
            static fn (Line $r): float => abs($r->y1 - $v->y1),
            $rings,
        )), $vernier);
        [$meets, $clear] = self::least($apart, $rings[0]->y1 - $rings[1]->y1);
        $tenths = $meets % 10;

        return [
            $inch
                ? ($turns ?? NAN) / 40 + $division / 1000 + $tenths / 10000
                : ($turns ?? NAN) / 2 + $division / 100 + $tenths / 1000,
            $clear,
        ];
    }

    /** @return array{float, float} as at the thimble */
    public function vernier(bool $inch): array
    {
        $flat = array_values(array_filter($this->lines, static fn (Line $l): bool => abs($l->y1 - $l->y2) < 1e-9));
        $datum = $flat[0];
        $beam = $this->upright($datum->y1, static fn (Line $l): float => -min($l->y1, $l->y2));
        $slide = $this->upright($datum->y1, static fn (Line $l): float => max($l->y1, $l->y2));
        $at = 0;
        foreach ($beam as $i => $line) {
            $at = $line->x1 <= $slide[0]->x1 + 1e-6 ? $i : $at;
        }
        // Whole inches carry their sign, tenths only a figure; on the other beam each figure is a centimetre.
        $value = null;
        foreach ($beam as $i => $line) {
            $figure = $this->figureBelow($line->x1, min($line->y1, $line->y2));
            if ($figure !== null && (! $inch || str_ends_with($figure, '″'))) {
                $value = $inch ? (int) $figure + ($at - $i) / 40 : 10 * (int) $figure + ($at - $i);
            }
        }
        $apart = array_map(static fn (Line $v): float => min(array_map(
            static fn (Line $b): float => abs($b->x1 - $v->x1),
            $beam,
        )), $slide);
        [$meets, $clear] = self::least($apart, $beam[1]->x1 - $beam[0]->x1);
        $parts = count($slide) - 1;

        return [($value ?? NAN) + ($meets % $parts) / $parts * ($inch ? 0.025 : 1.0), $clear];
    }

    /** @return float turns and the hundredth parts of one */
    public function dial(): float
    {
        $long = $this->lines;
        usort($long, static fn (Line $a, Line $b): int => self::length($b) <=> self::length($a));
        $needle = $long[0];
        $angle = fn (float $x, float $y): float => atan2($y - $needle->y1, $x - $needle->x1);
        $points = $angle($needle->x2, $needle->y2);
        $figures = [];
        $turns = NAN;
        foreach ($this->texts as $text) {
            if (! is_numeric($text->say->mm)) {
                continue;
            }
            if ($text->size > 30) {
                $turns = (float) $text->say->mm;
            } else {
                // A figure stands on its foot: its middle is a third of its height above.
                $figures[(int) $text->say->mm] = $angle($text->x, $text->y - $text->size / 3);
            }
        }
        $best = NAN;
        $off = INF;
        foreach ($this->lines as $tick) {
            if ($tick === $needle) {
                continue;
            }
            foreach ($figures as $figure => $where) {
                $from = self::turned($angle($tick->x2, $tick->y2) - $where);
                $to = self::turned($points - $angle($tick->x2, $tick->y2));
                if ($from > -0.01 && $from < 2 * M_PI / 10 - 0.03 && abs($to) < $off) {
                    [$off, $best] = [abs($to), $figure + round($from / (2 * M_PI / 100))];
                }
            }
        }

        return $turns + $best / 100;
    }

    /**
     * @param  \Closure(Line): float  $beyond  further out than the datum
     * @return list<Line> from left to right
     */
    private function upright(float $datum, \Closure $beyond): array
    {
        $its = array_values(array_filter($this->lines, static fn (Line $l): bool => abs($l->x1 - $l->x2) < 1e-9
            && abs($l->y1 - $datum) < 1e-9 && $beyond($l) > abs($datum) * ($beyond($l) < 0 ? -1 : 1)));
        usort($its, static fn (Line $a, Line $b): int => $a->x1 <=> $b->x1);

        return $its;
    }

    private function figureAbove(float $x, float $y): ?string
    {
        return $this->figure($x, static fn (Text $t): bool => $t->y > $y && $t->y < $y + 40);
    }

    private function figureBelow(float $x, float $y): ?string
    {
        return $this->figure($x, static fn (Text $t): bool => $t->y < $y && $t->y > $y - 40);
    }

    /** @param  \Closure(Text): bool  $near */
    private function figure(float $x, \Closure $near): ?string
    {
        foreach ($this->texts as $text) {
            if (abs($text->x - $x) < 0.01 && $near($text)) {
                return $text->say->mm;
            }
        }

        return null;
    }

    /** @param  list<Line>  $rings  upward */
    private function byFigures(array $rings, int $at, int $round): int
    {
        foreach ($rings as $i => $ring) {
            foreach ($this->texts as $text) {
                if ($text->x > $ring->x2 && abs($text->y - $text->size / 3 - $ring->y1) < 1) {
                    return (((int) $text->say->mm + $at - $i) % $round + $round) % $round;
                }
            }
        }

        return -1;
    }

    /**
     * @param  list<float>  $apart
     * @return array{int, float}
     */
    private static function least(array $apart, float $step): array
    {
        asort($apart);
        $first = (int) array_key_first($apart);
        // The two ends of a vernier meet at once.
        $others = array_diff_key($apart, [$first => 0, $first === 0 ? count($apart) - 1 : 0 => 0]);

        return [$first, (min($others) - $apart[$first]) / $step];
    }

    private static function length(Line $line): float
    {
        return hypot($line->x2 - $line->x1, $line->y2 - $line->y1);
    }

    private static function turned(float $angle): float
    {
        return $angle - 2 * M_PI * round($angle / (2 * M_PI));
    }
}
