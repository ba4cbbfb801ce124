<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\Say;

/** What a shape may be. */
final readonly class ShapeCandidate implements \JsonSerializable
{
    public function __construct(
        public string $label,
        /** What kind it is of. */
        public string $family,
        /** 0 to 1; null where it is not a matter of chance. */
        public ?float $chance,
        /** How far off it is, where that is said. */
        public ?Say $off = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'label' => $this->label,
            'family' => $this->family,
            'of' => $this->chance === null ? null : Likely::ofHundred($this->chance),
            'off' => $this->off,
        ];
    }
}
