<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Catalogue\Material;

/** What a bearing has to do: which ring turns against the load, how heavy that is, and what it sits on and in. */
final readonly class BearingDuty
{
    /**
     * @param  'inner'|'outer'  $turning  the ring that turns relative to the load
     * @param  'light'|'normal'|'heavy'  $load  light to 0.05 of the dynamic rating, normal to 0.10, heavy above
     * @param  'solid'|'split'|'thin'  $housing
     * @param  float  $shaftBoreMm  0 where the shaft is solid
     * @param  float  $innerWarmerK  how much warmer the inner ring runs than the outer
     */
    public function __construct(
        public string $turning,
        public string $load,
        public string $housing = 'solid',
        public ?Material $shaft = null,
        public ?Material $housingMaterial = null,
        public float $shaftBoreMm = 0.0,
        public float $innerWarmerK = 0.0,
    ) {
    }

    public function isAluminiumHousing(): bool
    {
        return $this->housingMaterial?->family === 'aluminium';
    }
}
