<?php

declare(strict_types=1);

namespace App\Models;

final class Cut extends FactModel
{
    protected $casts = ['dialled' => 'array', 'after' => 'array', 'part_c' => 'float'];
}
