<?php

declare(strict_types=1);

namespace App\Models;

final class Operation extends FactModel
{
    protected $table = 'operations';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['setup_min' => 'float', 'run_min' => 'float', 'spent_min' => 'float'];
    }
}
