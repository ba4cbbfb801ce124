<?php

declare(strict_types=1);

namespace App\Models;

final class Reckoning extends FactModel
{
    protected $table = 'reckonings';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['given' => 'array', 'from' => 'array', 'gives' => 'array', 'rounds' => 'array'];
    }
}
