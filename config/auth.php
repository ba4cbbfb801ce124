<?php

declare(strict_types=1);

use App\Models\Person;

return [
    'defaults' => ['guard' => 'shop', 'passwords' => null],
    'guards' => ['shop' => ['driver' => 'session', 'provider' => 'people']],
    'providers' => ['people' => ['driver' => 'eloquent', 'model' => Person::class]],
];
