<?php

declare(strict_types=1);

namespace App\Models;

final class Tick extends FactModel
{
    protected $table = 'ticks';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['failed' => 'boolean'];
    }
}
