<?php

declare(strict_types=1);

namespace App\Models;

final class Loop extends FactModel
{
    protected $table = 'loops';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['least' => 'array', 'most' => 'array', 'lengths' => 'array', 'plane' => 'boolean'];
    }
}
