<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Joint\Chance;
use Oldpart\Core\Number\Bisection;
use Oldpart\Core\Number\Normal;

/**
 * The distribution of a sum of uniform, triangular and normal parts about zero, by numeric convolution: each uniform
 * part is a moving mean of what is there, taken exactly over a fine grid; a triangular part is two uniform ones; all
 * normal parts are one. Cost is in the number of parts, error in a chance below 0.0001. Source: elementary probability
 * (the convolution of distributions).
 */
final class Distribution
{
    /**
     * Points of the grid: enough that what the straight lines between them add stays far below what is asked, more
     * where many parts add up.
     */
    private const POINTS = [1024, 4096];

    private const POINTS_EACH = 24;

    /** How far out it is followed, in standard deviations; beyond lies less than one in 10¹⁵. */
    private const SIGMAS = 9.0;

    /** @var list<float> widths of the uniform parts, the widest last */
    private array $widths = [];

    private float $sigma;

    private float $step = 0.0;

    private int $points = 0;

    private float $from = 0.0;

    /** @var list<float> the distribution before its last uniform part, at the grid */
    private array $before = [];

    /** @var list<float> its integral from the left, at the grid */
    private array $integral = [];

    /** @param  list<Contributor>  $contributors */
    public function __construct(array $contributors)
    {
        $normal = $variance = 0.0;
        foreach ($contributors as $part) {
            $half = $part->halfMm();
            if ($half <= 0) {
                continue;
            }
            $variance += $part->varianceMm2();
            if ($part->spread->isNormal()) {
                $normal += $part->varianceMm2();
            } elseif ($part->spread === Spread::Uniform) {
                $this->widths[] = 2 * $half;
            } else {
                array_push($this->widths, $half, $half);
            }
        }
        $this->sigma = sqrt($normal);
        sort($this->widths);
        $this->convolve(sqrt($variance));
    }

    /** The chance of a sum below x, mm from the middle; 0 to 1. */
    public function below(float $x): float
    {
        if ($this->widths === []) {
            return $this->sigma > 0 ? Normal::below($x / $this->sigma) : ($x > 0 ? 1.0 : 0.0);
        }
        if ($this->before === []) {
            // One uniform part, and perhaps a normal one.
            $half = $this->widths[0] / 2;

            return (new Chance(-$half, $half, $this->sigma))->below($x);
        }
        $width = $this->widths[0];

        return min(1.0, max(0.0, ($this->area($x + $width / 2) - $this->area($x - $width / 2)) / $width));
    }

    /** The value below which a share of all sums lies, mm from the middle. */
    public function quantile(float $share): float
    {
        $reach = array_sum($this->widths) / 2 + self::SIGMAS * $this->sigma + 1e-12;

        return Bisection::place(fn (float $mm): bool => $this->below($mm) < $share, -$reach, $reach);
    }

    private function convolve(float $deviation): void
    {
        $count = count($this->widths);
        if ($count < 2) {
            return;
        }
        $reach = min(
            array_sum($this->widths) / 2 + self::SIGMAS * $this->sigma,
            self::SIGMAS * $deviation + $this->widths[$count - 1],
        );
        $this->from = -$reach;
        $this->points = min(self::POINTS[1], max(self::POINTS[0], self::POINTS_EACH * $count));
        $this->step = (2 * $reach) / ($this->points - 1);
        // The widest with the normal ones is known outright; the narrowest is left for the moment somebody asks.
        $half = $this->widths[$count - 1] / 2;
        $first = new Chance(-$half, $half, $this->sigma);
        for ($i = 0; $i < $this->points; $i++) {
            $this->before[] = $first->below($this->from + $i * $this->step);
        }
        $this->integrate();
        for ($k = $count - 2; $k >= 1; $k--) {
            $width = $this->widths[$k];
            $next = [];
            for ($i = 0; $i < $this->points; $i++) {
                $x = $this->from + $i * $this->step;
                $next[] = ($this->area($x + $width / 2) - $this->area($x - $width / 2)) / $width;
            }
            $this->before = $next;
            $this->integrate();
        }
    }

    private function integrate(): void
    {
        $sum = 0.0;
        $this->integral = [0.0];
        for ($i = 1; $i < $this->points; $i++) {
            $sum += (($this->before[$i - 1] + $this->before[$i]) / 2) * $this->step;
            $this->integral[] = $sum;
        }
    }

    /**
     * The integral of the distribution from the left to x: straight between the grid's points, 0 before it, 1 a mm
     * beyond.
     */
    private function area(float $x): float
    {
        $at = ($x - $this->from) / $this->step;
        if ($at <= 0) {
            return 0.0;
        }
        $last = $this->points - 1;
        if ($at >= $last) {
            return $this->integral[$last] + ($at - $last) * $this->step;
        }
        $i = (int) $at;
        $t = $at - $i;

        return $this->integral[$i] +
            $this->step * $t * ($this->before[$i] + ($t / 2) * ($this->before[$i + 1] - $this->before[$i]));
    }
}
