<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture\Sketch;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Fill;
use Oldpart\Core\Picture\TextWidth;
use Oldpart\Core\Picture\Tone;

/**
 * A picture laid out in the sizes of the thing itself, y upward, and fitted into its frame: to one scale both ways
 * unless it says otherwise. A text that would stand on another moves aside.
 */
final class Sketch
{
    private const WIDTH = 560.0;

    private const HEIGHT = 300.0;

    /** Left free round the thing, for its texts. */
    private const SIDE = 70.0;

    private const ENDS = 42.0;

    private const TEXT = 16.0;

    /** @var list<\Closure(Drawing): void> */
    private array $shapes = [];

    /** @var list<\Closure(Drawing): void> */
    private array $texts = [];

    /** @var list<array{float, float}> */
    private array $seen = [];

    /** What is at the middle of the frame, and how large one of its units comes out. */
    private float $midX = 0.0;

    private float $midY = 0.0;

    private float $scale = 1.0;

    /** @var list<array{float, float, float, float}> left, top, right, bottom */
    private array $taken = [];

    /** @param  float  $tall  how much taller than to scale: 1 is to scale */
    public function __construct(private readonly Say $says, private readonly float $tall = 1.0)
    {
    }

    /** @param  list<array{float, float}>  $points */
    public function area(array $points, Tone $tone, Fill $fill = Fill::None, float $width = 1.5): self
    {
        array_push($this->seen, ...$points);
        $this->shapes[] = function (Drawing $d) use ($points, $tone, $fill, $width): void {
            $d->area(array_map(fn (array $p): array => $this->at($p[0], $p[1]), $points), $tone, $fill, $width);
        };

        return $this;
    }

    public function box(float $x1, float $y1, float $x2, float $y2, Tone $tone, Fill $fill = Fill::None): self
    {
        return $this->area([[$x1, $y1], [$x2, $y1], [$x2, $y2], [$x1, $y2]], $tone, $fill);
    }

    public function circle(
        float $x,
        float $y,
        float $radius,
        Tone $tone,
        Fill $fill = Fill::None,
        float $width = 1.5,
    ): self {
        $points = array_map(
            static fn (array $p): array => [$p[0], 2 * $y - $p[1]],
            Drawing::circle($x, $y, $radius, 96),
        );

        return $this->area($points, $tone, $fill, $width);
    }

    public function line(
        float $x1,
        float $y1,
        float $x2,
        float $y2,
        Tone $tone = Tone::Ink,
        float $width = 1.5,
        bool $dashed = false,
    ): self {
        array_push($this->seen, [$x1, $y1], [$x2, $y2]);
        $this->shapes[] = function (Drawing $d) use (
            $x1,
            $y1,
            $x2,
            $y2,
            $tone,
            $width,
            $dashed,
        ): void {
            [$ax, $ay] = $this->at($x1, $y1);
            [$bx, $by] = $this->at($x2, $y2);
            $d->line($ax, $ay, $bx, $by, $tone, $width, $dashed);
        };

        return $this;
    }

    /** @param  list<array{float, float}>  $points  joined in order */
    public function path(array $points, Tone $tone, float $width = 2.0): self
    {
        for ($i = 1; $i < count($points); $i++) {
            $this->line($points[$i - 1][0], $points[$i - 1][1], $points[$i][0], $points[$i][1], $tone, $width);
        }

        return $this;
    }

    public function centre(float $x, float $y, float $arm): self
    {
        return $this->line(
            $x - $arm,
            $y,
            $x + $arm,
            $y,
            Tone::Soft,
            1.0,
        )->line($x, $y - $arm, $x, $y + $arm, Tone::Soft, 1.0);
    }

