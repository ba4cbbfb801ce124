<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

/** What must not be touched. */
enum Neighbour: string
{
    /** A rod, a bolt head, a boss: round, with its middle at x and y. */
    case Round = 'round';

    /** A flat wall: across the first direction at x, or along it at y. */
    case Wall = 'wall';
}
