<?php

declare(strict_types=1);

namespace App\Models;

final class Mistake extends FactModel
{
    protected $table = 'mistakes';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['old' => 'array', 'new' => 'array', 'readings' => 'array'];
    }
}
