<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

/** Where a surface that is being cut stands. */
enum CutState: string
{
    case Cut = 'cut';
    case Inside = 'inside';
    case Past = 'past';
}
