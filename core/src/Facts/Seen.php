<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** What was seen when parts were tried together. */
enum Seen: string
{
    case WontEnter = "won't enter";
    case Starts = 'starts';
    case HalfWay = 'half way by hand';
    case Slides = 'slides';
    case Drops = 'drops in';

    /** Along an axis: it comes up against something before it is home. */
    case Binds = 'binds';

    /** Along an axis: there is a gap when it is home. */
    case Gap = 'gap';

    /** It says how two round parts go together; else how a stack of lengths closes. */
    public function isRound(): bool
    {
        return ! in_array($this, [self::Binds, self::Gap], true);
    }
}
