<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

enum Unit: string
{
    case Inch = 'in';
    case Millimetre = 'mm';

    /** Millimetres in one of this unit. 1 in = 25.4 mm exactly. */
    public function inMm(): float
    {
        return $this === self::Inch ? 25.4 : 1.0;
    }
}
