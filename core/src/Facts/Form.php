<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** How a part is drawn: turned about one axis, or seen from its face. */
enum Form: string
{
    case Turned = 'turned';
    case Plate = 'plate';
}
