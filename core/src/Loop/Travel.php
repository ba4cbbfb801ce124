<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

/** How a thing moves past another. */
enum Travel: string
{
    /** Round a pivot on an arm; its place is an angle, degrees. */
    case Swing = 'swing';

    /** Along the first direction, at a height; its place is a distance, mm. */
    case Slide = 'slide';

    /** Not at all: it turns on the spot, or lies there. */
    case Still = 'still';
}
