<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;

/** What the seed makes of a surface: its size as it was new, and what has become of it, mm. */
final readonly class Drawn
{
    public function __construct(
        public float $nominalMm,
        public float $wearMm,
        public float $ovalityMm,
        public float $taperMm,
        public float $lobesMm,
        public float $burrMm,
    ) {
    }

    /** How much larger or smaller all of it is than it is drawn. */
    public static function scale(Lesson $lesson, int $seed): float
    {
        return (new Fields($lesson->truth))->numberOrNull('scale') ?? (new Dice($seed, 'scale'))->even(0.85, 1.25);
    }

    /** How warm the room is, °C. */
    public static function roomC(Lesson $lesson, int $seed): float
    {
        return (new Fields($lesson->truth))->numberOrNull('room_c')
            ?? ($lesson->level === Level::Easy ? 20.0 : round(20 + 1.5 * (new Dice($seed, 'room'))->normal(), 1));
    }

    /** A size as it was new, on the steps of the unit it was made in, mm. */
    public static function nominalMm(float $sketchMm, float $scale, Unit $unit): float
    {
        $step = $unit === Unit::Inch ? 25.4 / 16 : 0.5;

        return max($step, round(($sketchMm * $scale) / $step) * $step);
    }
}
