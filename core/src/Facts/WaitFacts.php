<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** What the job waits for, and until when if that is known (UTC, ISO 8601). */
final readonly class WaitFacts implements \JsonSerializable
{
    public function __construct(public WaitFor $for, public ?string $until, public string $note)
    {
    }

    public static function read(Fields $f): self
    {
        return new self($f->choice('for', WaitFor::class), $f->textOrNull('until'), $f->textOrNull('note') ?? '');
    }

    /** @return array{for: string, until: ?string, note: string} */
    public function jsonSerialize(): array
    {
        return ['for' => $this->for->value, 'until' => $this->until, 'note' => $this->note];
    }
}
