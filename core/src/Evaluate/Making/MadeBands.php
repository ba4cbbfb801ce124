<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
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

    /** @return array<string, Range> the last measured sizes of made surfaces that are no bores yet to close */
    public static function made(JobFacts $facts): array
    {
        $made = [];
        foreach ($facts->surfaces as $surface) {
            $range = $surface->type === SurfaceType::Shaft ? CutLog::of($facts, $surface, Phase::Only)->made() : null;
            if ($range !== null) {
                $made[$surface->id] = $range;
            }
        }

        return $made;
    }
}
