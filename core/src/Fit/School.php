<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

/** Where a fit's limits come from. */
enum School: string
{
    case Iso = 'iso';
    case Inch = 'inch';
    case Thumb = 'thumb';
}
