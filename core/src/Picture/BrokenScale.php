<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

/**
 * Maps places along one line onto the drawing, to one scale, but with a piece left out where one stretch dwarfs all the
 * smaller ones together. What is left out is marked by a break.
 */
final readonly class BrokenScale
{
    /** A stretch is drawn no longer than this many times all that are smaller together. */
    private const MOST = 5.0;

    /**
     * @param  list<float>  $values  ends of the stretches, rising
     * @param  list<float>  $places  where they are drawn
     * @param  list<float>  $breaks  values midway in the stretches that are cut short
     */
    private function __construct(private array $values, private array $places, public array $breaks)
    {
    }

    /** @param  non-empty-list<float>  $values */
    public static function of(array $values, float $from, float $to): self
    {
        $values = array_values(array_unique(array_map(static fn (float $v): float => round($v, 6), $values)));
        sort($values);
        $long = [];
        for ($i = 1; $i < count($values); $i++) {
            $long[$i] = $values[$i] - $values[$i - 1];
        }
        $drawn = $long;
        asort($drawn);
        $smaller = 0.0;
        $breaks = [];
        foreach ($drawn as $i => $mm) {
            if ($smaller > 0 && $mm > self::MOST * $smaller) {
                $drawn[$i] = self::MOST * $smaller;
                $breaks[] = ($values[$i] + $values[$i - 1]) / 2;
            }
            $smaller += $drawn[$i];
        }
        $per = $smaller > 0 ? ($to - $from) / $smaller : 0.0;
        $places = [$from];
        for ($i = 1; $i < count($values); $i++) {
            $places[] = $places[$i - 1] + $drawn[$i] * $per;
        }

        return new self($values, $places, $breaks);
    }

    public function at(float $value): float
    {
        $last = count($this->values) - 1;
        for ($i = 1; $i <= $last; $i++) {
            if ($value <= $this->values[$i] + 1e-6) {
                $span = $this->values[$i] - $this->values[$i - 1];

                return $this->places[$i - 1] +
                    min(1.0, max(0.0, ($value - $this->values[$i - 1]) / $span)) *
                        ($this->places[$i] - $this->places[$i - 1]);
            }
        }

        return $this->places[$last];
    }
}
