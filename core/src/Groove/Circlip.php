<?php

declare(strict_types=1);

namespace Oldpart\Core\Groove;

use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Fit\Iso286;
use Oldpart\Core\Quantity\Band;

/** A retaining ring and the groove for it (data/circlips.json); mm. */
final readonly class Circlip
{
    /** How far a ring's nominal may be off the round it sits on. */
    private const NEAR_MM = 0.3;

    private function __construct(
        public float $nominalMm,
        public bool $inBore,
        public Band $bottom,
        public Band $width,
    ) {
    }

    /**
     * @param  float  $roundMm  of the shaft or bore, above 0
     * @return ?self null for a round no ring is listed for
     *
     * Source: DIN 471 and 472: bottom h11 or h12 in a shaft, H11 or H12 in a bore (12 from 24 mm up), width H13.
     */
    public static function on(float $roundMm, bool $inBore): ?self
    {
        /** @var list<array{float, float, float}> $rows */
        $rows = Table::read('circlips')[$inBore ? 'bore' : 'shaft'];
        foreach ($rows as [$nominal, $bottom, $width]) {
            if (abs($nominal - $roundMm) > self::NEAR_MM) {
                continue;
            }
            $deep = Iso286::tolerance((float) $bottom, $bottom < 24 ? '11' : '12') / 1000;
            $wide = Iso286::tolerance((float) $width, '13') / 1000;

            return new self(
                (float) $nominal,
                $inBore,
                $inBore ? new Band($bottom, $bottom + $deep) : new Band($bottom - $deep, $bottom),
                new Band($width, $width + $wide),
            );
        }

        return null;
    }
}
