<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Evaluate\Making\CutLog;
use Oldpart\Core\Evaluate\Making\OwnDemand;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\Side;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;

/**
 * All joints of a job, in the order of who waits for whom. What is made and measured is the mate of what still has to
 * be made.
 */
final readonly class SizedJoints
{
    /**
     * @param  list<SizedJoint>  $joints  in the job's own order
     * @param  array<string, FoundSize>  $found  by surface: what is there, and what was made first and measured
     */
    private function __construct(public array $joints, public array $found, public JointSizing $sizing)
    {
    }

    /**
     * @param  array<string, FoundSize>  $found
     * @param  array<string, array<string, FoundSize>>  $before
     */
    public static function of(JobFacts $facts, array $found, array $before, bool $withheld): self
    {
        $order = JointOrder::of($facts);
        $bands = self::ownLimits($facts, $before);
        $sized = [];
        foreach ($order->order as $at) {
            $joint = $facts->joints[$at];
            $sizing = new JointSizing($facts, $found, $withheld, $bands, $before);
            $circle = $order->circles[$joint->id] ?? null;
            $one = $circle === null ? $sizing->size($joint, $at) : $sizing->inCircle($joint, $at, $circle);
            // Both to the table until one of them is made: then the other is made to that.
            $first = self::firstOf($facts, $joint);
            if ($first !== null && ! isset($found[$first->id])) {
                $made = self::made($facts, $first, $bands[$first->id] ?? $one->firstSized?->band);
                if ($made !== null) {
                    $found[$first->id] = $made;
                    $one = (new JointSizing($facts, $found, $withheld, $bands, $before))->size($joint, $at);
                }
            }
            foreach ([[$one->make, $one->sized], [$one->first, $one->firstSized]] as [$surface, $limits]) {
                if ($surface !== null && $limits?->band !== null) {
                    $bands[$surface->id] ??= $limits->band;
                }
            }
            $sized[$at] = $one;
        }
        ksort($sized);

        return new self(
            array_values($sized),
            $found,
            new JointSizing($facts, $found, $withheld, $bands, $before),
        );
    }

    private static function firstOf(JobFacts $facts, JointFacts $joint): ?SurfaceFacts
    {
        $first = JointOrder::first($facts, $joint);

        return $first === null ? null : $facts->surface($first === Side::Inner ? $joint->inner : $joint->outer);
    }

    /** What came out, once its log has come inside its limits or past them; null while it is still being cut. */
    private static function made(JobFacts $facts, SurfaceFacts $surface, ?Band $limits): ?FoundSize
    {
        foreach ([Phase::Only, Phase::After] as $phase) {
            $log = CutLog::of($facts, $surface, $phase);
            if ($limits !== null && $log->reached(new Range($limits->lowerMm, $limits->upperMm))) {
                return $log->found();
            }
        }

        return null;
    }

    /**
     * @param  array<string, array<string, FoundSize>>  $before
     * @return array<string, Band> limits that were said of a surface itself
     */
    private static function ownLimits(JobFacts $facts, array $before): array
    {
        $bands = [];
        foreach ($facts->surfaces as $surface) {
            $own = $surface->demand === null || ! $facts->isCut($surface)
                ? null
                : OwnDemand::of($surface, $before[$surface->id] ?? []);
            if ($own?->band !== null && $surface->demand?->kind->leaves() === false) {
                $bands[$surface->id] = $own->band;
            }
        }

        return $bands;
    }
}
