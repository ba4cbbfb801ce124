<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

/** Maps values onto a line of the drawing, and finds round divisions for it. */
final readonly class Scale
{
    public function __construct(
        public float $fromValue,
        public float $toValue,
        public float $fromPlace,
        public float $toPlace,
    ) {
    }

    public function at(float $value): float
    {
        return $this->fromPlace +
            (($value - $this->fromValue) / ($this->toValue - $this->fromValue)) * ($this->toPlace - $this->fromPlace);
    }

    /** The round step (1, 2, 4 or 5 times a power of ten) that divides the span into about so many parts. */
    public static function step(float $span, int $parts): float
    {
        if (! ($span > 0) || ! is_finite($span)) {
            throw new \LogicException('A scale needs a span above zero.');
        }
        $raw = $span / $parts;
        $power = 10 ** floor(log10($raw));
        foreach ([1, 2, 4, 5, 10] as $factor) {
            if ($factor * $power >= $raw * 0.999) {
                return $factor * $power;
            }
        }

        return 10 * $power;
    }

    /** A round exaggeration (1, 2 or 5 times a power of ten) not above the given one, at least 1. */
    public static function exaggeration(float $most): float
    {
        if ($most <= 1) {
            return 1.0;
        }
        $power = 10 ** floor(log10($most));
        foreach ([5, 2, 1] as $factor) {
            if ($factor * $power <= $most) {
                return $factor * $power;
            }
        }

        return $power;
    }
}
