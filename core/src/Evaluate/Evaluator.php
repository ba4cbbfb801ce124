<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Loops\LoopLengths;
use Oldpart\Core\Evaluate\Loops\SolvedLoop;
use Oldpart\Core\Evaluate\Loops\SolvedPlane;
use Oldpart\Core\Evaluate\Making\AgreedDemands;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Making\MadeBands;
use Oldpart\Core\Evaluate\Making\MakeCard;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Making\TreatedSurfaces;
use Oldpart\Core\Evaluate\Making\WorkedSurfaces;
use Oldpart\Core\Evaluate\Mechanics\ChangingMates;
use Oldpart\Core\Evaluate\Mechanics\ClosedBores;
use Oldpart\Core\Evaluate\Mechanics\PressStudy;
use Oldpart\Core\Evaluate\Mechanics\WorksByStrength;
use Oldpart\Core\Evaluate\Reckoned\Reckonings;
use Oldpart\Core\Evaluate\Shaped\ShapedSurfaces;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Evaluate\Sizing\SizedJoints;
use Oldpart\Core\Evaluate\Trials\LoopTrials;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;

/**
 * The steps from the facts of a job to what comes out of it. Each takes what earlier ones gave and gives one thing;
 * nothing is stored, nothing turns back. Ways out, what-ifs and mistakes run the same steps on changed facts.
 */
final class Evaluator
{
    /** @throws BadInput for facts that contradict each other, with the field that does */
    public function outcome(JobFacts $facts): Outcome
    {
        $withheld = Gatekeeper::withholds($facts->takeIn);
        $read = FoundSurfaces::of($facts);
        $before = FoundSurfaces::before($facts);
        $inOrder = SizedJoints::of($facts, $read + FoundSurfaces::typed($facts), $before, $withheld);
        $found = $inOrder->found;
        $sized = $inOrder->joints;
        $bands = MadeBands::of($sized);
        $study = new PressStudy($facts, $found, $bands, MadeBands::made($facts, $sized, $bands), $sized);
        $sized = array_map((new ChangingMates($facts, $sized, $study, $inOrder->sizing))->of(...), $sized);
        $strength = new WorksByStrength($study);
        $sized = array_map($strength->of(...), $sized);
        $bands = MadeBands::of($sized);
        $study = new PressStudy($facts, $found, $bands, MadeBands::made($facts, $sized, $bands), $sized);
        $joints = array_map((new WorksByStrength($study))->promised(...), array_map($study->of(...), $sized));
        $joints = array_map((new ClosedBores($facts, $joints))->of(...), $joints);
        $lengths = new LoopLengths($facts, $found, $withheld ? [] : $bands);
        $loops = array_map(
            static fn (LoopFacts $loop): SolvedLoop|SolvedPlane => $loop->plane
                ? SolvedPlane::of($loop, $lengths, $withheld)
                : $lengths->answer($loop, $facts->shop, $withheld),
            $facts->loops,
        );
        $lengthBands = array_map(static fn (array $length): Band => $length['band'], $lengths->bands());
        $shapes = ShapedSurfaces::of($facts, $found, $before, [...$lengthBands, ...$bands], $withheld);
        $trials = self::trials($facts, $found, $joints, $loops);
        $tried = MakeCard::tried($facts, $trials);
        $card = new MakeCard($facts, $joints, $study);
        $entries = [
            ...$card->entries(),
            ...MakeCard::lengths($facts, $lengths, $bands, $withheld),
            ...MakeCard::shapes($shapes),
        ];
        // What was tried says it more surely than the lengths of the same loop or joint did.
        $said = array_column($tried, 'jointId');
        $entries = [
            ...array_filter($entries, static fn (MakeEntry $e): bool => ! in_array($e->jointId, $said, true)),
            ...$tried,
        ];
        $reckonings = new Reckonings($facts, self::sizes($facts, $found, $entries), $withheld);
        $asked = $reckonings->applied();
        $entries = (new AgreedDemands($asked, $before))->of($entries);
        $rest = MakeCard::rest($asked, $entries, $before, $withheld, $reckonings->givers());
        $entries = [...$entries, ...array_map($card->onPress(...), $rest)];
        $worked = new WorkedSurfaces($facts, $found, $before, $bands);
        $entries = array_map($worked->on(...), $entries);
        $entries = array_map((new TreatedSurfaces($facts))->on(...), $entries);
        $making = array_map(
            static fn (MakeEntry $e): CutProgress => CutProgress::of($facts, $e, $read[$e->surface->id] ?? null),
            $entries,
        );

        return new Outcome(
            withheld: $withheld,
            read: $read,
            before: $before,
            found: $found,
            sizing: $inOrder->sizing,
            study: $study,
            joints: $joints,
            bands: [...$lengthBands, ...$bands],
            shapes: $shapes,
            make: array_map(
                static fn (CutProgress $cut): MakeEntry => $cut->entry->made(
                    $cut->lastSize(),
                    $cut->hasMetalLeft() ? null : $cut->verdict?->value,
                ),
                $making,
            ),
            making: $making,
            loops: $loops,
            trials: $trials,
            reckoned: $reckonings->all,
        );
    }

    /**
     * What a surface is as it was read, or is to be: the middle of its limits.
     *
     * @param  array<string, FoundSize>  $found
     * @param  list<MakeEntry>  $entries
     * @return array<string, float> by surface, mm
     */
    private static function sizes(JobFacts $facts, array $found, array $entries): array
    {
        if ($facts->reckonings === []) {
            return [];
        }
        $sizes = array_filter(
            array_map(
                static fn (SurfaceFacts $s): ?float => $s->size?->length->mm,
                array_column($facts->surfaces, null, 'id'),
            ),
            static fn (?float $mm): bool => $mm !== null && $mm > 0,
        );
        foreach ($entries as $entry) {
            if ($entry->band !== null) {
                $sizes[$entry->surface->id] = $entry->band->middleMm();
            }
        }

        return [...$sizes, ...array_map(static fn (FoundSize $f): float => $f->meanMm, $found)];
    }

    /**
     * @param  array<string, FoundSize>  $found
     * @param  list<SizedJoint>  $joints
     * @param  list<SolvedLoop|SolvedPlane>  $loops
     * @return array<string, ?LoopTrials> by loop, and by joint of two lengths
     */
    private static function trials(JobFacts $facts, array $found, array $joints, array $loops): array
    {
        $trials = [];
        foreach ($joints as $joint) {
            $trials[$joint->joint->id] = LoopTrials::ofJoint($facts, $found, $joint);
        }
        foreach ($loops as $loop) {
            if ($loop instanceof SolvedLoop) {
                $trials[$loop->facts->id] = LoopTrials::of($facts, $loop);
            }
        }

        return $trials;
    }
}
