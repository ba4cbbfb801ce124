<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

/** What to change so that a loop closes as wanted: another size, closer limits, or a better measurement, the least trouble first. */
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
     * @return list<Remedy> those that reach WANTED first, and of those the least trouble; then the rest by their chance
     */
    public function all(array $sizes, array $limits): array
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
            $held = $shares[$i] < self::LEAST_SHARE || ! ($measured || in_array($i, $limits, true)) ? null : $this->narrowed($i);
            if ($held !== null) {
                $remedies[] = $measured ? Remedy::measure($old, $held['new'], $held['chance'], self::WANTED) : Remedy::hold($old, $held['new'], $held['chance'], self::WANTED, $this->holdsMm);
            }
        }
        $shift = $this->shift();
        // Whichever is made another size, the gap moves by as much.
        $moved = null;
        foreach ($shift === null ? [] : $sizes as $i) {
            $old = $this->loop->contributors[$i];
            $size = $old->sizeMm + $old->direction * $shift;
            if ($size > 0) {
                $new = new Contributor($old->name, round($size, 3), $old->plusMm, $old->minusMm, $old->direction, $old->spread);
                $moved ??= $this->with($i, $new);
                $remedies[] = Remedy::aim($old, $new, $moved, self::WANTED);
            }
        }
        $remedies = array_values(array_filter($remedies, static fn (Remedy $r): bool => $r->chance > $now + 1e-4));
        usort($remedies, static fn (Remedy $a, Remedy $b): int => [$b->enough, $a->enough ? $a->effort : -$a->chance] <=> [$a->enough, $b->enough ? $b->effort : -$b->chance]);

        return $remedies;
    }

    /**
     * The widest limits, in whole thousandths of a millimetre, with which the chance is as wanted; null where even none would do.
     *
     * @return ?array{new: Contributor, chance: float}
     */
    private function narrowed(int $i): ?array
    {
        $old = $this->loop->contributors[$i];
        $others = $this->loop->contributors;
        unset($others[$i]);
        $rest = $others === [] ? null : Loop::of(array_values($others), $this->loop->wanted);
        $at = static fn (float $half): Contributor => new Contributor($old->name, $old->sizeMm + ($old->plusMm - $old->minusMm) / 2, $half, $half, $old->direction, $old->spread);
        $exactly = fn (float $half): float => $this->with($i, $at($half));
        // The rest is convolved once and the length laid over it, which is quick; where that is too coarse, all is convolved each time.
        $half = $rest === null || $rest->spreadMm2() <= 0 ? self::widest($exactly, $old->halfMm()) : self::widest(fn (float $half): float => $this->laidOver($rest, $old, $half), $old->halfMm());
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
     * @param  callable(float): float  $chance  of a half-width, mm
     * @return float rounded down to whole thousandths of a millimetre
     */
    private static function widest(callable $chance, float $most): float
    {
        [$low, $high] = [0.0, $most];
        for ($k = 0; $k < 16; $k++) {
            $half = ($low + $high) / 2;
            $chance($half) >= self::WANTED ? $low = $half : $high = $half;
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
            $x = -$reach + 2 * $reach * $k / $steps;
            $simpson = $k === 0 || $k === $steps ? 1 : ($k % 2 === 1 ? 4 : 2);
            $weight = $simpson * match (true) {
                $old->spread->isNormal() => exp(-$x * $x / max(1e-30, 2 * $sigma * $sigma)),
                $old->spread === Spread::Triangular => $half - abs($x),
                default => 1.0,
            };
            $shift = $old->middleMm() + $x;
            $sum += $weight * ($rest->below($this->loop->wanted->max - $shift) - $rest->below($this->loop->wanted->min - $shift));
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

    private function with(int $i, Contributor $new): float
    {
        $parts = $this->loop->contributors;
        $parts[$i] = $new;

        return Loop::of(array_values($parts), $this->loop->wanted)->chance();
    }
}
