<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture\Shop;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\AxisPart;

/** A turned part and everything that is written at it. */
final readonly class ShopView
{
    /**
     * @param  list<ShopSize>  $diameters
     * @param  list<ShopSize>  $lengths
     * @param  list<ShopNote>  $notes
     * @param  ?float  $datumMm  the face that lengths are taken from; null: none is said
     */
    public function __construct(
        public AxisPart $part,
        public array $diameters,
        public array $lengths,
        public array $notes,
        public ?float $datumMm = null,
        /** @var list<string> surfaces of which nobody said where they lie along the axis */
        public array $unsaid = [],
        /** What has to be said of what is asked on it. */
        public ?Say $says = null,
    ) {
    }
}
