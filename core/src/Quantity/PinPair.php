<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

use Oldpart\Core\Advice\BadInput;

/**
 * The pin that goes and the next that doesn't, typed as one reading: `12.675 go 12.700`. The size lies between them.
 */
final class PinPair
{
    /**
     * A pair more than 1 mm apart is a slip (common practice).
     *
     * @return TypedLength|null the middle of the two, with how far apart they are; null where no pair is typed
     *
     * @throws BadInput where one of the two can't be read, or they are the same
     */
    public static function read(string $text, Unit $unit): ?TypedLength
    {
        if (preg_match('/^\s*(.+?)\s+go\s+(.+?)(?:\s+no[\s-]?go)?\s*$/iu', $text, $m) !== 1) {
            return null;
        }
        $go = LengthReader::read($m[1], $unit)->length->mm;
        $noGo = LengthReader::read($m[2], $unit)->length->mm;
        $between = abs($go - $noGo);
        if ($between < 1e-9) {
            throw new BadInput(
                'pins',
                'text',
                "“{$text}” names the same pin twice. Type the one that goes, “go”, and the next one that does not.",
            );
        }
        if ($between > 1) {
            throw new BadInput(
                'pins',
                'text',
                "“{$text}”: these pins are more than a millimetre apart. Check both and their units.",
            );
        }

        return new TypedLength(Length::mm(($go + $noGo) / 2), $text, $unit, $between);
    }
}
