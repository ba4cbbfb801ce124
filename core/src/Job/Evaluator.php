<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Facts\ClearanceFacts;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Facts\MistakeFacts;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Quantity\Band;

/**
 * Facts in, answers out: the only place that sees a whole job. Found sizes → demands in order → bands → mechanics → loops → what is made and
 * its log; then ways, plan, pictures, assembly and the record.
 */
final readonly class Evaluator
{
    public function evaluate(JobFacts $facts): JobAnswers
    {
        $out = $this->outcome($facts);
        $joints = self::withWays($facts, $out);
        $surfaces = FoundAnswers::of($facts, $out->found, $out->study, $joints);
        $plan = MakePlan::of($facts, $joints, new MakeCard($facts, $joints), $out->make);
        $pictures = new JobPictures($facts, $out->found, $out->withheld ? [] : $out->bands);
        $survey = SurveyAnswer::of($facts, $pictures, $surfaces);
        $quote = QuoteAnswer::of($facts, $survey, $joints);
        $assembly = AssemblyAnswer::of($facts, $joints, self::press($joints), $survey, $out->withheld);
        $handOver = new HandOverAnswer($facts, $out->making, $joints);
        $stages = new Stages($facts, $surfaces, $joints, $out->making, $plan, $assembly, $handOver);

        return new JobAnswers(
            $facts->id, $out->withheld, $stages->all(), $stages->next(), $surfaces, $joints, $out->make, $plan, $out->making, $assembly,
            $handOver, $survey, $quote, $pictures, Gatekeeper::notes($facts->takeIn), $out->loops, self::clearances($facts, $out),
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
        $sized = array_map($sizing->size(...), $facts->joints, array_keys($facts->joints));
        $bands = MadeBands::of($sized);
        $study = new PressStudy($facts, $found, $bands, MadeBands::made($facts), $sized);
        $joints = array_map(static fn (JointAnswer $joint): JointAnswer => $sizing->help($study->of($joint)), $sized);
        $lengths = new LoopLengths($facts, $found, $withheld ? [] : $bands);
        $entries = [...(new MakeCard($facts, $joints))->entries(), ...MakeCard::lengths($facts, $lengths, $bands, $withheld)];
        $making = array_map(static fn (MakeEntry $entry): MakingAnswer => MakingAnswer::of($facts, $entry), $entries);
        $loops = array_map(
            static fn (LoopFacts $loop): LoopAnswer|PlaneAnswer => $loop->plane
                ? PlaneAnswer::of($loop, $lengths, $withheld) : $lengths->answer($loop, $facts->shop, $withheld),
            $facts->loops,
        );

        return new Outcome(
            $withheld, $found, $sizing, $study, $joints,
            [...array_map(static fn (array $length): Band => $length['band'], $lengths->bands()), ...$bands],
            array_map(static fn (MakingAnswer $made): MakeEntry => $made->entry->made($made->lastSize(), $made->verdict?->value), $making),
            $making, $loops,
        );
    }

    /** @return list<JointAnswer> each with what else would do, how it goes together warm, its thread, and what holds it beside the fit */
    private static function withWays(JobFacts $facts, Outcome $out): array
    {
        $ways = new JointWays($facts, $out->sizing, $out->study);

        return array_map(static fn (JointAnswer $joint): JointAnswer => $joint->withWays(
            $ways->of($joint, JointConditions::of($facts, $out->found, $joint)),
            HotAndCold::of($joint, $facts->shop->temperatureC),
            ThreadAnswer::of($facts, $out->found, $joint),
            HeldBy::of($facts, $out->found, $out->bands, $joint),
        ), $out->joints);
    }

    /** @return list<ClearanceAnswer> */
    private static function clearances(JobFacts $facts, Outcome $out): array
    {
        return array_map(static fn (ClearanceFacts $c): ClearanceAnswer => ClearanceAnswer::of($c, $out->withheld), $facts->clearances);
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
