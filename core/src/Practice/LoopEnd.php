<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Quantity\LengthWriter;

/** What became of a loop of lengths that are all there: the gap that is left, and the one that was wanted. */
final readonly class LoopEnd implements \JsonSerializable
{
    private function __construct(
        public LoopFacts $loop,
        public float $gapMm,
        public float $leastMm,
        public float $mostMm,
        public bool $made,
    ) {
    }

    /** Null where one of its lengths is none of the parts’, or nothing is asked of it. */
    public static function of(LoopFacts $loop, Workshop $shop): ?self
    {
        if ($loop->plane || ($loop->least === null && $loop->most === null)) {
            return null;
        }
        $gap = 0.0;
        $made = true;
        foreach ($loop->lengths as $length) {
            $true = $shop->surface($length->surface ?? '');
            if ($true === null) {
                return null;
            }
            $gap += $length->direction() * $length->weight() * $true->shape->sizeMm;
            $begun = $shop->truth->surfaces[$true->id]->shape->sizeMm;
            $made = $made && (! $true->cut || abs($true->shape->sizeMm - $begun) > 1e-6);
        }

        return new self(
            loop: $loop,
            gapMm: $gap,
            leastMm: $loop->least->length->mm ?? -INF,
            mostMm: $loop->most->length->mm ?? INF,
            made: $made,
        );
    }

    public function isGood(): bool
    {
        return $this->made && $this->gapMm >= $this->leastMm - 1e-9 && $this->gapMm <= $this->mostMm + 1e-9;
    }

    public function says(): Say
    {
        return match (true) {
            ! $this->made => Say::plain('It was not made.'),
            $this->gapMm < $this->leastMm => Say::with('Too little is left, by {by}.', [
                'by' => LengthWriter::difference($this->leastMm - $this->gapMm),
            ]),
            $this->gapMm > $this->mostMm => Say::with('Too much is left, by {by}.', [
                'by' => LengthWriter::difference($this->gapMm - $this->mostMm),
            ]),
            default => Say::plain('It does its work.'),
        };
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'loop' => $this->loop->id,
            'name' => $this->loop->name,
            'is_mm' => $this->gapMm,
            'least_mm' => is_finite($this->leastMm) ? $this->leastMm : null,
            'most_mm' => is_finite($this->mostMm) ? $this->mostMm : null,
            'good' => $this->isGood(),
            'says' => $this->says(),
        ];
    }
}
