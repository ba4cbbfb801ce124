<?php

declare(strict_types=1);

namespace App\Models;

final class Part extends FactModel
{
    protected $table = 'parts';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['hardness' => 'array', 'tests' => 'array', 'both_hands' => 'boolean'];
    }
}
