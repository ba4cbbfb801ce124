<?php

declare(strict_types=1);

namespace Oldpart\Core\Shape;

/** A 45° chamfer at the corner that stands at a place along the axis, outside or inside; mm. */
final readonly class Chamfer
{
    /** A lead-in takes at most so much of the wall. Common practice. */
    public const OF_WALL = 0.5;

    public function __construct(public float $atMm, public float $legMm, public bool $inside)
    {
    }

    /** @return list<float> */
    public function planes(): array
    {
        return [$this->atMm - $this->legMm, $this->atMm, $this->atMm + $this->legMm];
    }

    /**
     * @param  list<Cell>  $cells  cut at this chamfer's planes
     * @return list<Cell>
     */
    public function on(array $cells): array
    {
        $left = $right = null;
        foreach ($cells as $i => $cell) {
            if (abs($cell->toMm - $this->atMm) < 1e-9) {
                $left = $i;
            }
            if (abs($cell->fromMm - $this->atMm) < 1e-9) {
                $right = $i;
            }
        }
        $radius = fn (?int $i, bool $end): float => match (true) {
            $i === null => 0.0,
            $this->inside => $end ? $cells[$i]->innerEndMm : $cells[$i]->innerStartMm,
            default => $end ? $cells[$i]->outerEndMm : $cells[$i]->outerStartMm,
        };
        [$l, $r] = [$radius($left, true), $radius($right, false)];
        // The corner belongs to the side with metal there: outside the larger, inside the one that has a bore.
        $onLeft = $this->inside ? $left !== null && $l > 0 && ($right === null || $r <= 0 || $l < $r) : $l > $r;
        $at = $onLeft ? $left : $right;
        if ($at === null || ($this->inside && $radius($at, $onLeft) <= 0)) {
            return $cells;
        }
        $c = $cells[$at];
        $leg = min($this->legMm, $c->lengthMm(), max(0.0, self::OF_WALL * ($c->outerStartMm - $c->innerStartMm)));
        $cells[$at] = $this->inside
            ? new Cell(
                fromMm: $c->fromMm,
                toMm: $c->toMm,
                outerStartMm: $c->outerStartMm,
                outerEndMm: $c->outerEndMm,
                innerStartMm: $c->innerStartMm + ($onLeft ? 0 : $leg),
                innerEndMm: $c->innerEndMm + ($onLeft ? $leg : 0),
                offsetMm: $c->offsetMm,
            )
            : new Cell(
                fromMm: $c->fromMm,
                toMm: $c->toMm,
                outerStartMm: $c->outerStartMm - ($onLeft ? 0 : $leg),
                outerEndMm: $c->outerEndMm - ($onLeft ? $leg : 0),
                innerStartMm: $c->innerStartMm,
                innerEndMm: $c->innerEndMm,
                offsetMm: $c->offsetMm,
            );

        return array_values($cells);
    }
}
