<?php

declare(strict_types=1);

namespace App\Models;

final class Clearance extends FactModel
{
    protected $table = 'clearances';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'arm' => 'array',
            'mover' => 'array',
            'from_deg' => 'float',
            'to_deg' => 'float',
            'from' => 'array',
            'to' => 'array',
            'x' => 'array',
            'y' => 'array',
            'other_size' => 'array',
            'doubt' => 'array',
            'least' => 'array',
        ];
    }
}
