<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Fit\Limits;

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

    /** As the old one was, by what was read of it where it is not worn. */
    case AsTheOld = 'as-the-old';

    /** Its final size with stock left on it, for whoever finishes it. */
    case Stock = 'stock';

    /** It changes what others ask for, rather than asking for a size of its own. */
    public function leaves(): bool
    {
        return $this === self::Stock;
    }

    /** It asks for a size of its own. */
    public function isLimit(): bool
    {
        return in_array($this, [self::Limits, self::NotOver, self::NotUnder, self::AsTheOld], true);
    }
}
