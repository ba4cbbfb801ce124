<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** Where a size that was not measured here comes from. */
enum SizeSource: string
{
    case Guess = 'guess';
    case Eyeballed = 'eyeballed';
    case Picture = 'picture';
    case Scaled = 'scaled';
    case Similar = 'similar part';
    case Drawing = 'drawing';
    case Catalogue = 'catalogue';

    /** Nobody should cut to it without looking again. */
    public function isRough(): bool
    {
        return in_array($this, [self::Guess, self::Eyeballed, self::Picture, self::Scaled], true);
    }
}
