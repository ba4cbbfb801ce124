<?php

declare(strict_types=1);

namespace App\Models;

final class Trial extends FactModel
{
    protected $table = 'trials';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['amount' => 'array', 'pitch' => 'array', 'turn' => 'float'];
    }
}
