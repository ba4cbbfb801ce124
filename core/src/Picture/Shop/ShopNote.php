<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture\Shop;

use Oldpart\Core\Advice\Say;

/** A call-out of a shop drawing: a thread, a keyway, holes, a chamfer; what it points at, and its lines. */
final readonly class ShopNote
{
    /** @param  non-empty-list<Say>  $lines */
    public function __construct(public float $atMm, public float $radiusMm, public array $lines)
    {
    }
}
