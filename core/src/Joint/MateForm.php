<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;

/**
 * How the interference differs along and round a joint because the measured mate is not a true cylinder, mm on
 * diameter.
 */
final readonly class MateForm
{
    /**
     * @param  float  $tighterMm  the tightest spot against the mean, 0 or more
     * @param  float  $looserMm  the loosest spot against the mean, 0 or more
     * @param  non-empty-array<string, float>  $alongMm  each station's mean against the mean of all, positive where it is tighter
     */
    public function __construct(
        public float $tighterMm = 0.0,
        public float $looserMm = 0.0,
        public array $alongMm = ['' => 0.0],
    ) {
    }

    public static function of(FoundSize $mate): self
    {
        $tighter = $mate->kind === SurfaceKind::Bore ? -1.0 : 1.0;
        $along = array_map(static fn (float $mm): float => $tighter * ($mm - $mate->meanMm), $mate->stations);

        return new self(
            max(0.0, $tighter * ($mate->matingMm - $mate->meanMm)),
            max(0.0, $tighter * ($mate->meanMm - $mate->looseMm)),
            $along === [] ? ['' => 0.0] : $along,
        );
    }

    /** From the tightest spot to the loosest. */
    public function wholeMm(): float
    {
        return $this->tighterMm + $this->looserMm;
    }

    /**
     * The mean over the stations of what is left of an interference on the mean, nothing counting as less than none.
     */
    public function meanOf(float $interferenceMm): float
    {
        return array_sum(array_map(static fn (float $mm): float => max(0.0, $interferenceMm + $mm), $this->alongMm)) /
            count($this->alongMm);
    }
}
