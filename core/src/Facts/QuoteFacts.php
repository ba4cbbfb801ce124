<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Making\QuoteVerdict;
use Oldpart\Core\Quantity\Fields;

/** What the quote needs beside the work: a bought one's price and lead time, the alternative, and what was decided. */
final readonly class QuoteFacts implements \JsonSerializable
{
    public function __construct(
        public ?float $boughtPrice,
        public ?float $boughtLeadDays,
        public string $alternative,
        public ?QuoteVerdict $decided,
        public string $reason,
        public bool $firstOfItsKind,
    ) {
    }

    public static function read(?Fields $f): self
    {
        return $f === null
            ? new self(
                boughtPrice: null,
                boughtLeadDays: null,
                alternative: '',
                decided: null,
                reason: '',
                firstOfItsKind: true,
            )
            : new self(
                boughtPrice: $f->numberOrNull('bought_price'),
                boughtLeadDays: $f->numberOrNull('bought_lead_days'),
                alternative: $f->textOrNull('alternative') ?? '',
                decided: $f->choiceOrNull('decided', QuoteVerdict::class),
                reason: $f->textOrNull('reason') ?? '',
                firstOfItsKind: $f->flagOrNull('first_of_its_kind') ?? true,
            );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'bought_price' => $this->boughtPrice,
            'bought_lead_days' => $this->boughtLeadDays,
            'alternative' => $this->alternative,
            'decided' => $this->decided?->value,
            'reason' => $this->reason,
            'first_of_its_kind' => $this->firstOfItsKind,
        ];
    }
}
