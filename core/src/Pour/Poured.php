<?php

declare(strict_types=1);

namespace Oldpart\Core\Pour;

/** What one sees once it is cold, and whether it is kept. Common practice of the trade. */
enum Poured: string
{
    case Sound = 'sound';
    case Dull = 'dull';
    case Pores = 'pores';
    case PoresElsewhere = 'pores elsewhere';
    case Laps = 'laps';
    case Short = 'short';
    case Moved = 'moved';

    public function isKept(): bool
    {
        return $this === self::Sound || $this === self::PoresElsewhere;
    }

    public function says(): string
    {
        return match ($this) {
            self::Sound => 'It rings when tapped and the edge is tight all round: keep it, and bore it.',
            self::PoresElsewhere => 'Pores away from where the load presses hold oil and do no harm: keep it.',
            self::Dull => 'A dull sound or a gap at the edge: it has let go of the shell. Tin it again, warmer, and pour again.',
            self::Pores => 'Pores where the load presses: damp, or poured too cold. Dry everything, warm the shell, pour again.',
            self::Laps => 'Cold laps: the metal met itself half frozen. Warmer shell, hotter metal, one steady stream; pour again.',
            self::Short => 'It ran short: more head, more metal in the ladle, tighter dams; pour again rather than top up.',
            self::Moved => 'A washer or the mandrel moved: the wall is uneven. Fix them so that nothing can float; pour again.',
        };
    }
}
