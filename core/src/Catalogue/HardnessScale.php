<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

enum HardnessScale: string
{
    case RockwellC = 'HRC';
    case Brinell = 'HB';
    case Vickers = 'HV';
}
