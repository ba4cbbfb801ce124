<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** A side of a joint. */
enum Side: string
{
    case Inner = 'inner';
    case Outer = 'outer';
}
