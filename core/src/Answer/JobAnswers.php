<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Evaluate\Assembly\JobAssembly;
use Oldpart\Core\Evaluate\Assembly\WholeChance;
use Oldpart\Core\Evaluate\Batch\BatchRun;
use Oldpart\Core\Evaluate\Evaluator;
use Oldpart\Core\Evaluate\Found\JudgedSurface;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Evaluate\Loops\SolvedLoop;
use Oldpart\Core\Evaluate\Loops\SolvedPlane;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Making\KnockOn;
use Oldpart\Core\Evaluate\Making\MakeCard;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Making\MakePlan;
use Oldpart\Core\Evaluate\Making\ToolNeeds;
use Oldpart\Core\Evaluate\Mechanics\HeldBy;
use Oldpart\Core\Evaluate\Mechanics\HotAndCold;
use Oldpart\Core\Evaluate\Mechanics\JointThread;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Evaluate\Quote\JobQuote;
use Oldpart\Core\Evaluate\Reckoned\Reckoned;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Evaluate\Shapes\JobShapes;
use Oldpart\Core\Evaluate\Shapes\JobSurvey;
use Oldpart\Core\Evaluate\Sizing\JointConditions;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Evaluate\Trials\JointTrials;
use Oldpart\Core\Evaluate\Trials\LoopTrials;
use Oldpart\Core\Facts\ClearanceFacts;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\MistakeFacts;
use Oldpart\Core\Making\HoleTools;
use Oldpart\Core\Making\LatheDial;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Remedy\Deviation;
use Oldpart\Core\Remedy\JointHelp;
use Oldpart\Core\Remedy\JointWays;
use Oldpart\Core\Remedy\Mistake;

