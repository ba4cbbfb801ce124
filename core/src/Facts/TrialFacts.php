<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\TypedLength;

/**
 * Parts tried together, in a joint or a loop, as often as wanted: what was seen, and how much of it.
 *
 * `cut`: the last cut of the made side when it was tried. `amount`: the gap, or how far from home it binds; `turn` and
 * `pitch`: the same by a thread that is so much of a turn from home.
 */
final readonly class TrialFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public ?string $joint,
        public ?string $loop,
        public ?string $cut,
        public Seen $seen,
        public ?TypedLength $amount,
        public ?float $turn,
        public ?TypedLength $pitch,
        public string $note,
        public ?string $at,
        /** Who did it, by the name they signed in with; null where nobody does. */
        public ?string $by = null,
    ) {
    }

    public static function read(Fields $f): self
    {
        $turn = $f->numberOrNull('turn');
        if ($turn !== null && ($turn <= 0 || $turn > 100)) {
            throw $f->bad('turn', 'must be a part of a turn, above 0 and up to 100.');
        }

        return new self(
            id: $f->text('id'),
            joint: $f->textOrNull('joint'),
            loop: $f->textOrNull('loop'),
            cut: $f->textOrNull('cut'),
            seen: $f->choice('seen', Seen::class),
            amount: $f->lengthOrNull('amount'),
            turn: $turn,
            pitch: $f->lengthOrNull('pitch'),
            note: $f->label('note'),
            at: $f->textOrNull('at'),
            by: $f->textOrNull('by'),
        );
    }

    /** How far from home, or how wide, mm; null where nobody said how much. */
    public function amountMm(): ?float
    {
        return $this->turn !== null && $this->pitch !== null
            ? $this->turn * $this->pitch->length->mm
            : $this->amount?->length->mm;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'joint' => $this->joint,
            'loop' => $this->loop,
            'cut' => $this->cut,
            'seen' => $this->seen->value,
            'amount' => $this->amount,
            'turn' => $this->turn,
            'pitch' => $this->pitch,
            'note' => $this->note,
            'at' => $this->at,
            'by' => $this->by,
        ];
    }
}
