<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Shape\Cell;
use Oldpart\Core\Shape\Segment;

/**
 * Turned parts on one axis in half section: cut above the axis, seen from outside below it. Solid shafts are not cut,
 * as drawing offices do; threads, teeth and splines by a thin line at their root.
 */
final class AxisPicture
{
    private const WIDTH = 700.0;

    private const COLUMN = 512.0;

    /** Names stand on both sides where either has so many; the left column, and what is left between the two. */
    private const EACH_SIDE = 2;

    private const LEFT = 168.0;

    private const BETWEEN = 292.0;

    /** Of a break: how far apart its lines stand, and how far they swing. */
    private const BREAK = 9.0;

    private const WAVE = 2.0;

    private float $perMm;

    private float $axis;

    private float $left;

    private ?BrokenAxis $along = null;

    /** @param  non-empty-list<AxisPart>  $parts */
    private function __construct(
        private array $parts,
        float $width,
        float $height,
        private float $fromMm,
        float $toMm,
        private float $line,
    ) {
        $largest = max(array_map(static fn (AxisPart $p): float => $p->profile->largestMm(), $parts));
        $this->perMm = min($width / max(1e-6, $toMm - $fromMm), $height / (2 * max(1e-6, $largest)));
        $this->axis = $height / 2;
        $this->left = ($width - ($toMm - $fromMm) * $this->perMm) / 2;
    }

    /**
     * With sizes beside it and lengths below it.
     *
     * @param  list<AxisPart>  $parts
     */
    public static function draw(array $parts, string $what = 'Half section along the axis'): ?Drawing
    {
        $parts = self::visible($parts);
        if ($parts === []) {
            return null;
        }
        $labels = array_sum(array_map(static fn (AxisPart $p): int => count($p->diameters), $parts));
        [$from, $to] = self::extent($parts);
        $left = self::leftOf($parts, ($from + $to) / 2);
        $twoSided = ! LabelColumn::isCrowded($labels) && min($left, $labels - $left) >= self::EACH_SIDE;
        $height = max(270.0, LabelColumn::height($twoSided ? max($left, $labels - $left) : $labels));
        $picture = new self(
            parts: $parts,
            width: $twoSided ? self::BETWEEN : 452,
            height: min($height - 36, 320),
            fromMm: $from,
            toMm: $to,
            line: 1.5,
        );
        $picture->axis = $height / 2;
        $picture->left += $twoSided ? self::LEFT + 30 : 14;
        // Below the names as well, where they stand on both sides.
        $below = max($picture->lowest() + 6, $twoSided && $picture->spans() !== [] ? $height : 0.0);
        $spans = new SpanRows($picture->spans(), 12, 480);
        $names = implode(', ', array_map(static fn (AxisPart $p): string => lcfirst($p->name), $parts));
        $drawing = new Drawing(
            self::WIDTH,
            max($height, $below + $spans->height() + 8),
            Say::plain("{$what}: {$names}."),
        );
        $picture->parts($drawing);
        foreach ($picture->parts as $part) {
            foreach ($part->faces as $face) {
                $drawing->tap(
                    $face->id,
                    $face->name,
                    $picture->x($part, $face->atMm),
                    $picture->axis - ($part->riseMm + $face->outerMm) * $picture->perMm,
                    $picture->axis - ($part->riseMm + $face->innerMm) * $picture->perMm,
                );
            }
        }
        $columns = [[6.0, self::LEFT], [self::COLUMN, self::WIDTH - 6]];
        $twoSided
            ? LabelColumn::both(
                drawing: $drawing,
                labels: $picture->labels(),
                middle: $picture->left + (($to - $from) * $picture->perMm) / 2,
                left: $columns[0],
                right: $columns[1],
                height: $height,
            )
            : LabelColumn::draw($drawing, $picture->labels(), $columns[1][0], $columns[1][1], $height);
        $spans->draw($drawing, $below);

        return $drawing;
    }

