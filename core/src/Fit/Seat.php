<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

/** Which seat of a rolling bearing a joint is. */
enum Seat: string
{
    case Shaft = 'shaft';
    case Housing = 'housing';
}
