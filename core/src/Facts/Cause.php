<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** Why it failed: it decides whether to copy the part or to change it. */
enum Cause: string
{
    case Wear = 'wear';
    case Overload = 'overload';
    case NoLubricant = 'missing lubricant';
    case Crack = 'crack';
    case Stripped = 'stripped thread';
    case Lost = 'lost';
    case Design = 'wrong by design';

    public function advice(): string
    {
        return match ($this) {
            self::Wear => 'Copy it; see whether a harder or better oiled pair would last longer.',
            self::Overload => 'Find the overload before copying it, or the new one goes the same way.',
            self::NoLubricant => 'Give the oil a way in: hole, groove, and somebody to fill it.',
            self::Crack => 'Look for what started it: a sharp corner, a hole near an edge, a press too tight. Change that.',
            self::Stripped => 'The thread was too weak for its metal: a longer one, or an insert.',
            self::Lost => 'Nothing to copy: the mates are the evidence. Measure them all.',
            self::Design => 'Do not copy it: change what made it fail, and say so on the sheet.',
        };
    }
}
