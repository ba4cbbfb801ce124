<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Length;
use Oldpart\Core\Quantity\TypedLength;

/** A line of the cut log: what was dialled (null: only measured) and the size after it. */
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
    ) {
    }

    /** The same cut come out at another size, mm. */
    public function cameOut(float $mm): self
    {
        return new self(
            $this->id,
            $this->surface,
            $this->phase,
            $this->dialled,
            new TypedLength(Length::mm($mm), $this->after->typed, $this->after->unit),
            $this->instrument,
            null,
            $this->setAside,
            $this->at,
        );
    }

    public static function read(Fields $f): self
    {
        return new self(
            $f->text('id'),
            $f->text('surface'),
            $f->choice('phase', Phase::class),
            $f->lengthOrNull('dialled'),
            $f->length('after'),
            $f->text('instrument'),
            $f->numberOrNull('part_c'),
            $f->textOrNull('set_aside'),
            $f->textOrNull('at'),
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
        ];
    }
}
