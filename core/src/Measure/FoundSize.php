<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Working;

/**
 * What a set of readings says of a surface, at 20 °C, in mm. Form is null where the readings cannot show it.
 */
final readonly class FoundSize implements \JsonSerializable
{
    /**
     * @param  array<string, float>  $stations  mean by station, in order
     * @param  list<array{station: string, angle: string, mm: float, n: int}>  $spots
     * @param  list<Share>  $budget  largest first
     * @param  list<Note>  $notes
     */
    public function __construct(
        public SurfaceKind $kind,
        public float $meanMm,
        public float $matingMm,
        public float $looseMm,
        public ?float $ovalityMm,
        public ?float $taperMm,
        public ?float $bellMm,
        public ?float $repeatabilityMm,
        public float $u95Mm,
        public float $u95MeanMm,
        public float $k,
        public ?float $dof,
        public int $count,
        public array $stations,
        public array $spots,
        public array $budget,
        public ?float $wornMeanMm,
        public ?float $unwornMeanMm,
        public array $notes,
        /** @var \Closure(): Working worked out when it is asked for */
        private \Closure $workingLater,
        /** @var list<Slip> */
        public array $slips = [],
    ) {
    }

    /** How it was found, step by step. */
    public function working(): Working
    {
        return ($this->workingLater)();
    }

    public function smallestMm(): float
    {
        return min($this->matingMm, $this->looseMm);
    }

    public function largestMm(): float
    {
        return max($this->matingMm, $this->looseMm);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'mean_mm' => $this->meanMm,
            'mating_mm' => $this->matingMm,
            'loose_mm' => $this->looseMm,
            'ovality_mm' => $this->ovalityMm,
            'taper_mm' => $this->taperMm,
            'bell_mm' => $this->bellMm,
            'repeatability_mm' => $this->repeatabilityMm,
            'u95_mm' => $this->u95Mm,
            'u95_mean_mm' => $this->u95MeanMm,
            'k' => $this->k,
            'dof' => $this->dof,
            'count' => $this->count,
            'worn_mean_mm' => $this->wornMeanMm,
            'unworn_mean_mm' => $this->unwornMeanMm,
            'budget' => $this->budget,
            'notes' => $this->notes,
            'working' => $this->working(),
        ];
    }
}
