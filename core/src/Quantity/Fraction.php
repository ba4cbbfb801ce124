<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

/** A bare number as the trade writes it inside a name: 0.25, 1/4, 1-1/4. */
final class Fraction
{
    /** To be put into a pattern that reads a name. */
    public const PATTERN = '((?:\d+-)?\d+\/\d+|\d*\.?\d+)';

    /** @return float of a text that PATTERN has matched; 0 for a fraction of nothing */
    public static function read(string $text): float
    {
        if (preg_match('/^(?:(\d+)-)?(\d+)\/(\d+)$/', $text, $m) !== 1) {
            return (float) $text;
        }

        return (int) $m[3] === 0 ? 0.0 : (int) $m[1] + (int) $m[2] / (int) $m[3];
    }
}
