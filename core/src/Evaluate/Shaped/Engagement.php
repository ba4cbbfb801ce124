<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Catalogue\Table;

/** How far a screw has to be in so that it breaks before the hole strips (data/engagement.json). */
final class Engagement
{
    /** @param  ?Material  $hole  null: not named yet, taken as steel */
    public static function inDiameters(?Material $hole): float
    {
        /** @var array<string, float> $families */
        $families = Table::read('engagement')['families'];

        return (float) ($families[$hole->family ?? 'steel'] ?? 2.0);
    }
}