    /** Only the part itself, at so many units a millimetre: for a drawing that writes its own sizes. */
    public static function into(
        Drawing $drawing,
        AxisPart $part,
        float $left,
        float $axis,
        float $perMm,
        ?BrokenAxis $along = null,
    ): void {
        [$from, $to] = self::extent([$part]);
        $picture = new self(parts: [$part], width: 100, height: 100, fromMm: $from, toMm: $to, line: 1.8);
        $picture->perMm = $perMm;
        $picture->axis = $axis;
        $picture->left = $left;
        $picture->along = $along;
        $picture->parts($drawing);
        foreach ($along->removed ?? [] as [$fromMm, $toMm]) {
            $picture->broken($drawing, $part, ($fromMm + $toMm) / 2);
        }
    }

    /**
     * How many of the diameters lie left of a place along the axis.
     *
     * @param  list<AxisPart>  $parts
     */
    private static function leftOf(array $parts, float $middle): int
    {
        $left = 0;
        foreach ($parts as $part) {
            foreach ($part->diameters as $d) {
                $left += $part->offsetMm + $d['at_mm'] < $middle ? 1 : 0;
            }
        }

        return $left;
    }

    /** Two lines by hand across it, and nothing between them. */
    private function broken(Drawing $drawing, AxisPart $part, float $mm): void
    {
        $x = $this->x($part, $mm);
        $r = $part->profile->largestMm() * $this->perMm + 4;
        $edge = fn (float $dx): array => array_map(
            fn (int $i): array => [
                $x + $dx + ($i % 2 === 0 ? -self::WAVE : self::WAVE),
                $this->axis - $r + ($i * $r) / 4,
            ],
            range(0, 8),
        );
        [$one, $other] = [$edge(-self::BREAK / 2), $edge(self::BREAK / 2)];
        $drawing->area([...$one, ...array_reverse($other)], Tone::Soft, Fill::Blank, 0);
        foreach ([$one, $other] as $points) {
            for ($i = 1; $i < count($points); $i++) {
                $drawing->line(
                    $points[$i - 1][0],
                    $points[$i - 1][1],
                    $points[$i][0],
                    $points[$i][1],
                    $part->tone,
                    0.6 * $this->line,
                );
            }
        }
    }

    /**
     * Small and without a word, to tell one job from another.
     *
     * @param  list<AxisPart>  $parts
     */
    public static function thumb(array $parts): ?Drawing
    {
        $parts = self::visible($parts);
        if ($parts === []) {
            return null;
        }
        [$from, $to] = self::extent($parts);
        $picture = new self(parts: $parts, width: 108, height: 76, fromMm: $from, toMm: $to, line: 1.1);
        $picture->axis = 42;
        $picture->left += 6;
        $drawing = new Drawing(120, 84, Say::plain('Half section'));
        $picture->parts($drawing);

        return $drawing;
    }

    /**
     * @param  list<AxisPart>  $parts
     * @return list<AxisPart>
     */
    private static function visible(array $parts): array
    {
        return array_values(array_filter($parts, static fn (AxisPart $p): bool => ! $p->profile->isEmpty()));
    }

    /**
     * @param  non-empty-list<AxisPart>  $parts
     * @return array{float, float}
     */
    private static function extent(array $parts): array
    {
        return [
            min(array_map(static fn (AxisPart $p): float => $p->offsetMm + $p->profile->fromMm(), $parts)),
            max(array_map(static fn (AxisPart $p): float => $p->offsetMm + $p->profile->toMm(), $parts)),
        ];
    }

    private function x(AxisPart $part, float $mm): float
    {
        $at = $this->along?->at($mm) ?? $mm;

        return $this->left + ($part->offsetMm + $at - $this->fromMm) * $this->perMm;
    }

