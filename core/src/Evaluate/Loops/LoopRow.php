<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Loops;

use Oldpart\Core\Facts\LengthOrigin;
use Oldpart\Core\Facts\LoopLength;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Spread;

/** A length of a loop with what is known of it now. */
final readonly class LoopRow
{
    /**
     * @param  SizeFrom  $from  where its size comes from
     * @param  ?Contributor  $contributor  at 20 °C; null while it is not known
     * @param  ?float  $inUseC  how warm it gets: its own, or as the whole job runs
     * @param  ?float  $growthMm  how much longer it is as warm as in use; null where it stays cold, or its material is not known
     * @param  bool  $widens  it is a bore or a slot: metal that comes off makes it larger
     */
    public function __construct(
        public LoopLength $length,
        public SizeFrom $from,
        public ?Contributor $contributor,
        public ?float $growthMm = null,
        public ?float $inUseC = null,
        public bool $widens = false,
    ) {
    }

    /** A size that somebody planned, and may plan anew. */
    public function isTyped(): bool
    {
        return $this->from === SizeFrom::Typed
            && $this->length->origin === LengthOrigin::Plan
            && $this->contributor?->spread !== Spread::Measured;
    }

    public function isToMake(): bool
    {
        return $this->from === SizeFrom::ToMake;
    }

    /** A length that is there, found, measured, or made, and gets shorter as metal comes off. */
    public function canBeFaced(): bool
    {
        return $this->contributor !== null
            && ! $this->widens
            && ($this->from === SizeFrom::Typed
                ? $this->length->origin === LengthOrigin::There
                : $this->contributor->spread === Spread::Measured
                    || in_array(
                        $this->from,
                        [SizeFrom::Found, SizeFrom::OutOfParallel, SizeFrom::Noted, SizeFrom::NotedGeneral],
                        true,
                    ));
    }

    /** The length as it is at its own temperature in use. */
    public function inUse(): ?Contributor
    {
        return $this->contributor === null
            ? null
            : $this->contributor->resized(
                $this->contributor->sizeMm + ($this->growthMm ?? 0.0),
                $this->contributor->plusMm,
                $this->contributor->minusMm,
            );
    }
}
