<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Length;
use Oldpart\Core\Quantity\TypedLength;

/** A line of the cut log: what was dialled (null: only measured) and the size after it; of a batch, of which piece. */
final readonly class CutFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $surface,
        public Phase $phase,
        public ?TypedLength $dialled,
        public TypedLength $after,
        public string $instrument,
        public ?float $partC,
        public ?string $setAside,
        public ?string $at,
        public int $piece = 1,
        /** It is clean all round: until then no size counts. */
        public bool $clean = true,
        /** Who did it, by the name they signed in with; null where nobody does. */
        public ?string $by = null,
    ) {
    }

    /** The same cut come out at another size, mm. */
    public function cameOut(float $mm): self
    {
        return new self(
            id: $this->id,
            surface: $this->surface,
            phase: $this->phase,
            dialled: $this->dialled,
            after: new TypedLength(Length::mm($mm), $this->after->typed, $this->after->unit),
            instrument: $this->instrument,
            partC: null,
            setAside: $this->setAside,
            at: $this->at,
            piece: $this->piece,
            clean: $this->clean,
            by: $this->by,
        );
    }

    public static function read(Fields $f): self
    {
        $piece = $f->has('piece') ? $f->whole('piece') : 1;
        if ($piece < 1 || $piece > BatchFacts::MOST_PIECES) {
            throw $f->bad('piece', 'must be a whole number from 1 to '.BatchFacts::MOST_PIECES.'.');
        }

        return new self(
            id: $f->text('id'),
            surface: $f->text('surface'),
            phase: $f->choice('phase', Phase::class),
            dialled: $f->lengthOrNull('dialled'),
            after: $f->length('after'),
            instrument: $f->text('instrument'),
            partC: $f->numberOrNull('part_c'),
            setAside: $f->textOrNull('set_aside'),
            at: $f->textOrNull('at'),
            piece: $piece,
            clean: $f->flagOrNull('clean') ?? true,
            by: $f->textOrNull('by'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'surface' => $this->surface,
            'phase' => $this->phase->value,
            'dialled' => $this->dialled,
            'after' => $this->after,
            'instrument' => $this->instrument,
            'part_c' => $this->partC,
            'set_aside' => $this->setAside,
            'at' => $this->at,
            'piece' => $this->piece,
            'clean' => $this->clean,
            'by' => $this->by,
        ];
    }
}
