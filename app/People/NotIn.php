<?php

declare(strict_types=1);

namespace App\People;

/** Nobody is signed in, or somebody else than the page believes; or signing in failed. */
final class NotIn extends \RuntimeException
{
    public function __construct(public readonly string $reason, string $message, public readonly int $status = 401)
    {
        parent::__construct($message);
    }
}
