<?php

declare(strict_types=1);

namespace App\Models;

final class Cut extends FactModel
{
    protected $table = 'cuts';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['dialled' => 'array', 'after' => 'array', 'part_c' => 'float', 'piece' => 'integer', 'clean' => 'boolean'];
    }
}
