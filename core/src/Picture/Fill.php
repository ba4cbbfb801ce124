<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

enum Fill: string
{
    /** Cut metal. */
    case Hatch = 'hatch';

    /** Metal that is not cut, such as a shaft in a section. */
    case Tint = 'tint';

    /** Air: hides what lies behind. */
    case Blank = 'blank';
    case None = 'none';
}
