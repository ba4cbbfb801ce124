<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** What one part asks of another in the order of assembly. */
enum ConditionKind: string
{
    /** It goes in before the other. */
    case Before = 'before';

    /** Once it is in, the other does not pass any more. */
    case Blocks = 'blocks';

    /** Its screws stay loose until the other is in: the other aligns it. */
    case Loose = 'loose until';

    /** A hand, a spanner or a crane has to get at it: before the other is in its way. */
    case Reached = 'reached before';

    /** It covers the screws of the other: those are tightened first. */
    case Covers = 'covers';
}
