<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** What earlier cuts took off for what was dialled: in which metal, inside or outside, long and thin or not. */
final readonly class TakeOffFacts implements \JsonSerializable
{
    /** @param  list<float>  $ratios  removed ÷ dialled, oldest first */
    public function __construct(
        public string $metal,
        public bool $inside,
        public bool $slender,
        public array $ratios,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self($f->text('metal'), $f->flag('inside'), $f->flag('slender'), $f->numbers('ratios'));
    }

    public function isLike(self $other): bool
    {
        return $this->metal === $other->metal
            && $this->inside === $other->inside
            && $this->slender === $other->slender;
    }

    /** @return array{metal: string, inside: bool, slender: bool, ratios: list<float>} */
    public function jsonSerialize(): array
    {
        return [
            'metal' => $this->metal,
            'inside' => $this->inside,
            'slender' => $this->slender,
            'ratios' => $this->ratios,
        ];
    }
}