    private function parts(Drawing $drawing): void
    {
        foreach ($this->parts as $part) {
            $this->upper($drawing, $part);
        }
        $bySize = $this->parts;
        usort(
            $bySize,
            static fn (AxisPart $a, AxisPart $b): int => $a->profile->largestMm() <=> $b->profile->largestMm(),
        );
        foreach ($bySize as $part) {
            $this->lower($drawing, $part);
        }
        foreach ($this->parts as $part) {
            foreach ($part->profile->marks as $mark) {
                $this->mark($drawing, $part, $mark);
            }
            foreach ($part->holes as $hole) {
                $this->hole($drawing, $part, $hole);
            }
            foreach ($part->slots as $slot) {
                $x = $this->x($part, $slot['from_mm']);
                $drawing->box(
                    $x,
                    $this->axis - $slot['top_mm'] * $this->perMm,
                    $this->x($part, $slot['to_mm']) - $x,
                    ($slot['top_mm'] - $slot['bottom_mm']) * $this->perMm,
                    $part->tone,
                    Fill::Blank,
                    0.8 * $this->line,
                );
            }
        }
        $end = max(array_map(fn (AxisPart $p): float => $this->x($p, $p->profile->toMm()), $this->parts));
        $over = min(14.0, 0.04 * ($end - $this->left) + 4);
        $drawing->line(
            $this->left - $over,
            $this->axis,
            $end + $over,
            $this->axis,
            Tone::Ink,
            0.8,
            true,
        );
    }

    private function upper(Drawing $drawing, AxisPart $part): void
    {
        foreach ($part->profile->runs() as $run) {
            $outer = $inner = [];
            foreach ($run as $cell) {
                $outer[] = [
                    $this->x($part, $cell->fromMm),
                    $this->axis - ($part->riseMm + $cell->outerStartMm) * $this->perMm,
                ];
                $outer[] = [
                    $this->x($part, $cell->toMm),
                    $this->axis - ($part->riseMm + $cell->outerEndMm) * $this->perMm,
                ];
                $inner[] = [
                    $this->x($part, $cell->fromMm),
                    $this->axis - self::edge($part, $cell, $cell->innerStartMm) * $this->perMm,
                ];
                $inner[] = [
                    $this->x($part, $cell->toMm),
                    $this->axis - self::edge($part, $cell, $cell->innerEndMm) * $this->perMm,
                ];
            }
            $drawing->area(
                [...self::distinct($outer), ...array_reverse(self::distinct($inner))],
                $part->tone,
                $part->profile->isHollow() ? Fill::Hatch : Fill::Tint,
                $this->line,
            );
        }
    }

    /** An eccentric bore is drawn with its axis turned upward. */
    private static function edge(AxisPart $part, Cell $cell, float $radius): float
    {
        return $radius > 0 ? $radius + $part->riseMm + abs($cell->offsetMm) : 0.0;
    }

    private function lower(Drawing $drawing, AxisPart $part): void
    {
        foreach ($part->profile->runs() as $run) {
            $outer = [];
            foreach ($run as $cell) {
                $outer[] = [$this->x($part, $cell->fromMm), $this->axis + $cell->outerStartMm * $this->perMm];
                $outer[] = [$this->x($part, $cell->toMm), $this->axis + $cell->outerEndMm * $this->perMm];
            }
            $from = $this->x($part, $run[0]->fromMm);
            $to = $this->x($part, $run[count($run) - 1]->toMm);
            $drawing->area(
                [[$from, $this->axis], ...self::distinct($outer), [$to, $this->axis]],
                $part->tone,
                $part->profile->isHollow() ? Fill::Blank : Fill::Tint,
                $this->line,
            );
            foreach ($run as $i => $cell) {
                if ($i > 0 && abs($cell->outerStartMm - $run[$i - 1]->outerEndMm) > 1e-6) {
                    $at = $this->x($part, $cell->fromMm);
                    $drawing->line(
                        $at,
                        $this->axis,
                        $at,
                        $this->axis + max($cell->outerStartMm, $run[$i - 1]->outerEndMm) * $this->perMm,
                        $part->tone,
                        0.7 * $this->line,
                    );
                }
            }
        }
    }

