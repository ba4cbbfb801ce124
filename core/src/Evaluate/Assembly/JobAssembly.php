<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Assembly;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Evaluate\Shapes\JobSurvey;
use Oldpart\Core\Evaluate\Shapes\JudgedPart;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\CameOff;
use Oldpart\Core\Facts\CheckFacts;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\StripFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\ShapeJoint;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressLog;
use Oldpart\Core\Making\BondAssembly;
use Oldpart\Core\Making\PressAssembly;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Making\TaperAssembly;
use Oldpart\Core\Making\TrialAssembly;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Safety\Caution;
use Oldpart\Core\Shape\SurfaceType;

/** Putting the job together: cautions to tick, steps, the force to expect, checks after. */
final readonly class JobAssembly
{
    /**
     * @param  list<Step>  $steps
     * @param  list<Caution>  $cautions
     */
    private function __construct(
        public JobFacts $facts,
        public ?Press $press,
        public array $steps,
        public array $cautions,
        public ?SizedJoint $tight,
        public ?Rehearsal $rehearsal,
        public bool $bonded,
        public AssemblyOrder $order,
        /** @var list<?Say> what the force says by which each part came off, in that order */
        public array $cameOff = [],
        /** @var list<SizedJoint> those that are pressed, beside the first */
        public array $alsoTight = [],
    ) {
    }

    public static function of(JobFacts $facts, Outcome $out, JobSurvey $survey): self
    {
        $joints = $out->joints;
        $pressed =
            array_filter(
                $joints,
                static fn (SizedJoint $j): bool => $j->isSized() && $j->canBeTight() && ! $j->purpose->isLength,
            ) !== [];
        $bonded = array_filter($joints, static fn (SizedJoint $j): bool => $j->isSized() && $j->purpose->bonds) !== [];
        $allTight = array_values(array_filter($joints, static fn (SizedJoint $j): bool => $j->press !== null));
        $tight = $allTight[0] ?? null;
        $press = $tight?->press;
        $shown = $out->withheld ? null : $press;
        $heavy = array_filter($survey->parts, static fn (JudgedPart $p): bool => $p->isHeavy()) !== [];
        $iron =
            $press !== null
            && ($press->fit->outer->family === 'cast iron' || $press->fit->inner->family === 'cast iron');

        return new self(
            facts: $facts,
            press: $shown,
            steps: self::order($facts, $out, $shown, $pressed, $bonded),
            cautions: [
                ...$pressed ? Caution::for('press') : [],
                ...$bonded ? Caution::for('bond') : [],
                ...$iron ? Caution::for('cast iron') : [],
                ...$heavy ? Caution::for('lifting') : [],
            ],
            tight: $tight,
            rehearsal: $tight === null ? null : Rehearsal::of($facts, $tight),
            bonded: $bonded,
            order: AssemblyOrder::of($facts, $joints, $out->withheld),
            alsoTight: array_slice($allTight, 1),
            cameOff: array_map(
                static fn (StripFacts $s): ?Say => self::tells($facts, $joints, $s, $out->withheld),
                $facts->assembly->strip,
            ),
        );
    }

    /**
     * Each way of putting together that the job has, in the order press, bond, taper; where it has none of them, by
     * hand.
     *
     * @return list<Step>
     */
    private static function order(JobFacts $facts, Outcome $out, ?Press $press, bool $pressed, bool $bonded): array
    {
        $joints = $out->joints;
        $turns = array_filter($joints, static fn (SizedJoint $j): bool => $j->purpose->runs) !== [];
        $oilHole =
            array_filter(
                $facts->surfaces,
                static fn (SurfaceFacts $s): bool => preg_match('/\b(?:oil|grease)/i', $s->name) === 1,
            ) !== [];
        $tapered =
            array_filter($joints, static fn (SizedJoint $j): bool => $j->purpose->shape === ShapeJoint::Taper) !== [];
        $steps = [
            ...$pressed
                ? PressAssembly::steps(
                    press: $press,
                    shopPressN: $facts->shop->pressN,
                    turns: $turns,
                    oilHole: $oilHole,
                    hollow: self::goesInHollow($facts, $joints),
                    grows: array_filter(
                        $out->make,
                        static fn (MakeEntry $e): bool => $e->phase === Phase::After && ! $e->surface->grows(),
                    ) !== [],
                )
                : [],
            ...$bonded ? BondAssembly::steps($turns, $oilHole) : [],
            ...$tapered ? TaperAssembly::steps() : [],
        ];

        // A step that two ways share is ticked once; what is degreased for a bond is not oiled.
        return $steps === [] ? TrialAssembly::steps($turns) : array_values(array_column($steps, null, 'code'));
    }

    /**
     * Whether what is pressed in has a bore that closes.
     *
     * @param  list<SizedJoint>  $joints
     */
    private static function goesInHollow(JobFacts $facts, array $joints): bool
    {
        foreach ($joints as $joint) {
            $inner = $joint->canBeTight() ? $facts->surface($joint->joint->inner) : null;
            foreach ($inner === null ? [] : $facts->surfacesOf($inner->part) as $surface) {
                if ($surface->type === SurfaceType::Bore) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * The force it was pressed or drawn off by is evidence of how tight the old fit was.
     *
     * @param  list<SizedJoint>  $joints
     */
    private static function tells(JobFacts $facts, array $joints, StripFacts $off, bool $withheld): ?Say
    {
        $byForce = in_array($off->how, [CameOff::Pressed, CameOff::Drawn], true);
        $force = $off->forceN ?? 0.0;
        foreach ($withheld || ! $byForce || $force <= 0 ? [] : $joints as $joint) {
            $parts = [$facts->surface($joint->joint->inner)?->part, $facts->surface($joint->joint->outer)?->part];
            $implied = $joint->press === null || ! in_array($off->part, $parts, true)
                ? null
                : (new PressLog($joint->press))->impliedMm(
                    $off->depth->length->mm ?? $joint->press->fit->lengthMm,
                    $force,
                );
            if ($implied !== null) {
                return Say::with("By that force it sat {a} to {b} tight in “{$joint->joint->name}”, if it did not rust or gall: then it was less.", [
                    'a' => LengthWriter::atMost($implied->min),
                    'b' => LengthWriter::atLeast($implied->max),
                ]);
            }
        }

        return null;
    }

    /** @return list<Caution> all that are printed: of putting it together, and of the heat and cold chosen */
    public function allCautions(): array
    {
        return [...$this->cautions, ...$this->rehearsal?->cautions() ?? []];
    }

    public function open(): int
    {
        $codes = array_map(
            static fn (Step|Caution|AssemblyItem $s): string => $s->code,
            [...$this->steps, ...$this->cautions, ...$this->isOrdered() ? $this->order->items : []],
        );
        $bad = array_filter(
            $this->facts->assembly->checks,
            static fn (CheckFacts $c): bool => in_array($c->verdict(), ['bad', 'open'], true),
        );

        return count(array_filter($codes, fn (string $code): bool => ! $this->facts->isTicked($code))) + count($bad);
    }

    /** Somebody said how it came apart, or what its order has to keep to. */
    public function isOrdered(): bool
    {
        return $this->facts->assembly->strip !== [] || $this->facts->assembly->conditions !== [];
    }
}
