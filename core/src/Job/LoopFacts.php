<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Exchange\Fields;
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
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self($f->text('id'), $f->text('name'), $f->lengthOrNull('least', true), $f->lengthOrNull('most', true), array_map(LoopLength::read(...), $f->objects('lengths')));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'least' => $this->least, 'most' => $this->most, 'lengths' => $this->lengths];
    }
}
