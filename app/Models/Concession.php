<?php

declare(strict_types=1);

namespace App\Models;

final class Concession extends FactModel
{
    protected $table = 'concessions';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [];
    }
}
