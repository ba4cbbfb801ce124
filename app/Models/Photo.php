<?php

declare(strict_types=1);

namespace App\Models;

final class Photo extends FactModel
{
    protected $table = 'photos';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['x' => 'float', 'y' => 'float', 'width' => 'integer', 'height' => 'integer'];
    }
}
