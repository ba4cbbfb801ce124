<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Trials;

use Oldpart\Core\Evaluate\Loops\LoopRow;
use Oldpart\Core\Evaluate\Making\CutLog;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;

/** One length of what is tried together along an axis. */
final readonly class StackPiece
{
    private function __construct(
        public string $name,
        public ?SurfaceFacts $surface,
        /** 1 opens the gap, −1 closes it. */
        public int $direction,
        public float $weight,
        /** Its size with its doubt; null while it is not known. */
        public ?Contributor $size,
    ) {
    }

    public static function ofLoop(JobFacts $facts, LoopRow $row): self
    {
        $surface = $row->length->surface === null ? null : $facts->surface($row->length->surface);

        return new self(
            name: $row->length->name,
            surface: $surface,
            direction: $row->length->direction(),
            weight: $row->length->weight(),
            size: $row->contributor,
        );
    }

    /** A length of a joint: as it was found, as it is made, or as it is to be made. */
    public static function ofJoint(
        JobFacts $facts,
        SurfaceFacts $surface,
        int $direction,
        ?FoundSize $found,
        ?Band $band,
    ): self {
        $made = CutLog::of($facts, $surface, Phase::Only)->made();
        [$mm, $half] = match (true) {
            $found !== null => [$found->meanMm, $found->sureMeanMm()],
            $made !== null => [$made->middle(), $made->width() / 2],
            $band !== null => [$band->middleMm(), $band->widthMm() / 2],
            default => [null, 0.0],
        };

        return new self(
            name: $surface->name,
            surface: $surface,
            direction: $direction,
            weight: 1.0,
            size: $mm === null
                ? null
                : new Contributor(
                    name: $surface->name,
                    sizeMm: $mm,
                    plusMm: $half,
                    minusMm: $half,
                    direction: $direction,
                    spread: Spread::Measured,
                ),
        );
    }
}
