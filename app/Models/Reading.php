<?php

declare(strict_types=1);

namespace App\Models;

final class Reading extends FactModel
{
    protected $table = 'readings';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'value' => 'array',
            'was' => 'array',
            'history' => 'array',
            'part_c' => 'float',
            'gauge_c' => 'float',
            'worn' => 'boolean',
            'correction_mm' => 'float',
        ];
    }
}
