<?php

declare(strict_types=1);

namespace App\Models;

final class Surface extends FactModel
{
    protected $table = 'surfaces';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'stations' => 'array',
            'angles' => 'array',
            'datum' => 'boolean',
            'count' => 'integer',
            'angle_deg' => 'float',
            'rz_um' => 'float',
            ...array_fill_keys(['size', 'size2', 'at', 'long', 'x', 'y', 'pitch', 'sketch', 'demand', 'sure', 'hardness'], 'array'),
        ];
    }
}
