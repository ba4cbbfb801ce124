<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Range;

/** What the fit is if the part comes out at a size, for the mate as it was found. */
final readonly class FitAt
{
    /**
     * @param  Range  $clearanceMm  over the mate's form and doubt, negative for interference
     * @param  'inside'|'cannot-tell'|'outside'  $verdict  against the wanted range, the mate's doubt as guard
     */
    private function __construct(public Range $clearanceMm, public string $verdict)
    {
    }

    /**
     * @param  bool  $makeShaft  true: the inner part is made
     * @param  float  $sizeMm  what the part comes out at, above 0
     * @param  float  $matingMm  the mate: its mating size, or its mean for an interference, above 0
     * @param  float  $u95Mm  0 or more
     * @param  ?float  $looseMm  the mate's loose size; null: the same
     * @param  ?Range  $wantedMm  null: no verdict but inside
     *
     * Source: definition of clearance, bore less shaft; the guard as in ISO 14253-1.
     *
     * @throws BadInput for a size that can't be
     */
    public static function of(
        bool $makeShaft,
        float $sizeMm,
        float $matingMm,
        float $u95Mm,
        ?float $looseMm = null,
        ?Range $wantedMm = null,
    ): self {
        $sizes = ['size_mm' => $sizeMm, 'mate.size_mm' => $matingMm, 'mate.loose_mm' => $looseMm ?? $matingMm];
        foreach ($sizes as $field => $mm) {
            if (! is_finite($mm) || $mm <= 0) {
                throw new BadInput('size', $field, 'A size must be above zero.');
            }
        }
        if (! ($u95Mm >= 0)) {
            throw new BadInput('u95', 'mate.u95_mm', 'The uncertainty of the mate cannot be below zero.');
        }
        $loose = $looseMm ?? $matingMm;
        [$least, $most] = $makeShaft
            ? [min($matingMm, $loose) - $sizeMm, max($matingMm, $loose) - $sizeMm]
            : [$sizeMm - max($matingMm, $loose), $sizeMm - min($matingMm, $loose)];
        $range = new Range($least - $u95Mm, $most + $u95Mm);
        $verdict = match (true) {
            $wantedMm === null,
            $range->min >= $wantedMm->min - 1e-9 && $range->max <= $wantedMm->max + 1e-9 => 'inside',
            // Out whatever the mate's true size is within its doubt.
            $least + $u95Mm < $wantedMm->min - 1e-9, $most - $u95Mm > $wantedMm->max + 1e-9 => 'outside',
            default => 'cannot-tell',
        };

        return new self($range, $verdict);
    }
}
