<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** A caution, a step or a check that was ticked. */
final readonly class TickFacts implements \JsonSerializable
{
    public function __construct(public string $id, public string $code, public ?string $at, public ?string $remark)
    {
    }

    public static function read(Fields $f): self
    {
        return new self($f->text('id'), $f->text('code'), $f->textOrNull('at'), $f->textOrNull('remark'));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'code' => $this->code,
            'at' => $this->at,
            'remark' => $this->remark,
        ];
    }
}
