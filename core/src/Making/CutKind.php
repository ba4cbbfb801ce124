<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

/** What a cut of a plan is for. */
enum CutKind: string
{
    case Rough = 'rough';
    case Finish = 'finish';
    case Spring = 'spring';
    /** By emery, or with a hone: nothing is dialled. */
    case Polish = 'polish';
}
