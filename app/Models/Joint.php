<?php

declare(strict_types=1);

namespace App\Models;

final class Joint extends FactModel
{
    protected $casts = ['least' => 'array', 'most' => 'array', 'needs_torque_nm' => 'float', 'finish_in_place' => 'boolean'];
}
