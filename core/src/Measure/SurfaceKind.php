<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

enum SurfaceKind: string
{
    case Bore = 'bore';
    case Shaft = 'shaft';
    case Length = 'length';
}
