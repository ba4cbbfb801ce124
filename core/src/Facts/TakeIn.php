<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** What came in and why it failed, how it is used, and what happens if the part fails. */
final readonly class TakeIn implements \JsonSerializable
{
    public function __construct(
        public string $failed,
        public ?Cause $cause,
        public string $does,
        public ?float $speedRpm,
        public string $loads,
        public ?float $runsAtC,
        public string $surroundings,
        public int $quantity,
        public ?string $wantedBy,
        public string $reference,
        public string $ifItFails,
        public bool $gatesAnswered,
        /** @var list<string> */
        public array $gates,
        /** @var list<AcceptanceFacts> every one that was given, oldest first */
        public array $acceptances,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            failed: $f->textOrNull('failed') ?? '',
            cause: $f->choiceOrNull('cause', Cause::class),
            does: $f->textOrNull('does') ?? '',
            speedRpm: $f->numberOrNull('speed_rpm'),
            loads: $f->textOrNull('loads') ?? '',
            runsAtC: $f->numberOrNull('runs_at_c'),
            surroundings: $f->textOrNull('surroundings') ?? '',
            quantity: (int) ($f->numberOrNull('quantity') ?? 1),
            wantedBy: $f->textOrNull('wanted_by'),
            reference: $f->textOrNull('reference') ?? '',
            ifItFails: $f->textOrNull('if_it_fails') ?? '',
            gatesAnswered: $f->flag('gates_answered'),
            gates: $f->texts('gates'),
            acceptances: array_map(AcceptanceFacts::read(...), $f->objects('acceptances')),
        );
    }

    /** The acceptance that covers every gate this job is behind, if there is one. */
    public function acceptance(): ?AcceptanceFacts
    {
        foreach (array_reverse($this->acceptances) as $acceptance) {
            if (trim($acceptance->by) !== '' && array_diff($this->gates, $acceptance->gates) === []) {
                return $acceptance;
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'failed' => $this->failed,
            'cause' => $this->cause?->value,
            'does' => $this->does,
            'speed_rpm' => $this->speedRpm,
            'loads' => $this->loads,
            'runs_at_c' => $this->runsAtC,
            'surroundings' => $this->surroundings,
            'quantity' => $this->quantity,
            'wanted_by' => $this->wantedBy,
            'reference' => $this->reference,
            'if_it_fails' => $this->ifItFails,
            'gates_answered' => $this->gatesAnswered,
            'gates' => $this->gates,
            'acceptances' => $this->acceptances,
        ];
    }
}
