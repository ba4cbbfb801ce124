<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\TypedLength;

/** Lengths that add up to a gap, with the limits wanted of it; one limit alone is a wish for at least, or at most. */
final readonly class LoopFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $name,
        public ?TypedLength $least,
        public ?TypedLength $most,
        /** @var list<LoopLength> */
        public array $lengths,
        /** Two directions at once: each length points its own way, the gap is how far the end lies from the start. */
        public bool $plane = false,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->text('id'),
            name: $f->text('name'),
            least: $f->lengthOrNull('least', true),
            most: $f->lengthOrNull('most', true),
            lengths: array_map(LoopLength::read(...), $f->objects('lengths')),
            plane: $f->flagOrNull('plane') ?? false,
        );
    }

    /**
     * What is wanted of the gap, mm; far beyond Loop::FAR to a side where nothing is. Null where nothing is wanted at
     * all.
     */
    public function wanted(): ?Range
    {
        if ($this->least === null && $this->most === null) {
            return null;
        }
        $least = $this->least->length->mm ?? -2 * Loop::FAR;
        $most = $this->most->length->mm ?? 2 * Loop::FAR;

        return new Range(min($least, $most), max($least, $most));
    }

    /** @param  list<LoopLength>  $lengths */
    public function withLengths(array $lengths): self
    {
        return new self(
            id: $this->id,
            name: $this->name,
            least: $this->least,
            most: $this->most,
            lengths: $lengths,
            plane: $this->plane,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'least' => $this->least,
            'most' => $this->most,
            'lengths' => $this->lengths,
            'plane' => $this->plane,
        ];
    }
}
