<?php

declare(strict_types=1);

namespace Oldpart\Core\Block;

use Oldpart\Core\Advice\BadInput;

/** A drilling: a solid round with flat ends; mm. */
final readonly class Drilling
{
    private const ROUNDS = 20_000;

    public float $longMm;

    /** From its first end to its last, of length one. */
    public Vector $along;

    /** @throws BadInput for a drilling of nothing */
    public function __construct(
        public string $name,
        public Vector $from,
        public Vector $to,
        public float $diameterMm,
        string $field = '',
    ) {
        $this->longMm = $to->minus($from)->length();
        if (! ($diameterMm > 0)) {
            throw new BadInput('diameter', "{$field}diameter_mm", "“{$name}” has no diameter.");
        }
        if (! ($this->longMm > 0)) {
            throw new BadInput('ends', "{$field}to", "“{$name}” begins and ends in one place.");
        }
        $this->along = (new Vector(0.0, 0.0, 0.0))->plus($to->minus($from), 1 / $this->longMm);
    }

    /** The place in it that is nearest to another. */
    public function nearest(Vector $p): Vector
    {
        $off = $p->minus($this->from);
        $at = $off->dot($this->along);
        $side = $off->plus($this->along, -$at);
        $out = $side->length();
        $radius = $this->diameterMm / 2;
        $share = $out > $radius ? $radius / $out : 1.0;

        return $this->from->plus($this->along, max(0.0, min($this->longMm, $at)))->plus($side, $share);
    }

    /**
     * The least distance between the two solids; where they meet, below zero by how far they overlap: both radii less
     * the distance of their axes.
     *
     * Source: the nearest places of two convex bodies, found by going from one to the other and back, from where their
     * axes are nearest.
     */
    public function gapMm(self $other): float
    {
        $p = $this->nearestToAxis($other);
        $axesApart = $p->minus($other->onAxis($p))->length();
        $last = INF;
        for ($i = 0; $i < self::ROUNDS; $i++) {
            $q = $other->nearest($p);
            $p = $this->nearest($q);
            $apart = $p->minus($q)->length();
            if ($apart < Vector::NEAR_MM) {
                return -max(0.0, ($this->diameterMm + $other->diameterMm) / 2 - $axesApart);
            }
            if ($last - $apart < 1e-13 * max(1.0, $apart)) {
                return $apart;
            }
            $last = $apart;
        }

        return $last;
    }

    /**
     * The place on its axis that is nearest to the other's: where the common perpendicular of both lines stands, or an
     * end of one of them.
     */
    private function nearestToAxis(self $other): Vector
    {
        $across = $other->from->minus($this->from);
        $cos = $this->along->dot($other->along);
        $sinSquared = 1 - $cos ** 2;
        $places = [$this->from, $this->to, $this->onAxis($other->from), $this->onAxis($other->to)];
        if ($sinSquared > 0) {
            $at = ($across->dot($this->along) - $cos * $across->dot($other->along)) / $sinSquared;
            $places[] = $this->onAxis($this->from->plus($this->along, $at));
        }
        usort($places, static fn (Vector $a, Vector $b): int => $a->minus($other->onAxis($a))->length()
            <=> $b->minus($other->onAxis($b))->length());

        return $places[0];
    }

    private function onAxis(Vector $p): Vector
    {
        return $this->from->plus(
            $this->along,
            max(0.0, min($this->longMm, $p->minus($this->from)->dot($this->along))),
        );
    }
}
