<?php

declare(strict_types=1);

namespace App\Models;

final class Joint extends FactModel
{
    protected $table = 'joints';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'least' => 'array',
            'most' => 'array',
            'needs_torque_nm' => 'float',
            'finish_in_place' => 'boolean',
            'asked' => 'array',
            'bearing' => 'array',
            'load_n' => 'float',
            'speed_rpm' => 'float',
            'outer_c' => 'float',
            'inner_c' => 'float',
            'held' => 'array',
        ];
    }
}
