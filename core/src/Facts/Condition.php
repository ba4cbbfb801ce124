<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** The state a surface was found in. */
enum Condition: string
{
    case Unworn = 'unworn';
    case Worn = 'worn';
    case Damaged = 'damaged';
    case Repaired = 'repaired';
    case Missing = 'missing';

    /** Whether something can be measured or held from it. */
    public function isTrue(): bool
    {
        return $this === self::Unworn || $this === self::Repaired;
    }
}
