<?php

declare(strict_types=1);

namespace App\Bench;

/** Somebody else changed the job since the sender read it. */
final class Conflict extends \RuntimeException
{
    public function __construct(public readonly JobState $current)
    {
        parent::__construct('This job was changed elsewhere in the meantime. Look at both, then keep one.');
    }
}
