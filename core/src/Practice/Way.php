<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

/** How two parts are put together. */
enum Way: string
{
    case Hand = 'hand';
    case Press = 'press';
    case Warm = 'warm';
    case Bond = 'bond';
}
