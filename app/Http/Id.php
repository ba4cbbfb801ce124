<?php

declare(strict_types=1);

namespace App\Http;

use Oldpart\Core\Advice\BadInput;

/** The one rule for ids, wherever one comes in. */
final class Id
{
    /** @throws BadInput */
    public static function of(string $id, string $field = 'id'): string
    {
        return preg_match('/^[A-Za-z0-9_-]{1,40}$/', $id) === 1
            ? $id
            : throw new BadInput('bad-id', $field, 'An id is 1 to 40 letters, digits, - or _.');
    }
}
