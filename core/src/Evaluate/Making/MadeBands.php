<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Shape\SurfaceType;

/** The limits of size of what is made, as the joints give them, and what came of it. */
final readonly class MadeBands
{
    /**
     * @param  list<SizedJoint>  $joints
     * @return array<string, Band>
     */
    public static function of(array $joints): array
    {
        $bands = [];
        foreach ($joints as $joint) {
            foreach ([[$joint->make, $joint->sized], [$joint->first, $joint->firstSized]] as [$surface, $sized]) {
                if ($surface !== null && $sized?->band !== null) {
                    $asked = $bands[$surface->id] ?? $sized->band;
                    $bands[$surface->id] =
                        Band::between(
                            max($asked->lowerMm, $sized->band->lowerMm),
                            min($asked->upperMm, $sized->band->upperMm),
                        ) ?? $asked;
                }
            }
        }

        return $bands;
    }

    /**
     * Sizes of what is made, once it has come inside its limits or past them: until then it is still being cut, and
     * says nothing of what it will be. A bore of what is itself pressed in has yet to close, and is none.
     *
     * @param  list<SizedJoint>  $joints
     * @param  array<string, Band>  $bands  theirs, by surface
     * @return array<string, Range> the last measured, with its doubt, mm
     *
     * Source: common practice of the trade.
     */
    public static function made(JobFacts $facts, array $joints, array $bands): array
    {
        $made = [];
        foreach ($facts->surfaces as $surface) {
            if ($surface->type !== SurfaceType::Shaft && ! self::staysAsBored($facts, $surface, $joints)) {
                continue;
            }
            $log = CutLog::of($facts, $surface, Phase::Only);
            $range = $log->made();
            $band = $bands[$surface->id] ?? null;
            $size = $surface->size?->length->mm;
            $limits = match (true) {
                $band !== null => new Range($band->lowerMm, $band->upperMm),
                // What no joint asks for is cut to what was noted.
                $size !== null => new Range($size, $size),
                default => null,
            };
            if ($range !== null && ($limits === null || $log->reached($limits))) {
                $made[$surface->id] = $range;
            }
        }

        return $made;
    }

    /**
     * A hole that something is pressed into, of a part that nothing closes.
     *
     * @param  list<SizedJoint>  $joints
     */
    private static function staysAsBored(JobFacts $facts, SurfaceFacts $bore, array $joints): bool
    {
        $takes = false;
        foreach ($joints as $joint) {
            if ($joint->canBeTight() && $facts->surface($joint->joint->inner)?->part === $bore->part) {
                return false;
            }
            $takes = $takes || $joint->joint->outer === $bore->id;
        }

        return $takes && $bore->type === SurfaceType::Bore;
    }
}
