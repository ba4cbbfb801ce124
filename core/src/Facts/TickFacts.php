<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** A caution, a step or a check that was ticked; or one that failed, with the reason. */
final readonly class TickFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $code,
        public ?string $at,
        public ?string $remark,
        public bool $failed = false,
        /** Who did it, by the name they signed in with; null where nobody does. */
        public ?string $by = null,
    ) {
    }

    public static function read(Fields $f): self
    {
        $tick = new self(
            id: $f->text('id'),
            code: $f->text('code'),
            at: $f->textOrNull('at'),
            remark: $f->textOrNull('remark'),
            failed: $f->flag('failed'),
            by: $f->textOrNull('by'),
        );
        if ($tick->failed && trim($tick->remark ?? '') === '') {
            throw $f->bad('remark', 'is empty: say what was wrong.');
        }

        return $tick;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'code' => $this->code,
            'at' => $this->at,
            'remark' => $this->remark,
            'failed' => $this->failed,
            'by' => $this->by,
        ];
    }
}
