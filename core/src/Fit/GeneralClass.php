<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

/** The classes of general tolerances, ISO 2768-1. */
enum GeneralClass: string
{
    case Fine = 'f';
    case Medium = 'm';
    case Coarse = 'c';
    case VeryCoarse = 'v';
}
