<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

/**
 * A stretch of a joint over which its walls are alike: its share of the length, the outside round it and the bore
 * behind it (0: solid), mm.
 */
final readonly class WallStretch
{
    public function __construct(public float $share, public float $odMm, public float $boreMm)
    {
    }
}
