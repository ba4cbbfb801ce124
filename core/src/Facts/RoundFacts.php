<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** What was typed of a reckoning at an earlier time: before it was straightened, tapped true, or tried. */
final readonly class RoundFacts implements \JsonSerializable
{
    /** @param  array<string, string>  $given  by field, as typed */
    private function __construct(public array $given, public string $at, public string $note)
    {
    }

    public static function read(Fields $f): self
    {
        return new self($f->textMap('given'), $f->textOrNull('at') ?? '', $f->textOrNull('note') ?? '');
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['given' => (object) $this->given, 'at' => $this->at, 'note' => $this->note];
    }
}
