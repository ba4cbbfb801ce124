<?php

declare(strict_types=1);

namespace App\Change;

use App\Bench\FactList;

/** One change of a job's facts: of its head (no list), or of one thing in a list; no fact takes the thing away. */
final readonly class FactChange
{
    /** @param  array<string, mixed>|null  $fact  the fields that change, or all of a new thing */
    public function __construct(public ?FactList $list, public string $thing, public ?array $fact)
    {
    }

    /** @return array{?string, string, array<string, mixed>|null} what tells it from others */
    public function content(): array
    {
        return [$this->list?->value, $this->thing, $this->fact];
    }
}
