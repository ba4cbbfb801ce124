<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Evaluate\Shapes\PartShape;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\OperationFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\PlanFacts;
use Oldpart\Core\Making\Blank;
use Oldpart\Core\Making\BushOrder;
use Oldpart\Core\Making\LatheChoice;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;

/** In what order it is made: worked out for a bush and for turned parts, else the operations as quoted. */
final readonly class MakePlan
{
    /** From so many on a trial piece saves more than it costs. Common practice. */
    private const BATCH = 3;

    /**
     * @param  list<SizedJoint>  $joints
     * @param  list<MakeEntry>  $make
     * @param  list<ShapedSurface>  $shaped
     * @param  array<string, PartShape>  $shapes  by part
     * @return list<Step>
     */
    public static function of(
        JobFacts $facts,
        array $joints,
        MakeCard $card,
        array $make,
        array $shaped,
        array $shapes,
    ): array {
        $steps = self::workedOut($facts, $joints, $card, make: $make, shaped: $shaped, shapes: $shapes);
        $steps = ToolNeeds::of($facts, $make, $shaped, $shapes)->on($steps);
        $steps = array_map((new StepHow($facts, $make))->on(...), $steps);
        $steps = self::forSeveral($facts, $steps);
        $needed = self::itself($facts);
        if ($needed !== null && $steps !== []) {
            $steps[0] = $steps[0]->noting([$needed]);
        }

        return PlanOrder::of($steps, $facts->plan ?? PlanFacts::read(null));
    }

    /**
     * @param  list<SizedJoint>  $joints
     * @param  list<MakeEntry>  $make
     * @param  list<ShapedSurface>  $shaped
     * @param  array<string, PartShape>  $shapes  by part
     * @return list<Step>
     */
    private static function workedOut(
        JobFacts $facts,
        array $joints,
        MakeCard $card,
        array $make,
        array $shaped,
        array $shapes,
    ): array {
        foreach ($joints as $running) {
            // What grips is no bush: a sleeve is made as any turned part is.
            $bore = $running->canBeTight() ? null : $running->make;
            $held = $bore === null || $bore->kind !== SurfaceKind::Bore ? null : $card->heldOutside($bore);
            $outside = $held?->band();
            $after = $running->band();
            $length = self::lengthBand($joints);
            if ($bore === null || $held === null || $outside === null || $after === null || $length === null) {
                continue;
            }
            $before = null;
            foreach ($make as $entry) {
                if ($entry->surface->id === $bore->id && $entry->phase === Phase::Before) {
                    $before = $entry->band;
                }
            }

            return self::onLathe($facts, $outside, $length, BushOrder::of(
                outside: $outside,
                boreBefore: $before,
                boreAfter: $after,
                length: $length,
                finishInPlace: $held->canBeTight() && $card->finishInPlace($bore, $running),
                sintered: $card->isPorous($bore),
                bonded: ! $held->canBeTight(),
            ));
        }

        $kind = Kind::orNull($facts->kind);
        if ($kind?->ownOrder === true) {
            return [];
        }
        $parts = [
            ...TurnedPlan::of($facts, $make, $shaped, $shapes),
            ...PlatePlan::of($facts, $make, $shaped, $shapes),
        ];
        $order = $kind === null || $kind->recipe === []
            ? [...$parts, ...RecutPlan::of($facts, $make, $shaped)]
            : RecipePlan::of($facts, $kind, $make, $shaped, $parts);

        return $order === [] ? self::operations($facts) : $order;
    }

    /**
     * Of several, one is tried first.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private static function forSeveral(JobFacts $facts, array $steps): array
    {
        foreach ($facts->takeIn->quantity < self::BATCH ? [] : $steps as $i => $step) {
            if (preg_match('/(^|:)(rough|square)$/', $step->code) === 1) {
                $every = $facts->batch->every;
                $steps[$i] = $step->noting([Note::info(
                    'trial-piece',
                    'A trial piece in soft metal or scrap first: it sets the stops. Then the first one, measured all over, before the second is begun; then '
                        .($every === 1 ? 'every one.' : "one of every {$every}, and the last."),
                )]);
            }
        }

        return array_values($steps);
    }

    /** The machine that is repaired may be the one the part is made on. */
    private static function itself(JobFacts $facts): ?Note
    {
        foreach ($facts->shop->machines as $machine) {
            // A word such as mill stands for much else.
            $isNamed = $machine->kind === 'lathe' || str_contains($machine->name, ' ');
            if ($isNamed && preg_match('/\b'.preg_quote($machine->name, '/').'\b/iu', $facts->machine) === 1) {
                return Note::caution(
                    'itself',
                    "{$machine->name} may be the very machine this is made on: make all of the part, and what is needed to hold it, before you take it apart; or keep the old one running until then.",
                );
            }
        }

        return null;
    }

    /**
     * The lathe of the shop that takes the bush, said where its blank is sawn.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private static function onLathe(JobFacts $facts, Band $outside, Band $length, array $steps): array
    {
        $across = $outside->upperMm + Blank::ROUGH_MM;
        $blank = new Blank($across, $length->upperMm, Blank::ROUGH_MM / 2, max(1, $facts->takeIn->quantity));
        $choice = LatheChoice::of($facts->shop->machinesOf('lathe'), $across, $blank->sawnMm);

        return $choice === null ? $steps : array_map(
            static fn (Step $s): Step => $s->code === 'blank'
                ? $s->noting([Note::info('lathe', "On: {$choice->lathe->name}."), ...$choice->notes])
                : $s,
            $steps,
        );
    }

    /** @return list<Step> the operations as quoted, where no order is worked out for the kind */
    private static function operations(JobFacts $facts): array
    {
        return array_map(
            static fn (OperationFacts $o): Step => new Step(
                $o->id,
                Say::plain($o->name),
                'set-up '.number_format($o->setupMin).' min, '.number_format($o->runMin).' min a piece',
                'as quoted',
            ),
            $facts->operations,
        );
    }

    /** @param  list<SizedJoint>  $joints */
    private static function lengthBand(array $joints): ?Band
    {
        foreach ($joints as $joint) {
            if ($joint->make?->kind === SurfaceKind::Length) {
                return $joint->band();
            }
        }

        return null;
    }
}
