<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

use Oldpart\Core\Advice\BadInput;

/**
 * A gauge set on a master and what it shows on the part, typed as one reading: `27.000 set +0.012`. The size is their
 * sum.
 */
final class Comparison
{
    /** Farther from its master than this, mm, the gauge's own long-range error is back. Common practice. */
    private const FARTHEST_MM = 1.0;

    /**
     * @return TypedLength|null the size with that of its master; null where no comparison is typed
     *
     * @throws BadInput where one of the two can't be read, or the difference is no small one
     */
    public static function read(string $text, Unit $unit): ?TypedLength
    {
        if (preg_match('/^\s*(.+?)\s+set\s+(.+?)\s*$/iu', $text, $m) !== 1) {
            return null;
        }
        $master = LengthReader::read($m[1], $unit)->length->mm;
        $shown = LengthReader::read($m[2], $unit, signed: true)->length->mm;
        if (abs($shown) > self::FARTHEST_MM) {
            throw new BadInput(
                'comparison',
                'text',
                "“{$text}”: after “set” belongs the difference the gauge shows, such as +0.012, and at most a millimetre. Set it on a master nearer the size.",
            );
        }
        if ($master + $shown <= 0) {
            throw new BadInput('comparison', 'text', "“{$text}” comes out at zero or below. Check the master's size.");
        }

        return new TypedLength(Length::mm($master + $shown), $text, $unit, masterMm: $master);
    }
}
