<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** A condition on the order of two parts. */
final readonly class PartCondition implements \JsonSerializable
{
    private function __construct(
        public string $id,
        public ConditionKind $kind,
        public string $part,
        public string $other,
        public string $note,
    ) {
    }

    public static function read(Fields $f): self
    {
        $one = new self(
            $f->text('id'),
            $f->choice('kind', ConditionKind::class),
            $f->text('part'),
            $f->text('other'),
            $f->label('note'),
        );
        if ($one->part === $one->other) {
            throw $f->bad('other', 'is the same part. Choose another.');
        }

        return $one;
    }

    /** @return array{id: string, kind: string, part: string, other: string, note: string} */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind->value,
            'part' => $this->part,
            'other' => $this->other,
            'note' => $this->note,
        ];
    }
}
