<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** Something the part can be known by. */
final readonly class EvidenceFacts implements \JsonSerializable
{
    public function __construct(public string $id, public EvidenceKind $kind, public string $note)
    {
    }

    public static function read(Fields $f): self
    {
        return new self($f->text('id'), $f->choice('kind', EvidenceKind::class), $f->textOrNull('note') ?? '');
    }

    /** @return array{id: string, kind: string, note: string} */
    public function jsonSerialize(): array
    {
        return ['id' => $this->id, 'kind' => $this->kind->value, 'note' => $this->note];
    }
}
