<?php

declare(strict_types=1);

namespace App\Bench;

/** Which device a change comes from, by the name its browser made for itself; null where it says none. */
final class Sender
{
    public static function name(): ?string
    {
        $said = request()->headers->get('X-Client');

        return $said !== null && preg_match('/^[A-Za-z0-9_-]{1,40}$/', $said) === 1 ? $said : null;
    }
}
