<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Exchange\Fields;

/** What came in, and what happens if the part fails. `gates` is null until the safety question is answered. */
final readonly class TakeIn implements \JsonSerializable
{
    public function __construct(
        public string $failed,
        public string $does,
        public int $quantity,
        public ?string $wantedBy,
        public string $ifItFails,
        public bool $gatesAnswered,
        /** @var list<string> */
        public array $gates,
        public ?string $acceptedBy,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            $f->textOrNull('failed') ?? '',
            $f->textOrNull('does') ?? '',
            (int) ($f->numberOrNull('quantity') ?? 1),
            $f->textOrNull('wanted_by'),
            $f->textOrNull('if_it_fails') ?? '',
            $f->flag('gates_answered'),
            $f->texts('gates'),
            $f->textOrNull('accepted_by'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'failed' => $this->failed,
            'does' => $this->does,
            'quantity' => $this->quantity,
            'wanted_by' => $this->wantedBy,
            'if_it_fails' => $this->ifItFails,
            'gates_answered' => $this->gatesAnswered,
            'gates' => $this->gates,
            'accepted_by' => $this->acceptedBy,
        ];
    }
}
