<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** How the job ended, and what to do differently next time. */
final readonly class HandOverFacts implements \JsonSerializable
{
    public function __construct(public ?string $finishedAt, public string $nextTime)
    {
    }

    public static function read(Fields $f): self
    {
        return new self($f->textOrNull('finished_at'), $f->textOrNull('next_time') ?? '');
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'finished_at' => $this->finishedAt,
            'next_time' => $this->nextTime,
        ];
    }
}
