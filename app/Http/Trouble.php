<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Foundation\Configuration\Exceptions;

final class Trouble
{
    public static function register(Exceptions $exceptions): void {}
}
