<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

use Oldpart\Core\Advice\BadInput;

/** What a reading's field takes: a length or a sum, a pair of pins, or a comparison with a master. */
final class ReadingReader
{
    /** @throws BadInput with a sentence, when it is none of them */
    public static function read(string $text, Unit $unit): TypedLength
    {
        return PinPair::read($text, $unit) ?? (Comparison::read($text, $unit) ?? LengthReader::read($text, $unit));
    }
}
