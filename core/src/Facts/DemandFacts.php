<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Fit\GeneralClass;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\TypedLength;

/** What is asked of a surface that is cut, beside what a joint or a loop asks of it. */
final readonly class DemandFacts implements \JsonSerializable
{
    private function __construct(
        public DemandKind $kind,
        /** What may be added to the size, and taken off it: magnitudes. */
        public ?TypedLength $plus,
        public ?TypedLength $minus,
        public ?GeneralClass $class,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            kind: $f->choice('kind', DemandKind::class),
            plus: $f->lengthOrNull('plus'),
            minus: $f->lengthOrNull('minus'),
            class: $f->choiceOrNull('class', GeneralClass::class),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'kind' => $this->kind->value,
            'plus' => $this->plus,
            'minus' => $this->minus,
            'class' => $this->class?->value,
        ];
    }
}
