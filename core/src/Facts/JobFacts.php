<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Shape\Dimension;

/** Everything a person entered for one job. Answers are computed from it, never kept in it. */
final readonly class JobFacts implements \JsonSerializable
{
    public const FORMAT = 'oldpart-fit/job';

    public const VERSION = 3;

    /** @var array<string, list<ReadingFacts>> those that count, by surface */
    private array $counted;

    /** @var array<string, SurfaceFacts> */
    private array $surfacesById;

    /**
     * @param  list<PartFacts>  $parts
     * @param  list<SurfaceFacts>  $surfaces
     * @param  list<ReadingFacts>  $readings
     * @param  list<JointFacts>  $joints
     * @param  list<CutFacts>  $cuts
     * @param  list<TickFacts>  $ticks
     * @param  list<EvidenceFacts>  $evidence
     * @param  list<PhotoFacts>  $photos
     * @param  list<OperationFacts>  $operations
     * @param  list<CostFacts>  $costs
     */
    public function __construct(
        public string $id,
        public string $machine,
        public string $part,
        public string $kind,
        public Unit $unit,
        public TakeIn $takeIn,
        public ShopFacts $shop,
        public array $parts,
        public array $surfaces,
        public array $readings,
        public array $joints,
        public array $cuts,
        public array $ticks,
        public array $evidence,
        public array $photos,
        public array $operations,
        public array $costs,
        public QuoteFacts $quote,
        public ?WaitFacts $waits,
        public HandOverFacts $handOver,
        /** @var list<PushFacts> */
        public array $pushes = [],
        /** @var list<LoopFacts> */
        public array $loops = [],
        /** @var list<MistakeFacts> */
        public array $mistakes = [],
        /** @var list<ClearanceFacts> */
        public array $clearances = [],
        /** @var list<ConcessionFacts> */
        public array $concessions = [],
        /** @var list<TrialFacts> */
        public array $trials = [],
        /** @var list<ReckoningFacts> */
        public array $reckonings = [],
        public ?PlanFacts $plan = null,
        public BatchFacts $batch = new BatchFacts(),
        public AssemblyFacts $assembly = new AssemblyFacts(),
        /** Where it is practice on simulated parts, never a real job. */
        public ?PracticeFacts $practice = null,
    ) {
        $this->surfacesById = array_column($surfaces, null, 'id');
        $counted = [];
        foreach ($readings as $reading) {
            if ($reading->setAside === null) {
                $counted[$reading->of()][] = $reading;
            }
        }
        $this->counted = $counted;
        $this->checkReferences();
    }

    /**
     * @param  array<string, mixed>  $decoded  an object of the shape of data/job-file.schema.json
     *
     * @throws BadInput naming the field that is wrong
     */
    public static function fromArray(array $decoded): self
    {
        $f = new Fields($decoded);
        $must = static fn (string $name): Fields => $f->object($name) ?? throw $f->bad($name, 'is missing.');

        return new self(
            id: $f->text('id'),
            // Whatever it is called: nobody takes a sheet or a drawing of practice for one of a machine.
            machine: $f->has('practice') ? PracticeFacts::MACHINE : $f->text('machine'),
            part: $f->text('part'),
            kind: $f->text('kind'),
            unit: $f->choice('unit', Unit::class),
            takeIn: TakeIn::read($must('take_in')),
            shop: ShopFacts::read($must('shop')),
            parts: array_map(PartFacts::read(...), $f->objects('parts')),
            surfaces: self::centred(array_map(SurfaceFacts::read(...), $f->objects('surfaces'))),
            readings: array_map(ReadingFacts::read(...), $f->objects('readings')),
            joints: array_map(JointFacts::read(...), $f->objects('joints')),
            cuts: array_map(CutFacts::read(...), $f->objects('cuts')),
            ticks: array_map(TickFacts::read(...), $f->objects('ticks')),
            evidence: array_map(EvidenceFacts::read(...), $f->objects('evidence')),
            photos: array_map(PhotoFacts::read(...), $f->objects('photos')),
            operations: array_map(OperationFacts::read(...), $f->objects('operations')),
            costs: array_map(CostFacts::read(...), $f->objects('costs')),
            quote: QuoteFacts::read($f->object('quote')),
            waits: ($waits = $f->object('waits')) === null ? null : WaitFacts::read($waits),
            handOver: HandOverFacts::read($must('hand_over')),
            pushes: array_map(PushFacts::read(...), $f->objects('pushes')),
            loops: array_map(LoopFacts::read(...), $f->objects('loops')),
            mistakes: array_map(MistakeFacts::read(...), $f->objects('mistakes')),
            clearances: array_map(ClearanceFacts::read(...), $f->objects('clearances')),
            concessions: array_map(ConcessionFacts::read(...), $f->objects('concessions')),
            trials: array_map(TrialFacts::read(...), $f->objects('trials')),
            reckonings: array_map(ReckoningFacts::read(...), $f->objects('reckonings')),
            plan: PlanFacts::read($f->object('plan')),
            batch: BatchFacts::read($f->object('batch')),
            assembly: AssemblyFacts::read($f->object('assembly')),
            practice: ($practice = $f->object('practice')) === null ? null : PracticeFacts::read($practice),
        );
    }

    /**
     * A surface whose centre lies with another's has that one's place: one number moves both.
     *
     * @param  list<SurfaceFacts>  $surfaces
     * @return list<SurfaceFacts>
     *
     * @throws BadInput for one that lies with itself, with one of another part, or with one that is not there
     */
    private static function centred(array $surfaces): array
    {
        $byId = array_column($surfaces, null, 'id');
        foreach ($surfaces as $i => $surface) {
            $leader = $surface;
            for ($n = 0; $leader->centredOn !== null; $n++) {
                $next = $byId[$leader->centredOn] ?? null;
                if ($next === null || $next->part !== $surface->part || $n > count($surfaces)) {
                    throw new BadInput(
                        'no-such-centre',
                        "surfaces.{$i}.centred_on",
                        "“{$surface->name}” has its centre from a surface that is ".match (true) {
                            $next === null => 'not there.',
                            $n > count($surfaces) => 'itself in the end: one of them needs a place of its own.',
                            default => 'of another part. Choose one of the same part.',
                        },
                    );
                }
                $leader = $next;
            }
            $surfaces[$i] = $leader === $surface ? $surface : $surface->placedAs($leader);
        }

        return $surfaces;
    }

    /**
     * The same job with other readings, cuts, loops or mistakes: to see what would be.
     *
     * @param  ?list<ReadingFacts>  $readings
     * @param  ?list<CutFacts>  $cuts
     * @param  ?list<LoopFacts>  $loops
     * @param  ?list<MistakeFacts>  $mistakes
     * @param  ?list<SurfaceFacts>  $surfaces
     */
    public function with(
        ?array $readings = null,
        ?array $cuts = null,
        ?array $loops = null,
        ?array $mistakes = null,
        ?array $surfaces = null,
    ): self {
        return new self(
            id: $this->id,
            machine: $this->machine,
            part: $this->part,
            kind: $this->kind,
            unit: $this->unit,
            takeIn: $this->takeIn,
            shop: $this->shop,
            parts: $this->parts,
            surfaces: $surfaces ?? $this->surfaces,
            readings: $readings ?? $this->readings,
            joints: $this->joints,
            cuts: $cuts ?? $this->cuts,
            ticks: $this->ticks,
            evidence: $this->evidence,
            photos: $this->photos,
            operations: $this->operations,
            costs: $this->costs,
            quote: $this->quote,
            waits: $this->waits,
            handOver: $this->handOver,
            pushes: $this->pushes,
            loops: $loops ?? $this->loops,
            mistakes: $mistakes ?? $this->mistakes,
            clearances: $this->clearances,
            concessions: $this->concessions,
            trials: $this->trials,
            reckonings: $this->reckonings,
            plan: $this->plan,
            batch: $this->batch,
            assembly: $this->assembly,
            practice: $this->practice,
        );
    }

    public function part(string $id): ?PartFacts
    {
        foreach ($this->parts as $part) {
            if ($part->id === $id) {
                return $part;
            }
        }

        return null;
    }

    public function surface(string $id): ?SurfaceFacts
    {
        return $this->surfacesById[$id] ?? null;
    }

    /** The part a surface belongs to. */
    public function partOf(SurfaceFacts $surface): PartFacts
    {
        return $this->part($surface->part) ?? throw new \LogicException('references are checked on reading');
    }

    /** It gets a number and a cut log: its part is made, or it is worked again on a part that is there. */
    public function isCut(SurfaceFacts $surface): bool
    {
        return $surface->work !== null || $this->partOf($surface)->origin === Origin::Make;
    }

    /** @return list<SurfaceFacts> */
    public function surfacesOf(string $partId): array
    {
        return array_values(array_filter($this->surfaces, static fn (SurfaceFacts $s): bool => $s->part === $partId));
    }

    /**
     * @param  string  $key  of a surface, or of a dimension of one
     * @return list<ReadingFacts> those that count
     */
    public function readingsOf(string $key): array
    {
        return $this->counted[$key] ?? [];
    }

    /** @return list<SurfaceFacts> a surface as its size is read, and each dimension of its shape */
    public static function readAs(SurfaceFacts $surface): array
    {
        return [$surface, ...array_map($surface->dimension(...), Dimension::of($surface->type))];
    }

    /**
     * @param  int  $piece  of a batch; the first stands for the job
     * @return list<CutFacts> those that count, oldest first
     */
    public function cutsOf(string $surfaceId, Phase $phase, int $piece = 1): array
    {
        return array_values(
            array_filter(
                $this->cuts,
                static fn (CutFacts $c): bool => $c->surface === $surfaceId
                    && $c->phase === $phase
                    && $c->piece === $piece
                    && $c->setAside === null,
            ),
        );
    }

    public function isTicked(string $code): bool
    {
        return array_filter(
            $this->ticks,
            static fn (TickFacts $t): bool => $t->code === $code && ! $t->failed,
        ) !== [];
    }

    /** One of another kind of surface stays with the record: what a surface is may be said anew after it was read. */
    private static function needDimension(string $code, string $field): void
    {
        if (! Dimension::isKnown($code)) {
            throw new BadInput(
                'no-such-dimension',
                $field,
                "“{$code}” is nothing one reads of a shape. Leave it empty for the size itself.",
            );
        }
    }

    private function checkReferences(): void
    {
        foreach ($this->surfaces as $i => $surface) {
            $this->need($this->part($surface->part) !== null, "surfaces.{$i}.part", $surface->name, 'part');
        }
        foreach ($this->readings as $i => $reading) {
            $this->need($this->surface($reading->surface) !== null, "readings.{$i}.surface", 'A reading', 'surface');
            if ($reading->what !== '') {
                self::needDimension($reading->what, "readings.{$i}.what");
            }
        }
        foreach ($this->cuts as $i => $cut) {
            $this->need($this->surface($cut->surface) !== null, "cuts.{$i}.surface", 'A cut', 'surface');
        }
        $joints = array_map(static fn (JointFacts $j): string => $j->id, $this->joints);
        foreach ($this->pushes as $i => $push) {
            $this->need(in_array($push->joint, $joints, true), "pushes.{$i}.joint", 'A force of the press', 'joint');
        }
        foreach ($this->loops as $i => $loop) {
            foreach ($loop->lengths as $k => $length) {
                $this->need(
                    $length->surface === null || $this->surface($length->surface) !== null,
                    "loops.{$i}.lengths.{$k}.surface",
                    $length->name,
                    'surface',
                );
            }
        }
        foreach ($this->mistakes as $i => $mistake) {
            $this->need(
                $mistake->surface === null || $this->surface($mistake->surface) !== null,
                "mistakes.{$i}.surface",
                'A number that was wrong',
                'surface',
            );
        }
        foreach ($this->batch->mates as $i => $mate) {
            $this->need(in_array($mate->joint, $joints, true), "batch.mates.{$i}.joint", "Mate {$mate->mark}", 'joint');
        }
        $loops = array_map(static fn (LoopFacts $l): string => $l->id, $this->loops);
        foreach (['concessions' => $this->concessions, 'trials' => $this->trials] as $list => $things) {
            $who = $list === 'trials' ? 'A trial' : 'A decision';
            foreach ($things as $i => $thing) {
                $this->need(
                    $thing->joint === null || in_array($thing->joint, $joints, true),
                    "{$list}.{$i}.joint",
                    $who,
                    'joint',
                );
                $this->need(
                    $thing->loop === null || in_array($thing->loop, $loops, true),
                    "{$list}.{$i}.loop",
                    $who,
                    'loop',
                );
            }
        }
        foreach ($this->concessions as $i => $one) {
            $this->need(
                $one->surface === null || $this->surface($one->surface) !== null,
                "concessions.{$i}.surface",
                'A decision',
                'surface',
            );
        }
        foreach ($this->reckonings as $i => $reckoning) {
            foreach (['from' => $reckoning->from, 'gives' => $reckoning->gives] as $which => $surfaces) {
                foreach ($surfaces as $field => $surface) {
                    if ($which === 'gives' && $field === ReckoningFacts::OUTLINE) {
                        $this->need(
                            $this->part($surface) !== null,
                            "reckonings.{$i}.gives.{$field}",
                            $reckoning->name,
                            'part',
                        );

                        continue;
                    }
                    $this->need(
                        $this->surface(ReckoningFacts::surfaceOf($surface)) !== null,
                        "reckonings.{$i}.{$which}.{$field}",
                        $reckoning->name,
                        'surface',
                    );
                }
            }
        }
        foreach ($this->photos as $i => $photo) {
            $this->need(
                $photo->surface === null || $this->surface($photo->surface) !== null,
                "photos.{$i}.surface",
                'A photograph',
                'surface',
            );
        }
        foreach ($this->joints as $i => $joint) {
            $this->need($this->surface($joint->inner) !== null, "joints.{$i}.inner", $joint->name, 'surface');
            $this->need($this->surface($joint->outer) !== null, "joints.{$i}.outer", $joint->name, 'surface');
            $this->need(
                $joint->along === null || $this->surface($joint->along) !== null,
                "joints.{$i}.along",
                $joint->name,
                'surface',
            );
        }
    }

    /** @return list<PushFacts> of a joint, in the order they were seen */
    public function pushesOf(string $joint): array
    {
        return array_values(array_filter($this->pushes, static fn (PushFacts $p): bool => $p->joint === $joint));
    }

    /** Why a step that was done is not right; null where nobody said so. */
    public function failed(string $code): ?string
    {
        foreach ($this->ticks as $tick) {
            if ($tick->code === $code && $tick->failed) {
                return $tick->remark;
            }
        }

        return null;
    }

    /** When something was ticked; null where it was not. */
    public function tickedAt(string $code): ?string
    {
        foreach ($this->ticks as $tick) {
            if ($tick->code === $code) {
                return $tick->at;
            }
        }

        return null;
    }

    private function need(bool $holds, string $field, string $who, string $what): void
    {
        if (! $holds) {
            throw new BadInput('dangling', $field, "{$who} names a {$what} that is not in this job.");
        }
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'id' => $this->id,
            'machine' => $this->machine,
            'part' => $this->part,
            'kind' => $this->kind,
            'unit' => $this->unit->value,
            'take_in' => $this->takeIn,
            'shop' => $this->shop,
            'parts' => $this->parts,
            'surfaces' => $this->surfaces,
            'readings' => $this->readings,
            'joints' => $this->joints,
            'cuts' => $this->cuts,
            'ticks' => $this->ticks,
            'pushes' => $this->pushes,
            'loops' => $this->loops,
            'mistakes' => $this->mistakes,
            'clearances' => $this->clearances,
            'concessions' => $this->concessions,
            'trials' => $this->trials,
            'reckonings' => $this->reckonings,
            'evidence' => $this->evidence,
            'photos' => $this->photos,
            'operations' => $this->operations,
            'costs' => $this->costs,
            'quote' => $this->quote,
            'waits' => $this->waits,
            'plan' => $this->plan === null || $this->plan->isEmpty() ? null : $this->plan,
            'batch' => $this->batch->isEmpty() ? null : $this->batch,
            'assembly' => $this->assembly->isEmpty() ? null : $this->assembly,
            'practice' => $this->practice,
            'hand_over' => $this->handOver,
        ];
    }
}
