<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Loops;

/** Where the size of a loop's length comes from, in the words it is shown with. */
enum SizeFrom: string
{
    case Typed = 'typed';
    case Found = 'found';
    case Noted = 'typed, not measured';
    case NotedGeneral = 'typed, limits of ISO 2768-1 m taken';
    case OutOfParallel = 'found, out of parallel';
    case Made = 'made';
    case ToMake = 'to make';
    case NotMeasured = 'not measured yet';
    case Open = 'open';
}
