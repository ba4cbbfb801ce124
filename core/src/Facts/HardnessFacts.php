<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Catalogue\HardnessScale;
use Oldpart\Core\Quantity\Fields;

/** A hardness as it was taken: scale, value, where. */
final readonly class HardnessFacts implements \JsonSerializable
{
    public function __construct(public HardnessScale $scale, public float $value, public string $where)
    {
    }

    public static function read(Fields $f): self
    {
        return new self($f->choice('scale', HardnessScale::class), $f->number('value'), $f->textOrNull('where') ?? '');
    }

    /** @return array{scale: string, value: float, where: string} */
    public function jsonSerialize(): array
    {
        return ['scale' => $this->scale->value, 'value' => $this->value, 'where' => $this->where];
    }
}
