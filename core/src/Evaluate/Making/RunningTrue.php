<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\Purpose;

/**
 * Which surfaces of a turned part have to run true to which: all that fit something, to the one among them with the
 * tightest limits; within half of its own limits. Common practice, where nothing else is said.
 */
final readonly class RunningTrue
{
    private const SHARE = 0.5;

    /** Less than an indicator shows is not asked, mm: 0.0001 in. */
    private const LEAST = 0.00254;

    /** @param  array<string, float>  $runOutMm  by surface */
    private function __construct(public ?string $datum, public array $runOutMm)
    {
    }

    /**
     * @param  list<MakeEntry>  $make
     */
    public static function of(JobFacts $facts, string $partId, array $make): self
    {
        $widths = [];
        foreach ($make as $entry) {
            $surface = $entry->surface;
            if (
                $surface->part === $partId
                && $entry->band !== null
                && ! $entry->free
                && ($surface->type->isOutside() || $surface->type->isInside())
                && self::isOnAxis($surface)
                && self::fits($facts, $surface)
            ) {
                $wide = $entry->band->upperMm - $entry->band->lowerMm;
                $widths[$surface->id] = min($widths[$surface->id] ?? INF, $wide);
            }
        }
        if (count($widths) < 2) {
            return new self(null, []);
        }
        asort($widths);
        $datum = array_key_first($widths);

        return new self($datum, array_map(
            static fn (float $wide): float => max(self::LEAST, self::SHARE * $wide),
            array_diff_key($widths, [$datum => 0]),
        ));
    }

    private static function isOnAxis(SurfaceFacts $surface): bool
    {
        return hypot($surface->x->length->mm ?? 0.0, $surface->y->length->mm ?? 0.0) < 1e-6;
    }

    /** Something rides or sits on it; what only clears need not run true. */
    private static function fits(JobFacts $facts, SurfaceFacts $surface): bool
    {
        foreach ($facts->joints as $joint) {
            if (
                ($joint->inner === $surface->id || $joint->outer === $surface->id)
                && Purpose::orNull($joint->purpose)?->ra !== null
            ) {
                return true;
            }
        }

        return false;
    }
}