    private function mark(Drawing $drawing, AxisPart $part, Segment $mark): void
    {
        [$x1, $x2] = [$this->x($part, $mark->fromMm), $this->x($part, $mark->toMm)];
        $depth = match ($mark->mark) {
            'teeth' => 0.09 * max($mark->startMm, $mark->endMm),
            default => 0.08 * max($mark->startMm, $mark->endMm),
        };
        $inside = $mark->mark === 'thread-inside';
        foreach ($inside ? [-1] : [-1, 1] as $side) {
            $r1 = $mark->startMm + ($inside ? $depth : -$depth);
            $r2 = $mark->endMm + ($inside ? $depth : -$depth);
            $drawing->line(
                $x1,
                $this->axis + $side * $r1 * $this->perMm,
                $x2,
                $this->axis + $side * $r2 * $this->perMm,
                $part->tone,
                0.7 * $this->line,
                $mark->mark === 'teeth',
            );
        }
    }

    /** @param  array{circle_mm: float, hole_mm: float, from_mm: float, to_mm: float}  $hole */
    private function hole(Drawing $drawing, AxisPart $part, array $hole): void
    {
        $r = ($hole['circle_mm'] / 2) * $this->perMm;
        $half = ($hole['hole_mm'] / 2) * $this->perMm;
        [$x1, $x2] = [$this->x($part, $hole['from_mm']), $this->x($part, $hole['to_mm'])];
        $drawing->box($x1, $this->axis - $r - $half, $x2 - $x1, 2 * $half, $part->tone, Fill::Blank, 0.8 * $this->line);
        $drawing->line($x1 - 5, $this->axis - $r, $x2 + 5, $this->axis - $r, Tone::Ink, 0.7, true);
    }

    /** @return list<Label> */
    private function labels(): array
    {
        $labels = [];
        foreach ($this->parts as $part) {
            foreach ($part->diameters as $d) {
                // A solid shaft is seen below the axis too, so its leader need not cross what lies round it, unless
                // that hides it there.
                $above = $part->profile->isHollow() || $this->isHidden($part, $d['at_mm']);
                $y = $this->axis + ($above ? -1 : 1) * ($part->riseMm + $d['radius_mm']) * $this->perMm;
                $tone = ($d['made'] ?? false) ? Tone::Make : $part->tone;
                $labels[] = new Label(
                    x: $this->x($part, $d['at_mm']),
                    y: $y,
                    name: $d['name'],
                    says: $d['says'],
                    tone: $tone,
                    id: $d['surface'] ?? null,
                );
            }
        }

        return $labels;
    }

    private function isHidden(AxisPart $part, float $atMm): bool
    {
        foreach ($this->parts as $other) {
            $at = $part->offsetMm + $atMm - $other->offsetMm;
            if (
                $other !== $part
                && $other->profile->isHollow()
                && $at > $other->profile->fromMm()
                && $at < $other->profile->toMm()
            ) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Span> */
    private function spans(): array
    {
        $spans = [];
        foreach ($this->parts as $part) {
            foreach ($part->lengths as $l) {
                $spans[] = new Span(
                    from: $this->x($part, $l['from_mm']),
                    to: $this->x($part, $l['to_mm']),
                    edge: $this->edgeBelow($part),
                    name: $l['name'],
                    says: $l['says'],
                    tone: ($l['made'] ?? false) ? Tone::Make : $part->tone,
                );
            }
        }

        return $spans;
    }

    private function edgeBelow(AxisPart $part): float
    {
        return $this->axis + $part->profile->largestMm() * $this->perMm;
    }

    private function lowest(): float
    {
        return max(array_map($this->edgeBelow(...), $this->parts));
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function distinct(array $points): array
    {
        $kept = [];
        foreach ($points as $point) {
            $last = $kept[count($kept) - 1] ?? null;
            if ($last === null || abs($last[0] - $point[0]) > 1e-6 || abs($last[1] - $point[1]) > 1e-6) {
                $kept[] = $point;
            }
        }

        return $kept;
    }
}
