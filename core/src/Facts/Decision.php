<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** What was decided of a size or a fit that is not what was asked, or not known. */
enum Decision: string
{
    /** Outside its limits, or too near them to tell, and taken as it is. */
    case Accepted = 'accepted';

    /** Handed over unmade: somebody else finishes it. */
    case ByOthers = 'by others';

    /** Handed over without having been measured. */
    case NotMeasured = 'not measured';

    public function says(): string
    {
        return match ($this) {
            self::Accepted => 'accepted as it is',
            self::ByOthers => 'left to others',
            self::NotMeasured => 'handed over unmeasured',
        };
    }
}
