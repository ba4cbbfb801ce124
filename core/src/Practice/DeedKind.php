<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

enum DeedKind: string
{
    /** A gauge set on a surface. */
    case Read = 'read';
    /** A gauge held against its master. */
    case Check = 'check';
    /** Burrs and dirt taken off a surface. */
    case Clean = 'clean';
    /** The parts lie and take the room's temperature. */
    case Wait = 'wait';
    /** A thermometer held to a part. */
    case Warmth = 'warmth';
    /** An unknown metal is tried. */
    case Test = 'test';
    /** A bar through two bores: are they in line? */
    case Line = 'line';
    /** A bar is chosen from the rack. */
    case Stock = 'stock';
    case Cut = 'cut';
    /** Two parts put together, in some way. */
    case Together = 'together';
    /** The job is not done, and the customer is told so. */
    case Decline = 'decline';
    /** It is handed over, and one sees what is true. */
    case End = 'end';

    /** How long it takes, min; of waiting it is said. */
    public function minutes(): float
    {
        return match ($this) {
            self::Read, self::Warmth => 0.5,
            self::Check, self::Clean, self::Line => 2.0,
            self::Test, self::Stock => 3.0,
            self::Cut => 3.0,
            self::Together => 10.0,
            self::Wait, self::Decline, self::End => 0.0,
        };
    }
}
