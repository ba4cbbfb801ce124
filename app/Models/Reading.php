<?php

declare(strict_types=1);

namespace App\Models;

final class Reading extends FactModel
{
    protected $casts = ['value' => 'array', 'was' => 'array', 'part_c' => 'float', 'gauge_c' => 'float', 'worn' => 'boolean'];
}
