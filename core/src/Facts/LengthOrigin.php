<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

/** Where a length typed in a loop comes from, and so what may be done about it. */
enum LengthOrigin: string
{
    /** Planned: it may be made another size, or held closer. */
    case Plan = 'plan';

    /** Bought, as the catalogue has it. */
    case Bought = 'bought';

    /** There already, and measured: metal may come off it. */
    case There = 'there';
}
