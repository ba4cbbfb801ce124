<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\GoodEnough;

/** What was found of each surface that is measured, and whether it was read well enough for the joints that stand on it. */
final readonly class FoundAnswers
{
    /**
     * @param  array<string, FoundSize>  $found
     * @param  list<JointAnswer>  $joints
     * @return list<SurfaceAnswer>
     */
    public static function of(JobFacts $facts, array $found, PressStudy $study, array $joints): array
    {
        $answers = [];
        $needed = self::needed($study, $joints);
        foreach ($facts->surfaces as $surface) {
            if ($facts->partOf($surface)->origin === Origin::Make || ! $surface->type->isMeasurable()) {
                continue;
            }
            $good = null;
            $decides = in_array($surface->id, $needed, true);
            foreach ($joints as $joint) {
                if ($joint->mate?->id === $surface->id && $joint->make !== null) {
                    $decides = true;
                    $good = self::worse($good, $joint->goodEnough);
                }
            }
            $size = $found[$surface->id] ?? null;
            $readings = $facts->readingsOf($surface->id);
            $answers[] = new SurfaceAnswer($surface, $size, $good, $decides, $size->notes ?? [], $readings, CoolDown::of($facts, $surface, $readings, $size));
        }

        return $answers;
    }

    /**
     * What the mechanics of a press need beside the two diameters: the engaged length, and the walls along it.
     *
     * @param  list<JointAnswer>  $joints
     * @return list<string>
     */
    private static function needed(PressStudy $study, array $joints): array
    {
        $needed = [];
        foreach ($joints as $joint) {
            if ($joint->isSized() && $joint->canBeTight() && ! $joint->purpose->isLength) {
                array_push($needed, ...$study->decidedBy($joint));
            }
        }

        return $needed;
    }

    private static function worse(?GoodEnough $a, ?GoodEnough $b): ?GoodEnough
    {
        return $a === null || $b !== null && $b->ratio < $a->ratio ? $b : $a;
    }
}
