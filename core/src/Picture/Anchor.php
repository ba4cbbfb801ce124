<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

enum Anchor: string
{
    case Start = 'start';
    case Middle = 'middle';
    case End = 'end';
}
