<?php

declare(strict_types=1);

namespace App\Models;

final class Push extends FactModel
{
    protected $table = 'pushes';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['depth' => 'array', 'force_n' => 'float'];
    }
}
