<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** Where a part comes from: it exists, it is to be made, or it is bought. */
enum Origin: string
{
    case Found = 'found';
    case Make = 'make';
    case Bought = 'bought';
}
