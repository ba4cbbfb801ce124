<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\ClearanceFacts;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Facts\MistakeFacts;
use Oldpart\Core\Facts\OperationFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Making\BushOrder;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Shape\SurfaceType;

/** Facts in, answers out: the only place that sees a whole job. */
final readonly class Evaluator
{
    public function evaluate(JobFacts $facts): JobAnswers
    {
        $out = $this->outcome($facts);
        $joints = $out->joints;
        $ways = new JointWays($facts, $out->sizing, $out->study);
        $joints = array_map(static fn (JointAnswer $helped): JointAnswer => $helped->withWays($ways->of($helped, JointConditions::of($facts, $out->found, $helped)), HotAndCold::of($helped, $facts->shop->temperatureC), ThreadAnswer::of($facts, $out->found, $helped), HeldBy::of($facts, $out->found, $out->bands, $helped)), $joints);
        $card = new MakeCard($facts, $joints);
        $surfaces = self::surfaces($facts, $out->found, $out->study, $joints);
        $plan = self::plan($facts, $joints, $card, $out->make);
        $pictures = new JobPictures($facts, $out->found, $out->withheld ? [] : $out->bands);
        $survey = SurveyAnswer::of($facts, $pictures, $surfaces);
        $quote = QuoteAnswer::of($facts, $survey, $joints);
        $assembly = AssemblyAnswer::of($facts, $joints, self::press($joints), $survey, $out->withheld);
        $handOver = new HandOverAnswer($facts, $out->making, $joints);
        $stages = new Stages($facts, $surfaces, $joints, $out->making, $plan, $assembly, $handOver);

        return new JobAnswers(
            $facts->id, $out->withheld, $stages->all(), $stages->next(), $surfaces, $joints, $out->make, $plan, $out->making, $assembly, $handOver,
            $survey, $quote, $pictures, Gatekeeper::notes($facts->takeIn), $out->loops, array_map(static fn (ClearanceFacts $c): ClearanceAnswer => ClearanceAnswer::of($c, $out->withheld), $facts->clearances),
            // Each looks back at the job as it was believed to be, in which no mistakes stand: one step, no further.
            array_map(fn (MistakeFacts $m): MistakeAnswer => MistakeAnswer::of($m, $facts, $out, $this), $facts->mistakes),
        );
    }

    /** What comes out at the end: sizes, loops and what is made; without the ways, plans and pictures. */
    public function outcome(JobFacts $facts): Outcome
    {
        $withheld = Gatekeeper::withholds($facts->takeIn);
        $found = FoundSurfaces::of($facts);
        $sizing = new JointSizing($facts, $found, $withheld);
        $joints = [];
        foreach ($facts->joints as $i => $joint) {
            $joints[] = $sizing->size($joint, $i);
        }
        $bands = self::bands($joints);
        $study = new PressStudy($facts, $found, $bands, self::made($facts), $joints);
        $joints = array_map(static fn (JointAnswer $joint): JointAnswer => $sizing->help($study->of($joint)), $joints);
        $lengths = new LoopLengths($facts, $found, $withheld ? [] : $bands);
        $making = array_map(static fn (MakeEntry $e): MakingAnswer => MakingAnswer::of($facts, $e), [...(new MakeCard($facts, $joints))->entries(), ...MakeCard::lengths($facts, $lengths, $bands, $withheld)]);

        return new Outcome(
            $withheld, $found, $sizing, $study, $joints, [...array_map(static fn (array $l): Band => $l['band'], $lengths->bands()), ...$bands],
            array_map(static fn (MakingAnswer $m): MakeEntry => $m->entry->made(self::lastSize($m), $m->verdict?->value), $making), $making,
            array_map(static fn (LoopFacts $l): LoopAnswer|PlaneAnswer => $l->plane ? PlaneAnswer::of($l, $lengths, $withheld) : $lengths->answer($l, $facts->shop, $withheld), $facts->loops),
        );
    }

    /**
     * @param  list<JointAnswer>  $joints
     * @return array<string, Band>
     */
    private static function bands(array $joints): array
    {
        $bands = [];
        foreach ($joints as $joint) {
            if ($joint->make !== null && $joint->sized?->band !== null) {
                $bands[$joint->make->id] = $joint->sized->band;
            }
            if ($joint->toTable?->other !== null && $joint->toTable->otherSized?->band !== null) {
                $bands[$joint->toTable->other->id] = $joint->toTable->otherSized->band;
            }
        }

        return $bands;
    }

    /** @return array<string, Range> the last measured sizes of made surfaces that are not bores yet to close */
    private static function made(JobFacts $facts): array
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

    private static function lastSize(MakingAnswer $making): ?Say
    {
        $last = $making->log->last();

        return $last === null ? null : LengthWriter::size($making->log->atTwenty($last));
    }

    /**
     * @param  array<string, FoundSize>  $found
     * @param  list<JointAnswer>  $joints
     * @return list<SurfaceAnswer>
     */
    private static function surfaces(JobFacts $facts, array $found, PressStudy $study, array $joints): array
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

    /**
     * @param  list<JointAnswer>  $joints
     * @param  list<MakeEntry>  $make
     * @return list<Step>
     */
    private static function plan(JobFacts $facts, array $joints, MakeCard $card, array $make): array
    {
        foreach ($joints as $running) {
            $bore = $running->make;
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

            return BushOrder::of($outside, $before, $after, $length, $held->canBeTight() && $card->finishInPlace($bore, $running, $held), $card->isSintered($bore), ! $held->canBeTight());
        }

        return in_array($facts->kind, ['plain-bush', 'flanged-bush'], true) ? [] : self::operations($facts);
    }

    /** @return list<Step> the operations as quoted, where no order is worked out for the kind */
    private static function operations(JobFacts $facts): array
    {
        return array_map(static fn (OperationFacts $o): Step => new Step(
            $o->id, Say::plain($o->name), 'set-up '.number_format($o->setupMin).' min, '.number_format($o->runMin).' min a piece', 'as quoted',
        ), $facts->operations);
    }

    /** @param  list<JointAnswer>  $joints */
    private static function lengthBand(array $joints): ?Band
    {
        foreach ($joints as $joint) {
            if ($joint->make?->kind === SurfaceKind::Length) {
                return $joint->band();
            }
        }

        return null;
    }

    /** @param  list<JointAnswer>  $joints */
    private static function press(array $joints): ?Press
    {
        foreach ($joints as $joint) {
            if ($joint->press !== null) {
                return $joint->press;
            }
        }

        return null;
    }
}
