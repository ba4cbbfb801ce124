<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Exchange\Fields;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Quantity\TypedLength;

/** One length of a loop: a surface of the job, whose own size and doubt count, or a size typed with its limits. */
final readonly class LoopLength implements \JsonSerializable
{
    public function __construct(
        public string $name,
        public ?string $surface,
        public ?TypedLength $size,
        public ?TypedLength $plus,
        public ?TypedLength $minus,
        public bool $opens,
        public Spread $spread,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self($f->text('name'), $f->textOrNull('surface'), $f->lengthOrNull('size'), $f->lengthOrNull('plus'), $f->lengthOrNull('minus'), $f->flag('opens'), $f->choice('spread', Spread::class));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['name' => $this->name, 'surface' => $this->surface, 'size' => $this->size, 'plus' => $this->plus, 'minus' => $this->minus, 'opens' => $this->opens, 'spread' => $this->spread->value];
    }
}
