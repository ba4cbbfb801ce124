<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Evaluate\Found\Meaning;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\School;
use Oldpart\Core\Measure\FoundSize;

/**
 * The size at which a table of fits is read: the nominal one, not the worn one, where a step of the table lies between
 * them. Typed at Survey, or else what the surface was most likely meant to be.
 */
final readonly class TableSize
{
    /** How far wear may have carried a size over a step, as a share of it, and at least in mm. Common practice. */
    private const WORN = 0.01;

    private const WORN_MM = 0.3;

    /** A guess surer than this counts. */
    private const SURE = 0.5;

    private function __construct(public float $mm, public bool $isFound)
    {
    }

    public static function of(SurfaceFacts $mate, FoundSize $found, Purpose $purpose): self
    {
        $reach = max(self::WORN_MM, self::WORN * $found->meanMm);
        $low = max($found->meanMm - $reach, $found->meanMm / 2);
        if ($purpose->isLength || self::classes($purpose, $low) === self::classes($purpose, $found->meanMm + $reach)) {
            return new self($found->meanMm, true);
        }
        $typed = $mate->size?->length->mm;
        if ($typed !== null && abs($typed - $found->meanMm) <= $reach) {
            return new self($typed, false);
        }
        $likely = (new Meaning())->of($mate, $found)->candidates[0] ?? null;

        return $likely !== null && $likely->probability >= self::SURE
            ? new self($likely->nominalMm, false)
            : new self($found->meanMm, true);
    }

    /** @return list<array{float, float}> the clearances of the classes at a size, µm */
    private static function classes(Purpose $purpose, float $mm): array
    {
        $offers = array_values(
            array_filter($purpose->offers($mm), static fn (Offer $o): bool => $o->school !== School::Thumb),
        );

        return array_map(
            static fn (Offer $o): array => [
                round(1000 * $o->clearanceMm->min, 3),
                round(1000 * $o->clearanceMm->max, 3),
            ],
            $offers,
        );
    }
}
