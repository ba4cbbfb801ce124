<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** What a surface that is cut is asked to be, where that is said of it alone. */
enum DemandKind: string
{
    /** Its nominal size with limits of its own. */
    case Limits = 'limits';
    /** Not over its nominal size. */
    case NotOver = 'not-over';
    /** Not under its nominal size. */
    case NotUnder = 'not-under';
    /** Its nominal size, to the general tolerances of a class. */
    case Free = 'free';
    /** As it comes: nothing is asked of it. */
    case AsItComes = 'as-it-comes';
}
