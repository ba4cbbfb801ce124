<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

/** One line of an uncertainty budget: a standard uncertainty in mm, and its share of the variance (0 to 1). */
final readonly class Share implements \JsonSerializable
{
    public function __construct(
        public string $source,
        public float $uMm,
        public float $share,
        public string $improve,
    ) {
    }

    /** @return array{source: string, u_mm: float, share: float, improve: string} */
    public function jsonSerialize(): array
    {
        return ['source' => $this->source, 'u_mm' => $this->uMm, 'share' => $this->share, 'improve' => $this->improve];
    }
}
