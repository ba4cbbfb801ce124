<?php

declare(strict_types=1);

namespace App\Models;

final class Surface extends FactModel
{
    protected $casts = ['stations' => 'array', 'angles' => 'array'];
}
