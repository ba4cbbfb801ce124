<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Facts\Work;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Shape\SurfaceType;

/**
 * How a part that is there is cut again: set up by what has survived, built up first where it has to be. Common
 * practice.
 */
final class RecutPlan
{
    /**
     * @param  list<MakeEntry>  $make
     * @param  list<ShapedSurface>  $shaped
     * @return list<Step> nothing where no part that is there is cut
     */
    public static function of(JobFacts $facts, array $make, array $shaped): array
    {
        $steps = [];
        foreach ($facts->parts as $part) {
            $cut = array_filter($facts->surfacesOf($part->id), static fn (SurfaceFacts $s): bool => $s->work !== null);
            if ($part->origin === Origin::Make || $cut === []) {
                continue;
            }
            $own = new PartSteps($facts, $part, $make, $shaped);
            $datums = array_filter(
                $facts->surfacesOf($part->id),
                static fn (SurfaceFacts $s): bool => $s->datum && $s->work === null,
            );
            $names = implode(' and ', array_map(static fn (SurfaceFacts $s): string => lcfirst($s->name), $datums));
            $steps[] = new Step(
                $own->code('datum'),
                Say::plain($names === ''
                    ? "{$part->name}: set it up by a face or a bore that has survived, and dial that in."
                    : "{$part->name}: set it up by its {$names}, and dial that in."),
                'A worn surface is no datum: cut true to itself it comes out where it was worn to.',
                'datum first',
            );
            $built = array_filter($cut, static fn (SurfaceFacts $s): bool => $s->work === Work::BuiltUp);
            if ($built !== []) {
                $steps[] = new Step(
                    $own->code('built'),
                    Say::plain("{$part->name}: build up ".implode(', ', array_map(static fn (SurfaceFacts $s): string => lcfirst($s->name), $built)).'; let it cool slowly, and check what it drew.'),
                    'Cut before it is cold it is out of round again by the morning.',
                    'weld before the last cut',
                );
            }
            $steps = [...$steps, ...array_values(array_filter([
                $own->step('recut', SurfaceType::cases(), 'Cut {list}. Where it is not clean all round at its limits, stop, and look at its card before more comes off.', 'Every cut past them takes wall that is not there twice.', 'no more than its limits'),
            ])), ...$own->last()];
        }

        return $steps;
    }
}
