<?php

declare(strict_types=1);

namespace App\Models;

use App\People\Role;
use Illuminate\Foundation\Auth\User;

/**
 * Somebody who signs in. Nobody is ever deleted: the record names them.
 *
 * @property string $id
 * @property string $name
 * @property Role $role
 * @property ?string $secret  of the PIN or password, slowly hashed
 * @property ?string $code  of the code a secret is chosen with, once
 * @property ?string $code_until
 * @property int $misses  in a row
 * @property ?string $locked_until
 * @property int $sits_from  Unix seconds; whoever signed in before has to again
 * @property ?string $left_at
 */
final class Person extends User
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $table = 'people';

    protected $guarded = [];

    protected $hidden = ['secret', 'code'];

    protected $authPasswordName = 'secret';

    protected $rememberTokenName = '';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['role' => Role::class, 'misses' => 'integer', 'sits_from' => 'integer'];
    }
}
