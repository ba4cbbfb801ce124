<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture\Shop;

use Oldpart\Core\Advice\Say;

/** A diameter or a length of a shop drawing: between which places along the axis it lies, and what is written at it. */
final readonly class ShopSize
{
    /**
     * @param  float  $radiusMm  of a diameter; 0 for a length
     * @param  non-empty-list<Say>  $lines  limits, the upper above; or one size
     */
    public function __construct(
        public float $fromMm,
        public float $toMm,
        public float $radiusMm,
        public array $lines,
        /** Nobody has to measure it: lighter type. */
        public bool $free = false,
        /** The roughness it wants. */
        public ?Say $finish = null,
        /** How true it has to run, and to which datum. */
        public ?Say $runOut = null,
        public string $datum = '',
    ) {
    }

    /** The same with what else is asked of it. */
    public function asked(?Say $finish, ?Say $runOut, string $datum): self
    {
        return new self(
            fromMm: $this->fromMm,
            toMm: $this->toMm,
            radiusMm: $this->radiusMm,
            lines: $this->lines,
            free: $this->free,
            finish: $finish,
            runOut: $runOut,
            datum: $datum,
        );
    }
}
