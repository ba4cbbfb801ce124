<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

/** What the lathe really does for what is dialled, on diameter, mm. */
final readonly class TrueLathe
{
    /** Warmer by so much, °C, for each millimetre taken off the diameter, where it is 25 mm across. */
    private const WARMS = 30.0;

    public function __construct(
        /** Of what is dialled and owed, the share that the tool is pushed away by. */
        public float $springs = 0.06,
        /** Lost of the first cut on another surface than the one before. */
        public float $backlashMm = 0.0,
        /** The far end more than the near one, for each 100 mm. */
        public float $taperPer100 = 0.0,
        /** One standard deviation of a cut. */
        public float $scatterMm = 0.002,
        /** The dial reads the radius: it takes twice what it says. */
        public bool $onRadius = false,
    ) {
    }

    /**
     * What comes off: what was dialled and what earlier passes left, less backlash, less what the tool gives way.
     *
     * @param  float  $dialledMm  0: a spring pass
     * @param  float  $owedMm  what earlier passes were pushed away by
     * @param  float  $scatter  drawn, standard normal
     * @return array{takenMm: float, owedMm: float}
     */
    public function cut(float $dialledMm, float $owedMm, bool $fresh, float $scatter): array
    {
        $asked = ($this->onRadius ? 2 : 1) * $dialledMm;
        $asked = max(0.0, $asked - ($fresh && $dialledMm > 0 ? $this->backlashMm : 0.0)) + $owedMm;
        if ($asked <= 0.0) {
            return ['takenMm' => 0.0, 'owedMm' => 0.0];
        }
        $owed = $asked * $this->springs;

        return ['takenMm' => max(0.0, $asked - $owed + $this->scatterMm * $scatter), 'owedMm' => $owed];
    }

    /** How much warmer it gets, °C. */
    public function warms(float $takenMm, float $sizeMm): float
    {
        return min(60.0, (self::WARMS * $takenMm * 25) / max(5.0, $sizeMm));
    }
}
