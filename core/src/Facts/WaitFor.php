<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

enum WaitFor: string
{
    case Cooling = 'cooling';
    case Curing = 'curing';
    case Stock = 'stock';
    case Customer = 'customer';
    case OutsideWork = 'outside work';
}
