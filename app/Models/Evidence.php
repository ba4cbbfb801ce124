<?php

declare(strict_types=1);

namespace App\Models;

final class Evidence extends FactModel
{
    protected $table = 'evidence';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [];
    }
}
