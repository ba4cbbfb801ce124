<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** What a surface does. */
enum Role: string
{
    case Locates = 'locates';
    case Carries = 'carries';
    case Seals = 'seals';
    case Turns = 'turns';
    case OnlyClears = 'only clears';
}
