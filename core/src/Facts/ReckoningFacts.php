<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;

/** A sum of a job: what was typed for it, what it takes from the job and gives it, how it was before. */
final readonly class ReckoningFacts implements \JsonSerializable
{
    /** What it gives by this name is the outline of a part, not the size of a surface. */
    public const OUTLINE = 'outline';

    /** After a surface's id: where its centre lies, not its size. */
    public const ACROSS = '/x';

    public const UP = '/y';

    private function __construct(
        public string $id,
        /** By its name in the book of sums. */
        public string $sum,
        public string $name,
        /** @var array<string, string> by field, as typed */
        public array $given,
        /** What lengths typed without a unit are in. */
        public Unit $unit,
        /** @var array<string, string> a surface by field: its size, or its place, stands in for what would be typed */
        public array $from,
        /** @var array<string, string> a surface by result: what comes out is the size it is to have */
        public array $gives,
        /** @var list<RoundFacts> oldest first */
        public array $rounds,
        public string $note,
    ) {
    }

    /** The surface meant by one of `from`, whether by its size or by its place. */
    public static function surfaceOf(string $from): string
    {
        return (string) preg_replace('~/[xy]$~', '', $from);
    }

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->text('id'),
            sum: $f->text('sum'),
            name: $f->text('name'),
            given: $f->textMap('given'),
            unit: $f->choice('unit', Unit::class),
            from: $f->textMap('from'),
            gives: $f->textMap('gives'),
            rounds: array_map(RoundFacts::read(...), $f->objects('rounds')),
            note: $f->textOrNull('note') ?? '',
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'sum' => $this->sum,
            'name' => $this->name,
            'given' => (object) $this->given,
            'unit' => $this->unit->value,
            'from' => (object) $this->from,
            'gives' => (object) $this->gives,
            'rounds' => $this->rounds,
            'note' => $this->note,
        ];
    }
}
