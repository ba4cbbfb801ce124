<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Number\Bisection;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;

/**
 * Many holes and many shafts, each anywhere in its band with equal chance, put together as they come. The clearance is
 * the difference of two uniform sizes: a trapezoid, whose chances are exact (elementary probability).
 */
final readonly class Batch
{
    /** More classes than this nobody sorts into. Common practice. */
    private const MOST_CLASSES = 12;

    public function __construct(public Band $hole, public Band $shaft)
    {
    }

    /** Smallest and largest clearance that can come about, mm, negative for interference. */
    public function extremes(): Range
    {
        return new Range($this->hole->lowerMm - $this->shaft->upperMm, $this->hole->upperMm - $this->shaft->lowerMm);
    }

    /** The range that holds the middle 95 % of pairs, mm. */
    public function likely(): Range
    {
        return new Range($this->quantile(0.025), $this->quantile(0.975));
    }

    /** The chance that a random pair has a clearance within the range, 0 to 1. */
    public function chance(Range $wanted): float
    {
        return max(0.0, $this->below($wanted->max) - $this->below($wanted->min));
    }

    /**
     * Into how many classes both have to be sorted, smallest to smallest, so that every pair of like classes is within
     * the range; null when no sorting does it.
     */
    public function classesFor(Range $wanted): ?int
    {
        [$wh, $ws] = [$this->hole->widthMm(), $this->shaft->widthMm()];
        $offset = $this->hole->lowerMm - $this->shaft->lowerMm;
        for ($n = 1; $n <= self::MOST_CLASSES; $n++) {
            $inside = true;
            for ($i = 0; $i < $n; $i++) {
                $shift = $offset + ($i * ($wh - $ws)) / $n;
                $inside =
                    $inside && $shift - $ws / $n >= $wanted->min - 1e-9 && $shift + $wh / $n <= $wanted->max + 1e-9;
            }
            if ($inside) {
                return $n;
            }
        }

        return null;
    }

    /** The chance of a clearance below x: the integral of the trapezoid. */
    private function below(float $x): float
    {
        [$long, $short] = [
            max($this->hole->widthMm(), $this->shaft->widthMm()),
            min($this->hole->widthMm(), $this->shaft->widthMm()),
        ];
        $z = $x - $this->extremes()->min;
        if ($z <= 0) {
            return 0.0;
        }
        if ($z >= $long + $short) {
            return 1.0;
        }
        if ($short <= 0) {
            return $z / $long;
        }

        return match (true) {
            $z < $short => $z ** 2 / (2 * $long * $short),
            $z <= $long => ($z - $short / 2) / $long,
            default => 1 - ($long + $short - $z) ** 2 / (2 * $long * $short),
        };
    }

    private function quantile(float $chance): float
    {
        return Bisection::place(
            fn (float $mm): bool => $this->below($mm) < $chance,
            $this->extremes()->min,
            $this->extremes()->max,
        );
    }
}
