<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

enum CostKind: string
{
    case Material = 'material';
    case Outside = 'outside work';
    case Consumables = 'consumables';
    case Tool = 'tool to buy';
}
