<?php

declare(strict_types=1);

namespace Oldpart\Core\Shape;

/** A turned part as slices along its axis: its volume, surface and centre of mass, and the outline to draw. */
final readonly class Profile
{
    /**
     * @param  list<Cell>  $cells  from left to right
     * @param  list<Segment>  $marks  threads, teeth and splines, to be drawn by their convention
     */
    private function __construct(public array $cells, public array $marks)
    {
    }

    /**
     * @param  list<Segment>  $outside  where stretches overlap the larger counts; grooves (`cutsOutside`) the smaller
     * @param  list<Segment>  $inside  where stretches overlap the larger counts
     * @param  list<Chamfer>  $chamfers
     */
    public static function of(array $outside, array $inside, array $chamfers = []): self
    {
        $planes = [];
        foreach ([...$outside, ...$inside] as $segment) {
            $planes[] = $segment->fromMm;
            $planes[] = $segment->toMm;
        }
        foreach ($chamfers as $chamfer) {
            array_push($planes, ...$chamfer->planes());
        }
        sort($planes);
        $cells = [];
        for ($i = 1, $n = count($planes); $i < $n; $i++) {
            if ($planes[$i] - $planes[$i - 1] > 1e-9) {
                $cell = self::cell($planes[$i - 1], $planes[$i], $outside, $inside);
                if ($cell !== null) {
                    $cells[] = $cell;
                }
            }
        }
        foreach ($chamfers as $chamfer) {
            $cells = $chamfer->on($cells);
        }
        $marks = array_values(
            array_filter([...$outside, ...$inside], static fn (Segment $s): bool => $s->mark !== null),
        );

        return new self($cells, $marks);
    }

    /**
     * @param  list<Segment>  $outside
     * @param  list<Segment>  $inside
     */
    private static function cell(float $from, float $to, array $outside, array $inside): ?Cell
    {
        $middle = ($from + $to) / 2;
        $outer = self::widest(array_filter($outside, static fn (Segment $s): bool => ! $s->cutsOutside), $middle);
        if ($outer === null) {
            return null;
        }
        foreach ($outside as $segment) {
            if ($segment->cutsOutside && $segment->covers($middle) && $segment->at($middle) < $outer->at($middle)) {
                $outer = $segment;
            }
        }
        $inner = self::widest($inside, $middle);
        if ($inner !== null && $inner->at($middle) + abs($inner->offsetMm) >= $outer->at($middle)) {
            return null;
        }

        return new Cell(
            fromMm: $from,
            toMm: $to,
            outerStartMm: $outer->at($from),
            outerEndMm: $outer->at($to),
            innerStartMm: $inner?->at($from) ?? 0.0,
            innerEndMm: $inner?->at($to) ?? 0.0,
            offsetMm: $inner->offsetMm ?? 0.0,
        );
    }

    /** @param  array<Segment>  $segments */
    private static function widest(array $segments, float $x): ?Segment
    {
        $widest = null;
        foreach ($segments as $segment) {
            if ($segment->covers($x) && ($widest === null || $segment->at($x) > $widest->at($x))) {
                $widest = $segment;
            }
        }

        return $widest;
    }

    public function isEmpty(): bool
    {
        return $this->cells === [];
    }

    public function isHollow(): bool
    {
        return array_filter($this->cells, static fn (Cell $c): bool => $c->innerStartMm > 0 || $c->innerEndMm > 0) !==
            [];
    }

    public function fromMm(): float
    {
        return $this->cells[0]->fromMm ?? 0.0;
    }

    public function toMm(): float
    {
        return $this->cells === [] ? 0.0 : $this->cells[count($this->cells) - 1]->toMm;
    }

    public function largestMm(): float
    {
        return $this->cells === []
            ? 0.0
            : max(array_map(static fn (Cell $c): float => max($c->outerStartMm, $c->outerEndMm), $this->cells));
    }

    /** Volume of the turned shape, mm³, without holes and keyways. */
    public function volumeMm3(): float
    {
        return array_sum(array_map(static fn (Cell $c): float => $c->volumeMm3(), $this->cells));
    }

    /** Centre of mass along the axis, from where the part's places are counted, mm; 0 when there is nothing. */
    public function centreMm(): float
    {
        $volume = $this->volumeMm3();

        return $volume <= 0
            ? 0.0
            : array_sum(array_map(static fn (Cell $c): float => $c->momentMm4(), $this->cells)) / $volume;
    }

    /** The whole surface, flanks and faces, mm². */
    public function surfaceMm2(): float
    {
        $area = array_sum(array_map(static fn (Cell $c): float => $c->flanksMm2(), $this->cells));
        foreach ($this->cells as $i => $cell) {
            $before = $this->cells[$i - 1] ?? null;
            $touches = $before !== null && abs($before->toMm - $cell->fromMm) < 1e-9;
            if ($before !== null && ! $touches) {
                $area += self::face($before->outerEndMm, $before->innerEndMm);
            }
            $area += $touches
                ? self::step($before->outerEndMm, $before->innerEndMm, $cell->outerStartMm, $cell->innerStartMm)
                : self::face($cell->outerStartMm, $cell->innerStartMm);
        }
        $last = $this->cells[count($this->cells) - 1] ?? null;

        return $area + ($last === null ? 0.0 : self::face($last->outerEndMm, $last->innerEndMm));
    }

    /** Metal along the axis at a distance from it, mm: how thick a flange is where a hole goes through. */
    public function thicknessAtMm(float $radiusMm): float
    {
        $thick = 0.0;
        foreach ($this->cells as $cell) {
            if (
                $radiusMm < ($cell->outerStartMm + $cell->outerEndMm) / 2
                && $radiusMm > ($cell->innerStartMm + $cell->innerEndMm) / 2
            ) {
                $thick += $cell->lengthMm();
            }
        }

        return $thick;
    }

    /** @return list<non-empty-list<Cell>> runs of slices that touch */
    public function runs(): array
    {
        $runs = $run = [];
        foreach ($this->cells as $cell) {
            if ($run !== [] && abs($run[count($run) - 1]->toMm - $cell->fromMm) > 1e-9) {
                $runs[] = $run;
                $run = [];
            }
            $run[] = $cell;
        }

        return $run === [] ? $runs : [...$runs, $run];
    }

    private static function face(float $outer, float $inner): float
    {
        return M_PI * ($outer ** 2 - $inner ** 2);
    }

    /** What shows where two rings of different size meet: both, less twice what they cover of each other. */
    private static function step(float $outerA, float $innerA, float $outerB, float $innerB): float
    {
        $common = max(0.0, min($outerA, $outerB) ** 2 - max($innerA, $innerB) ** 2);

        return self::face($outerA, $innerA) + self::face($outerB, $innerB) - 2 * M_PI * $common;
    }
}
