<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Batch;

/** Where a piece of a batch stands. */
enum PieceState: string
{
    /** Every size it has to have is inside, or was accepted as it is. */
    case Good = 'good';
    /** Not measured, made between two that are good. */
    case Between = 'between';
    /** Not measured, and the next that was is not good. */
    case Doubt = 'doubt';
    case Bad = 'bad';
    case Scrap = 'scrap';
    /** Measured, and too near a limit to tell. */
    case Unsure = 'unsure';
    /** Some of its sizes are measured. */
    case Started = 'started';
    case Open = 'open';

    public function says(): string
    {
        return match ($this) {
            self::Good => 'good',
            self::Between => 'not measured, between two that are good',
            self::Doubt => 'in doubt: the next that was measured is not good. Measure it',
            self::Bad => 'outside: mend, accept or scrap it',
            self::Scrap => 'scrap',
            self::Unsure => 'too near a limit to tell: read it with something surer, or accept it',
            self::Started => 'not all of it measured yet',
            self::Open => 'to make',
        };
    }

    /** It can be handed over. */
    public function counts(): bool
    {
        return $this === self::Good || $this === self::Between;
    }
}
