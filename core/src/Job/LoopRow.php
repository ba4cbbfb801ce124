<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\LengthOrigin;
use Oldpart\Core\Facts\LoopLength;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Quantity\LengthWriter;

/** A length of a loop with what is known of it now. */
final readonly class LoopRow
{
    /**
     * @param  string  $from  where its size comes from
     * @param  ?Contributor  $contributor  at 20 °C; null while it is not known
     * @param  ?float  $inUseC  how warm it gets: its own, or as the whole job runs
     * @param  ?float  $growthMm  how much longer it is as warm as in use; null where it stays cold, or its material is not known
     */
    public function __construct(public LoopLength $length, public string $from, public ?Contributor $contributor, public ?float $growthMm = null, public ?float $inUseC = null)
    {
    }

    /** A size that somebody planned, and may plan anew. */
    public function isTyped(): bool
    {
        return $this->from === 'typed' && $this->length->origin === LengthOrigin::Plan && $this->contributor?->spread !== Spread::Measured;
    }

    public function isToMake(): bool
    {
        return $this->from === 'to make';
    }

    /** A length that is there: found, measured, or made. */
    public function isThere(): bool
    {
        return $this->contributor !== null && ($this->from === 'typed' ? $this->length->origin === LengthOrigin::There : $this->contributor->spread === Spread::Measured || str_starts_with($this->from, 'found'));
    }

    /** @return array{name: string, from: string, size: ?Say, plus_minus: ?Say, share: ?float} as it is shown; a size to make is not, while a gate withholds it */
    public function shown(?float $share, bool $withheld): array
    {
        $known = $withheld && $this->isToMake() ? null : $this->contributor;

        return [
            'name' => $this->length->name, 'from' => $this->from, 'size' => $known === null ? null : LengthWriter::size($known->sizeMm),
            'plus_minus' => $known === null ? null : LengthWriter::difference($known->ownHalfMm()), 'share' => $share,
        ];
    }

    /** The length as it is at its own temperature in use. */
    public function inUse(): ?Contributor
    {
        return $this->contributor === null ? null : $this->contributor->resized($this->contributor->sizeMm + ($this->growthMm ?? 0.0), $this->contributor->plusMm, $this->contributor->minusMm);
    }
}
