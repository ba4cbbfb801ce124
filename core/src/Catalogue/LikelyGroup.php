<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

/** A group of metals and how likely it is after the tests, 0 to 1; `material` is its row in the material table. */
final readonly class LikelyGroup implements \JsonSerializable
{
    public function __construct(
        public string $code,
        public string $says,
        public string $material,
        public float $share,
    ) {
    }

    public function confidence(): string
    {
        return match (true) {
            $this->share >= 0.8 => 'likely',
            $this->share >= 0.4 => 'perhaps',
            default => 'hardly',
        };
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->code,
            'says' => $this->says,
            'material' => $this->material,
            'share' => $this->share,
            'confidence' => $this->confidence(),
        ];
    }
}
