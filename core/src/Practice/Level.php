<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

/** How hard practice is: how worn the parts are, and how much else is not as it seems. */
enum Level: string
{
    case Easy = 'easy';
    case Fair = 'fair';
    case Hard = 'hard';

    public function label(): string
    {
        return match ($this) {
            self::Easy => 'Easy',
            self::Fair => 'Fair',
            self::Hard => 'Hard',
        };
    }
}
