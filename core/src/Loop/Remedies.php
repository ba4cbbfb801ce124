<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Quantity\Range;

/**
 * What to change so that a loop closes as wanted: a reserve used, another size, metal taken off, closer limits, or a
 * better measurement, the least trouble first.
 */
final readonly class Remedies
{
    /** Three standard deviations to either side: common practice for “it closes”. */
    public const WANTED = 0.9973;

    /** No more than so many contributors are looked at: those that spread the most. */
    private const LOOKED_AT = 3;

    /** Nor those with a smaller share of the spread than this. */
    private const LEAST_SHARE = 0.05;

    /** @param  float  $holdsMm  the width of limits the shop's lathe holds */
    public function __construct(private Loop $loop, private float $holdsMm)
    {
    }

    /**
     * @param  list<int>  $sizes  places of the contributors that may be made another size
     * @param  list<int>  $limits  places of those that may be held closer
     * @param  array<int, Range>  $reserves  by place: between which sizes a length may be moved without harm, mm
     * @param  list<int>  $faces  places of found lengths that metal may be taken off
     * @return list<Remedy> those that reach WANTED first, and of those the least trouble; then the rest by their chance
     */
    public function all(array $sizes, array $limits, array $reserves = [], array $faces = []): array
    {
        $now = $this->loop->chance();
        if ($now >= self::WANTED) {
            return [];
        }
        $remedies = [];
        $shares = array_column($this->loop->shares(), 'share');
        arsort($shares);
        foreach (array_slice(array_keys($shares), 0, self::LOOKED_AT) as $i) {
            $old = $this->loop->contributors[$i];
            $measured = $old->spread === Spread::Measured;
            $held =
                $shares[$i] < self::LEAST_SHARE || ! ($measured || in_array($i, $limits, true))
                    ? null
                    : $this->narrowed($i);
            if ($held !== null) {
                $remedies[] = $measured
                    ? Remedy::measure($old, $held['new'], $i, $held['chance'], self::WANTED)
                    : Remedy::hold(
                        old: $old,
                        new: $held['new'],
                        place: $i,
                        chance: $held['chance'],
                        wanted: self::WANTED,
                        holdsMm: $this->holdsMm,
                    );
            }
        }
        $shift = $this->shift();
        foreach ($shift === null ? [] : $reserves as $i => $between) {
            $old = $this->loop->contributors[$i];
            $size = round(
                min($between->max, max($between->min, $old->sizeMm + ($old->direction * $shift) / $old->weight)),
                3,
            );
            if (abs($size - $old->sizeMm) > 5e-4) {
                $new = $old->resized($size, $old->plusMm, $old->minusMm);
                $remedies[] = Remedy::absorb(
                    old: $old,
                    new: $new,
                    place: $i,
                    between: $between,
                    chance: $this->moved($old, $new),
                    wanted: self::WANTED,
                );
            }
        }
        foreach ($shift === null ? [] : array_diff($sizes, array_keys($reserves)) as $i) {
            $old = $this->loop->contributors[$i];
            $size = $old->sizeMm + ($old->direction * $shift) / $old->weight;
            if ($size > 0) {
                $new = $old->resized(round($size, 3), $old->plusMm, $old->minusMm);
                $remedies[] = Remedy::aim($old, $new, $i, $this->moved($old, $new), self::WANTED);
            }
        }
        foreach ($faces as $i) {
            $faced = $this->faced($i);
            if ($faced !== null) {
                $remedies[] = $faced;
            }
        }
        if (array_filter($remedies, static fn (Remedy $r): bool => $r->enough) === []) {
            $together = $this->together($limits);
            if ($together !== null) {
                $remedies[] = $together;
            }
        }
        $remedies = array_values(array_filter($remedies, static fn (Remedy $r): bool => $r->chance > $now + 1e-4));
        usort(
            $remedies,
            static fn (Remedy $a, Remedy $b): int => [$b->enough, $a->enough ? $a->effort : -$a->chance] <=> [
                $a->enough,
                $b->enough ? $b->effort : -$b->chance,
            ],
        );

        return $remedies;
    }

    /**
     * The widest limits, in whole thousandths of a millimetre, with which the chance is as wanted; null where even none
     * would do.
     *
     * @return ?array{new: Contributor, chance: float}
     */
    private function narrowed(int $i): ?array
    {
        $old = $this->loop->contributors[$i];
        $others = $this->loop->contributors;
        unset($others[$i]);
        $rest = $others === [] ? null : Loop::of(array_values($others), $this->loop->wanted);
        $at = static fn (float $half): Contributor => $old->resized(
            $old->sizeMm + ($old->plusMm - $old->minusMm) / 2,
            $half / $old->weight,
            $half / $old->weight,
        );
        $exactly = fn (float $half): float => $this->with($i, $at($half));
        // The rest is convolved once and the length laid over it, which is quick; where that is too coarse, all is
        // convolved each time.
        $half =
            $rest === null || $rest->spreadMm2() <= 0
                ? self::widest($exactly, $old->halfMm())
                : self::widest(fn (float $half): float => $this->laidOver($rest, $old, $half), $old->halfMm());
        if ($half < 0.001) {
            return null;
        }
        $chance = $exactly($half);
        if ($chance < self::WANTED) {
            $half = self::widest($exactly, $half);
            $chance = $half < 0.001 ? 0.0 : $exactly($half);
        }

        return $chance < self::WANTED ? null : ['new' => $at($half), 'chance' => $chance];
    }

    /**
     * Where no one length does it: those with the widest limits held to common ones. Source: least cost where cost goes
     * as one over the width (K. Chase,
     * Tolerance Allocation Methods for Designers, reciprocal cost; all lengths counting alike).
     *
     * @param  list<int>  $limits  places of those that may be held closer
     */
    private function together(array $limits): ?Remedy
    {
        $most = max([0.0, ...array_map(fn (int $i): float => $this->loop->contributors[$i]->ownHalfMm(), $limits)]);
        $held = function (float $half) use ($limits): array {
            $held = [];
            foreach ($limits as $i) {
                $old = $this->loop->contributors[$i];
                if ($old->ownHalfMm() > $half + 1e-9) {
                    $held[$i] = [
                        'old' => $old,
                        'new' => $old->resized($old->sizeMm + ($old->plusMm - $old->minusMm) / 2, $half, $half),
                    ];
                }
            }

            return $held;
        };
        $chance = function (float $half) use ($held): float {
            $parts = $this->loop->contributors;
            foreach ($held($half) as $i => $pair) {
                $parts[$i] = $pair['new'];
            }

            return Loop::of(array_values($parts), $this->loop->wanted)->chance();
        };
        $half = self::widest($chance, $most);
        $all = $half < 0.001 ? [] : $held($half);

        return count($all) < 2 ? null : Remedy::together($all, $half, $chance($half), self::WANTED, $this->holdsMm);
    }

    /**
     * How much to take off a length so that the gap is as wanted: taking off widens a gap that the length closes, and
     * narrows one it opens.
     */
    private function faced(int $i): ?Remedy
    {
        $old = $this->loop->contributors[$i];
        $worst = $this->loop->worst();
        [$min, $max] = [$this->loop->wanted->min, $this->loop->wanted->max];
        [$from, $to] =
            $old->direction < 0 ? [$min - $worst->min, $max - $worst->max] : [$worst->max - $max, $worst->min - $min];
        [$least, $most] = [max(0.0, $from / $old->weight), $to / $old->weight];
        if (($least <= 0 && $most <= 0) || $least > Loop::FAR) {
            return null;
        }
        // Where the others spread more than is wanted there is no sure range: then to the middle.
        $sure = $most > $least && $most < Loop::FAR;
        $middle = $most > Loop::FAR / 2 ? $least : ($least + $most) / 2;
        $by = round(max(0.0, $middle), 3);
        if ($by < 0.001 || $by >= $old->sizeMm) {
            return null;
        }
        $new = $old->resized($old->sizeMm - $by, $old->plusMm, $old->minusMm);

        return Remedy::face(
            old: $old,
            new: $new,
            place: $i,
            off: $sure ? new Range($least, $most) : null,
            chance: $this->moved($old, $new),
            wanted: self::WANTED,
        );
    }

    /**
     * @param  callable(float): float  $chance  of a half-width, mm
     * @return float rounded down to whole thousandths of a millimetre
     */
    private static function widest(callable $chance, float $most): float
    {
        [$low, $high] = [0.0, $most];
        for ($k = 0; $k < 16; $k++) {
            $half = ($low + $high) / 2;
            $chance($half) >= self::WANTED ? ($low = $half) : ($high = $half);
        }

        return floor($low * 1000 + 1e-2) / 1000;
    }

    private function laidOver(Loop $rest, Contributor $old, float $half): float
    {
        $steps = 24;
        $sigma = $half * sqrt($old->spread->variance());
        $reach = $old->spread->isNormal() ? 4 * $sigma : $half;
        $sum = $weights = 0.0;
        for ($k = 0; $k <= $steps; $k++) {
            $x = -$reach + (2 * $reach * $k) / $steps;
            $simpson = $k === 0 || $k === $steps ? 1 : ($k % 2 === 1 ? 4 : 2);
            $weight =
                $simpson *
                match (true) {
                    $old->spread->isNormal() => exp((-$x * $x) / max(1e-30, 2 * $sigma * $sigma)),
                    $old->spread === Spread::Triangular => $half - abs($x),
                    default => 1.0,
                };
            $shift = $old->middleMm() + $x;
            $sum +=
                $weight *
                ($rest->below($this->loop->wanted->max - $shift) - $rest->below($this->loop->wanted->min - $shift));
            $weights += $weight;
        }

        return $weights > 0 ? $sum / $weights : 0.0;
    }

    /** How much wider the gap should be, mm: to the middle of what is wanted, or clear of the one limit there is. */
    private function shift(): ?float
    {
        [$min, $max] = [$this->loop->wanted->min, $this->loop->wanted->max];
        $worst = $this->loop->worst();

        return match (true) {
            $min > -Loop::FAR && $max < Loop::FAR => ($min + $max) / 2 - $this->loop->middleMm(),
            $min > -Loop::FAR => max(0.0, $min - $worst->min),
            $max < Loop::FAR => min(0.0, $max - $worst->max),
            default => null,
        };
    }

    /** Another size moves the gap and leaves its spread as it is. */
    private function moved(Contributor $old, Contributor $new): float
    {
        return $this->loop->chanceMoved($new->middleMm() - $old->middleMm());
    }

    private function with(int $i, Contributor $new): float
    {
        $parts = $this->loop->contributors;
        $parts[$i] = $new;

        return Loop::of(array_values($parts), $this->loop->wanted)->chance();
    }
}