    /**
     * A dimension between two places, on a line shifted to its left by so much of the frame.
     *
     * @param  float  $shift  in the frame's own units
     */
    public function size(
        float $x1,
        float $y1,
        float $x2,
        float $y2,
        Say|string $text,
        float $shift = 0.0,
        Tone $tone = Tone::Make,
    ): self {
        array_push($this->seen, [$x1, $y1], [$x2, $y2]);
        $this->texts[] = function (Drawing $d) use ($x1, $y1, $x2, $y2, $text, $shift, $tone): void {
            [[$ax, $ay], [$bx, $by]] = [$this->at($x1, $y1), $this->at($x2, $y2)];
            $long = max(1e-9, hypot($bx - $ax, $by - $ay));
            [$ux, $uy] = [($bx - $ax) / $long, ($by - $ay) / $long];
            [$nx, $ny] = [$uy * $shift, -$ux * $shift];
            if (abs($shift) > 0) {
                $d->line(
                    $ax,
                    $ay,
                    $ax + $nx * 1.15,
                    $ay + $ny * 1.15,
                    Tone::Soft,
                )->line($bx, $by, $bx + $nx * 1.15, $by + $ny * 1.15, Tone::Soft);
            }
            [$ax, $ay, $bx, $by] = [$ax + $nx, $ay + $ny, $bx + $nx, $by + $ny];
            $d->line($ax, $ay, $bx, $by, $tone, 1.5);
            $head = min(9.0, $long / 3);
            foreach ([[$ax, $ay, 1], [$bx, $by, -1]] as [$x, $y, $way]) {
                [$hx, $hy] = [$x + $way * $ux * $head, $y + $way * $uy * $head];
                $d->area(
                    [
                        [$x, $y],
                        [$hx + $uy * $head / 3, $hy - $ux * $head / 3],
                        [$hx - $uy * $head / 3, $hy + $ux * $head / 3],
                    ],
                    $tone,
                    Fill::Tint,
                    1,
                );
            }
            [$ox, $oy] = $shift === 0.0 ? (abs($uy) > 0.7 ? [1.0, 0.0] : [0.0, -1.0]) : [$nx, $ny];
            [$mx, $my] = [($ax + $bx) / 2, ($ay + $by) / 2];
            if (abs($uy) > 0.7) {
                $this->put(
                    $d,
                    $mx + ($ox < 0 ? -8 : 8),
                    $my + 5,
                    $text,
                    $ox < 0 ? Anchor::End : Anchor::Start,
                    $tone,
                    true,
                );
            } else {
                $this->put($d, $mx, $my + ($oy < 0 ? -7 : 20), $text, Anchor::Middle, $tone, true);
            }
        };

        return $this;
    }

    /** A text beside a place; the shifts are in the frame's own units, y downward. */
    public function text(
        float $x,
        float $y,
        Say|string $text,
        float $dx = 0.0,
        float $dy = 0.0,
        Anchor $anchor = Anchor::Middle,
        Tone $tone = Tone::Ink,
        bool $bold = false,
    ): self {
        $this->seen[] = [$x, $y];
        $this->texts[] = function (Drawing $d) use (
            $x,
            $y,
            $text,
            $dx,
            $dy,
            $anchor,
            $tone,
            $bold,
        ): void {
            [$px, $py] = $this->at($x, $y);
            $this->put($d, $px + $dx, $py + $dy, $text, $anchor, $tone, $bold);
        };

        return $this;
    }

    public function drawing(): Drawing
    {
        $drawing = new Drawing(self::WIDTH, self::HEIGHT, $this->says);
        $xs = array_column($this->seen, 0) ?: [0.0];
        $ys = array_column($this->seen, 1) ?: [0.0];
        $this->midX = (min($xs) + max($xs)) / 2;
        $this->midY = (min($ys) + max($ys)) / 2;
        $this->scale = min(
            (self::WIDTH - 2 * self::SIDE) / max(1e-6, max($xs) - min($xs)),
            (self::HEIGHT - 2 * self::ENDS) / max(1e-6, (max($ys) - min($ys)) * $this->tall),
        );
        foreach ([...$this->shapes, ...$this->texts] as $put) {
            $put($drawing);
        }

        return $drawing;
    }

    /** @return array{float, float} where it comes to lie in the frame */
    private function at(float $x, float $y): array
    {
        return [
            self::WIDTH / 2 + ($x - $this->midX) * $this->scale,
            self::HEIGHT / 2 - ($y - $this->midY) * $this->scale * $this->tall,
        ];
    }

    private function put(Drawing $d, float $x, float $y, Say|string $text, Anchor $anchor, Tone $tone, bool $bold): void
    {
        $say = is_string($text) ? Say::plain($text) : $text;
        $wide = max(
            array_map(static fn (string $t): float => TextWidth::of($t, self::TEXT, $bold), [$say->mm, $say->in]),
        );
        $left = match ($anchor) {
            Anchor::Start => $x,
            Anchor::Middle => $x - $wide / 2,
            Anchor::End => $x - $wide,
        };
        $moved = max(4.0, min(self::WIDTH - $wide - 4, $left)) - $left;
        [$left, $x] = [$left + $moved, $x + $moved];
        $best = $y;
        foreach ([0, 18, -18, 36, -36, 54, -54] as $down) {
            $best = max(self::TEXT, min(self::HEIGHT - 5, $y + $down));
            $box = [$left, $best - self::TEXT, $left + $wide, $best + 3];
            if ($this->isFree($box)) {
                break;
            }
        }
        $this->taken[] = [$left, $best - self::TEXT, $left + $wide, $best + 3];
        $d->text($x, $best, $say, self::TEXT, $anchor, $tone, mono: $bold, bold: $bold);
    }

    /** @param  array{float, float, float, float}  $box */
    private function isFree(array $box): bool
    {
        foreach ($this->taken as $other) {
            if ($box[0] < $other[2] && $other[0] < $box[2] && $box[1] < $other[3] && $other[1] < $box[3]) {
                return false;
            }
        }

        return true;
    }
}
