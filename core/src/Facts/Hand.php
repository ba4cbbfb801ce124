<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

enum Hand: string
{
    case Right = 'right';
    case Left = 'left';
}
