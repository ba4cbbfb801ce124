<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** Why a number was wrong. Common practice: the mistakes seen again and again. */
enum MistakeCause: string
{
    case WrongFace = 'wrong face';

    /** An indicator's whole reading taken for the offset, which is half of it. */
    case WholeForHalf = 'whole for half';
    case WrongUnit = 'wrong unit';
    case Misread = 'misread';
    case Warm = 'read warm';
    case WornGauge = 'worn gauge';
    case Drawing = 'drawing';
    case Other = 'other';

    /** What to look at beside, before going on. */
    public function lookAlso(): string
    {
        return match ($this) {
            self::WrongFace => 'Look at the other lengths taken from the same face.',
            self::WholeForHalf => 'Look at every offset and run-out taken with the indicator: an offset is half of its whole reading.',
            self::WrongUnit => 'Look at what else was taken in that unit, hole circles first.',
            self::Misread => 'Look at the readings before and after it, taken the same way.',
            self::Warm => 'Read again what else was measured soon after cutting.',
            self::WornGauge => 'Check the gauge against a master: everything it read stands in doubt.',
            self::Drawing => 'Look at what else was taken from that drawing; measure where you can.',
            self::Other => 'Look at what else was taken the same way.',
        };
    }
}
