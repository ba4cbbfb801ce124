<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** A pressed bush's bore has two sizes: before pressing, and after. Everything else has one. */
enum Phase: string
{
    case Only = 'only';
    case Before = 'before';
    case After = 'after';
}
