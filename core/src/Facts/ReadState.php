<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** What a surface that is cut was like when it was read. One that stays has no states. */
enum ReadState: string
{
    /** As it was found; of a part that is made new, the old one. */
    case Before = 'before';
    case BuiltUp = 'built up';
    case Roughed = 'roughed';

    /** Finished: what it is now, for whatever has to fit it. */
    case Done = 'done';

    public function says(): string
    {
        return match ($this) {
            self::Before => 'as it was',
            self::BuiltUp => 'built up',
            self::Roughed => 'roughed',
            self::Done => 'finished',
        };
    }
}
