<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

/** What a size is of, when one asks what it was meant to be. */
enum NominalKind: string
{
    case Bore = 'bore';
    case Shaft = 'shaft';
    case Length = 'length';
    case Circle = 'circle';

    /** Which way wear moves it: a bore grows, a shaft and a length shrink, a hole circle stays. Usual, not a rule. */
    public function wearSign(): int
    {
        return match ($this) {
            self::Bore => 1,
            self::Shaft, self::Length => -1,
            self::Circle => 0,
        };
    }
}
