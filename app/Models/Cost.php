<?php

declare(strict_types=1);

namespace App\Models;

final class Cost extends FactModel
{
    protected $table = 'costs';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['amount' => 'float', 'each_piece' => 'boolean', 'price_per_kg' => 'float', 'mass_kg' => 'float'];
    }
}