/** Everything the product says about a job. Computed from the facts, never stored. */
final readonly class JobAnswers implements \JsonSerializable
{
    /**
     * @param  list<StageAnswer>  $stages
     * @param  list<JudgedSurface>  $surfaces
     * @param  list<SizedJoint>  $joints
     * @param  list<JointAnswer>  $jointAnswers  the joints as they are shown, with what helps to choose and to hold
     * @param  list<SolvedLoop|SolvedPlane>  $loops
     * @param  list<ClearanceAnswer>  $clearances
     * @param  list<Mistake>  $mistakes
     * @param  list<MakeEntry>  $make
     * @param  list<Step>  $plan
     * @param  list<CutProgress>  $making
     * @param  list<Note>  $notes
     */
    private function __construct(
        public string $id,
        public bool $withheld,
        public array $stages,
        public NextStep $next,
        public array $surfaces,
        public array $joints,
        public array $jointAnswers,
        public array $loops,
        public array $clearances,
        public array $mistakes,
        public array $make,
        public array $plan,
        public array $making,
        public JobAssembly $assembly,
        public HandOverAnswer $handOver,
        public JobSurvey $survey,
        public JobQuote $quote,
        public JobShapes $shapes,
        public JobPictures $pictures,
        public array $notes,
        public ?WholeChance $whole,
        /** @var list<ShapedSurface> tapers, threads, keyways, teeth, flats */
        public array $shaped,
        /** @var list<Reckoned> the sums of the job */
        public array $reckoned,
        /** @var array<string, ?LoopTrials> by loop, and by joint of two lengths */
        private array $loopTrials,
        private KnockOn $knockOn,
        private ?LatheDial $dial,
        private HoleTools $tools,
        /** Null where there is only one. */
        public ?BatchAnswer $batch = null,
        /** @var list<CutProgress> of the piece of a batch that is in hand */
        private array $inHand = [],
        /** @var array<string, Deviation> by what is cut: what was cut too far */
        private array $deviations = [],
    ) {
    }

    /**
     * @param  bool  $shown  with what helps to choose a fit and to hold it: much work, and only a screen asks for it
     *
     * @throws BadInput for facts that contradict each other, with the field that does
     */
    public static function of(JobFacts $facts, bool $shown = true): self
    {
        $evaluator = new Evaluator();
        $out = $evaluator->outcome($facts);
        $surfaces = JudgedSurface::all($facts, $out);
        $shapes = new JobShapes($facts, $out->found, $out->withheld ? [] : $out->bands, $out->shapeBands());
        $plan = MakePlan::of(
            $facts,
            $out->joints,
            card: new MakeCard($facts, $out->joints, $out->study),
            make: $out->make,
            shaped: $out->shapes,
            shapes: $shapes->shapes,
        );
        $survey = JobSurvey::of($facts, $shapes, $surfaces);
        $assembly = JobAssembly::of($facts, $out, $survey);
        $batch = BatchRun::of($facts, $out->making, $out->joints);
        $making = $batch === null ? $out->making : $batch->ofPiece($batch->first(), $out->making);
        $inHand = $batch === null ? $making : $batch->ofPiece($facts->batch->piece, $out->making);
        $stages = new Stages(
            facts: $facts,
            surfaces: $surfaces,
            joints: $out->joints,
            making: $making,
            plan: $plan,
            assembly: $assembly,
            batch: $batch,
        );

        $clearances = array_map(
            static fn (ClearanceFacts $c): ClearanceAnswer => ClearanceAnswer::of($c, $out->withheld),
            $facts->clearances,
        );
        $whole = WholeChance::of(
            $out,
            array_map(
                static fn (ClearanceAnswer $c): array => [
                    'id' => $c->id(),
                    'name' => $c->name(),
                    'chance' => $c->chance(),
                ],
                $clearances,
            ),
        );

        return new self(
            id: $facts->id,
            withheld: $out->withheld,
            stages: $stages->all(),
            next: $stages->next(),
            surfaces: $surfaces,
            joints: $out->joints,
            jointAnswers: $shown ? self::jointAnswers($facts, $out) : [],
            loops: $out->loops,
            clearances: $clearances,
            // Each looks back at the job as it was believed to be, in which no mistakes stand: one step, no further.
            mistakes: array_map(
                static fn (MistakeFacts $m): Mistake => Mistake::of($m, $facts, $out, $evaluator),
                $facts->mistakes,
            ),
            make: $out->make,
            plan: $plan,
            making: $making,
            assembly: $assembly,
            handOver: new HandOverAnswer(
                making: $making,
                joints: $out->joints,
                concessions: $facts->concessions,
                shapes: $out->shapes,
                batch: $batch,
                hands: new HandsAnswer($facts),
            ),
            survey: $survey,
            quote: JobQuote::of(
                $facts,
                $survey,
                $out->joints,
                ToolNeeds::of($facts, $out->make, $out->shapes, $shapes->shapes)->buy,
            ),
            shapes: $shapes,
            pictures: new JobPictures($shapes),
            notes: Gatekeeper::notes($facts->takeIn),
            whole: $whole,
            shaped: $out->shapes,
            reckoned: $out->reckoned,
            loopTrials: $out->trials,
            knockOn: new KnockOn($facts, $out->shapes),
            dial: LatheDial::of($facts->shop->machinesOf('lathe')),
            tools: $facts->shop->holeTools(),
            batch: $batch === null ? null : new BatchAnswer($facts, $batch),
            inHand: $inHand,
            deviations: $shown ? self::deviations($facts, $out, $inHand) : [],
        );
    }

    /**
     * @return list<JointAnswer> each with what else would do, how it goes together warm, its thread, and what holds it beside the fit
     */
    private static function jointAnswers(JobFacts $facts, Outcome $out): array
    {
        $ways = new JointWays($facts, $out->sizing, $out->study);

        return array_map(
            static fn (SizedJoint $joint): JointAnswer => new JointAnswer(
                of: $joint,
                help: JointHelp::of($facts, $out, $joint),
                ways: $ways->of($joint, JointConditions::of($facts, $out->found, $joint)),
                hotAndCold: HotAndCold::of($joint, $facts->shop->temperatureC, $facts->shop->machines),
                thread: JointThread::of($facts, $out->found, $joint),
                held: HeldBy::of($facts, $out->found, $out->bands, $joint),
                trials: JointTrials::of($facts, $joint),
                together: $out->trials[$joint->joint->id] ?? null,
                bothCut: self::bothCut($facts, $joint->joint),
            ),
            $out->joints,
        );
    }

    /**
     * @param  list<CutProgress>  $making
     * @return array<string, Deviation> by what is cut
     */
    private static function deviations(JobFacts $facts, Outcome $out, array $making): array
    {
        $deviations = [];
        foreach ($making as $cut) {
            $deviations[$cut->entry->key()] = Deviation::of($facts, $out, $cut);
        }

        return array_filter($deviations);
    }

    private static function bothCut(JobFacts $facts, JointFacts $joint): bool
    {
        [$inner, $outer] = [$facts->surface($joint->inner), $facts->surface($joint->outer)];

        return $inner !== null && $outer !== null && $facts->isCut($inner) && $facts->isCut($outer);
    }

    /** What is written at each turned part that is cut, for its shop drawing. */
    public function shopViews(JobFacts $facts): ShopViews
    {
        return new ShopViews($facts, $this->shapes, $this->make, $this->shaped);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'withheld' => $this->withheld,
            'stages' => $this->stages,
            'next' => $this->next,
            'surfaces' => array_map(
                static fn (JudgedSurface $s): SurfaceAnswer => new SurfaceAnswer($s),
                $this->surfaces,
            ),
            'joints' => $this->jointAnswers,
            'loops' => array_map(
                fn (SolvedLoop|SolvedPlane $l): LoopAnswer|PlaneAnswer => $l instanceof SolvedLoop
                    ? new LoopAnswer($l, $this->loopTrials[$l->facts->id] ?? null)
                    : new PlaneAnswer($l),
                $this->loops,
            ),
            'clearances' => $this->clearances,
            'mistakes' => array_map(static fn (Mistake $m): MistakeAnswer => new MistakeAnswer($m), $this->mistakes),
            'make' => $this->batch === null ? $this->make : array_map(
                static fn (CutProgress $c): MakeEntry => $c->entry->made(
                    $c->lastSize(),
                    $c->hasMetalLeft() ? null : $c->verdict?->value,
                ),
                $this->inHand,
            ),
            'plan' => $this->plan,
            'making' => array_map(
                fn (CutProgress $c): MakingAnswer => new MakingAnswer(
                    $c,
                    $this->knockOn->of($c->entry->surface),
                    $this->dial,
                    $this->tools,
                    $this->deviations[$c->entry->key()] ?? null,
                ),
                $this->inHand,
            ),
            'batch' => $this->batch,
            'assembly' => new AssemblyAnswer($this->assembly),
            'hand_over' => $this->handOver,
            'survey' => new SurveyAnswer($this->survey, $this->pictures),
            'quote' => new QuoteAnswer($this->quote),
            'picture' => $this->pictures->assembly(),
            'whole' => $this->whole,
            'shaped' => $this->shaped,
            'reckoned' => $this->reckoned,
            'notes' => $this->notes,
        ];
    }
}
