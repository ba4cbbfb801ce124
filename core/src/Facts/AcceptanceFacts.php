<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/**
 * Somebody named took responsibility for work that is for licensed practice: who, in what capacity, when, for which
 * gates.
 */
final readonly class AcceptanceFacts implements \JsonSerializable
{
    public function __construct(
        public string $by,
        public string $capacity,
        public ?string $at,
        /** @var list<string> */
        public array $gates,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self($f->text('by'), $f->textOrNull('capacity') ?? '', $f->textOrNull('at'), $f->texts('gates'));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['by' => $this->by, 'capacity' => $this->capacity, 'at' => $this->at, 'gates' => $this->gates];
    }
}
