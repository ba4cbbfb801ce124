<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Shape\SurfaceType;

/** What the job itself already says of a joint, as answers to the plain questions. */
final class JointConditions
{
    /**
     * An outside less than this times the joint's diameter is a thin wall when something is pressed in. Common
     * practice: a wall of a sixth.
     */
    public const THIN_RATIO = 1.33;

    /**
     * @param  array<string, FoundSize>  $found
     * @return array<string, string> by the question's code
     */
    public static function of(JobFacts $facts, array $found, SizedJoint $answer): array
    {
        $outer = $facts->surface($answer->joint->outer);
        if ($outer === null) {
            return [];
        }
        $known = [];
        $material = FoundSurfaces::material($facts->partOf($outer));
        if ($material !== null) {
            $known['metal'] = $material->brittle ? 'brittle' : 'tough';
        }
        $diameter = $answer->mateFound->meanMm ?? null;
        foreach ($facts->surfacesOf($outer->part) as $surface) {
            $outside =
                $surface->type === SurfaceType::Shaft && $surface->id !== $outer->id
                    ? $found[$surface->id]->meanMm ?? null
                    : null;
            if ($outside !== null && $diameter !== null) {
                $known['wall'] =
                    $outside < self::THIN_RATIO * $diameter || ($known['wall'] ?? '') === 'thin' ? 'thin' : 'stout';
            }
        }

        return $known;
    }
}
