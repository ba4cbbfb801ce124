<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Assembly\JobAssembly;
use Oldpart\Core\Evaluate\Batch\BatchRun;
use Oldpart\Core\Evaluate\Found\JudgedSurface;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Making\CutState;
use Oldpart\Core\Making\QuoteVerdict;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Quantity\LengthWriter;

/** What is open in each of the eight stages, and the one thing to do next. */
final readonly class Stages
{
    /**
     * @param  list<JudgedSurface>  $surfaces
     * @param  list<SizedJoint>  $joints
     * @param  list<CutProgress>  $making
     * @param  list<Step>  $plan
     */
    public function __construct(
        private JobFacts $facts,
        private array $surfaces,
        private array $joints,
        private array $making,
        private array $plan,
        private JobAssembly $assembly,
        private ?BatchRun $batch = null,
    ) {
    }

    /** @return list<StageAnswer> */
    public function all(): array
    {
        return [
            $this->takeIn(),
            $this->survey(),
            $this->measure(),
            $this->size(),
            $this->planned(),
            $this->make(),
            $this->assemble(),
            $this->handedOver(),
        ];
    }

    public function next(): NextStep
    {
        if ($this->isFinished()) {
            return new NextStep(Say::plain('Handed over'), 'hand-over');
        }
        foreach ($this->facts->ticks as $tick) {
            if ($tick->failed) {
                return new NextStep(Say::plain("Back to Make: {$tick->remark}"), 'make');
            }
        }
        $unmeasured = $this->unmeasured();
        $repeat = $this->toRepeat();

        return match (true) {
            $this->declined() => new NextStep(Say::plain('Declined: send the letter'), 'take-in'),
            Gatekeeper::withholds($this->facts->takeIn) && trim($this->facts->takeIn->failed) !== '' => new NextStep(
                Say::plain('Somebody named must accept responsibility before any size is issued'),
                'take-in',
            ),
            $this->takeIn()->open > 0 => new NextStep(
                Say::plain(
                    $this->facts->takeIn->gatesAnswered
                        ? 'Say what came in and what failed'
                        : 'Answer the safety question',
                ),
                'take-in',
            ),
            $this->survey()->open > 0 => new NextStep(
                Say::plain(
                    $this->bareParts() === 0 ? 'Say what the parts are made of' : 'Lay out the surfaces that matter',
                ),
                'survey',
            ),
            $unmeasured !== [] => new NextStep(
                Say::plain('Measure the '.lcfirst($unmeasured[0]->name())),
                'measure',
                $unmeasured[0]->key(),
            ),
            $repeat !== [] => new NextStep(
                Say::plain(
                    'Measure the '.
                        lcfirst($repeat[0]->name()).
                        ' again: the reading is not good enough yet',
                ),
                'measure',
                $repeat[0]->key(),
            ),
            $this->size()->open > 0 => new NextStep(Say::plain('Choose the fits'), 'size'),
            $this->make()->open > 0 => $this->nextCut(),
            $this->assembly->open() > 0 => new NextStep(
                Say::plain('Put it together: '.$this->assembly->open().' things to tick'),
                'assemble',
            ),
            default => new NextStep(Say::plain('Hand it over'), 'hand-over'),
        };
    }

    private function isFinished(): bool
    {
        return $this->facts->handOver->finishedAt !== null;
    }

    private function nextCut(): NextStep
    {
        foreach ($this->asked() as $making) {
            if (! $this->isMade($making)) {
                $next = $making->next;
                $says = match (true) {
                    $next !== null && $next->state === CutState::Cut => Say::with('{n}: dial {d}', [
                        'n' => $making->entry->label,
                        'd' => LengthWriter::difference($next->dialMm),
                    ]),
                    $next !== null && $next->state === CutState::Past => Say::with(
                        '{n} is past its band: decide what to do',
                        ['n' => $making->entry->label],
                    ),
                    $next !== null => Say::with('{n}: read it again with something surer', [
                        'n' => $making->entry->label,
                    ]),
                    default => Say::with('Cut the {n}', ['n' => lcfirst($making->entry->label)]),
                };

                return new NextStep($says, 'make', $making->entry->key());
            }
        }

        return $this->isBatchDone()
            ? new NextStep(Say::plain('Hand it over'), 'hand-over')
            : new NextStep(Say::plain($this->batch?->next() ?? ''), 'make');
    }

    private function takeIn(): StageAnswer
    {
        $takeIn = $this->facts->takeIn;
        if ($this->declined()) {
            return new StageAnswer('take-in', 'Take in', 'declined', 0);
        }
        $open =
            (int) (trim($this->facts->machine) === '') +
            (int) (trim($takeIn->failed) === '') +
            (int) ! $takeIn->gatesAnswered +
            (int) Gatekeeper::withholds($takeIn);

        return new StageAnswer('take-in', 'Take in', $open === 0 ? 'done' : "{$open} to answer", $open);
    }

    public function declined(): bool
    {
        return $this->facts->quote->decided === QuoteVerdict::Decline;
    }

    private function bareParts(): int
    {
        return count(
            array_filter($this->facts->parts, fn (PartFacts $p): bool => $this->facts->surfacesOf($p->id) === []),
        );
    }

    private function survey(): StageAnswer
    {
        $open = count(
            array_filter(
                $this->facts->parts,
                static fn (PartFacts $p): bool => $p->material === null && $p->origin !== Origin::Bought,
            ),
        );
        $bare = $this->bareParts();

        return new StageAnswer(
            'survey',
            'Survey',
            match (true) {
                $bare > 0 => self::of($bare, 'bare part'),
                $open > 0 => self::of($open, 'material'),
                default => 'done',
            },
            $open + $bare,
        );
    }

    private function measure(): StageAnswer
    {
        $new = count($this->unmeasured());
        $repeat = count($this->toRepeat());

        return new StageAnswer(
            'measure',
            'Measure',
            match (true) {
                $new > 0 => "{$new} to measure",
                $repeat > 0 => "{$repeat} to repeat",
                default => 'done',
            },
            $new + $repeat,
        );
    }

    /** @return list<JudgedSurface> */
    private function unmeasured(): array
    {
        return array_values(
            array_filter(
                $this->surfaces,
                static fn (JudgedSurface $s): bool => $s->found === null && $s->mustMeasure(),
            ),
        );
    }

    /** @return list<JudgedSurface> */
    private function toRepeat(): array
    {
        return array_values(
            array_filter(
                $this->surfaces,
                static fn (JudgedSurface $s): bool => $s->goodEnough?->verdict === 'not-good-enough',
            ),
        );
    }

    private function size(): StageAnswer
    {
        $toSize = array_filter($this->joints, static fn (SizedJoint $j): bool => $j->isSized());
        $all = count($toSize);
        $sized = count(array_filter($toSize, static fn (SizedJoint $j): bool => $j->band() !== null));

        return new StageAnswer(
            'size',
            'Size',
            $sized === $all ? self::of($all, 'joint') : "{$sized} of {$all} sized",
            $all - $sized,
        );
    }

    private function planned(): StageAnswer
    {
        return new StageAnswer(
            'plan',
            'Plan',
            $this->plan === [] ? 'needs sizes' : self::of(count($this->plan), 'step'),
            0,
        );
    }

    private function make(): StageAnswer
    {
        $asked = $this->asked();
        $all = count($asked);
        $made = count(array_filter($asked, $this->isMade(...)));
        $begun = array_filter($this->making, static fn (CutProgress $m): bool => $m->log->last() !== null);

        return new StageAnswer(
            'make',
            'Make',
            match (true) {
                $all > 0 && $made === $all && ! $this->isBatchDone() => "{$this->batch?->good()} of {$this->batch?->wanted()} good",
                $all > 0 && $made === $all => 'made',
                $begun === [] => 'not begun',
                default => "{$made} of {$all} made",
            },
            $all - $made + ($this->isBatchDone() ? 0 : 1),
        );
    }

    private function isBatchDone(): bool
    {
        return $this->batch === null || $this->batch->isDone();
    }

    /** @return list<CutProgress> those that have to come out at something */
    private function asked(): array
    {
        return array_values(array_filter(
            $this->making,
            static fn (CutProgress $m): bool => ! $m->entry->free && ! ($m->entry->rest && $m->entry->band === null),
        ));
    }

    private function isMade(CutProgress $making): bool
    {
        return $making->decision !== null
            || $making->verdict === Acceptance::Inside
            || ($making->verdict === Acceptance::CannotTell && $making->next?->state === CutState::Inside);
    }

    private function assemble(): StageAnswer
    {
        $open = $this->assembly->open();

        return new StageAnswer('assemble', 'Assemble', $open === 0 ? 'done' : "{$open} to tick", $open);
    }

    private function handedOver(): StageAnswer
    {
        return new StageAnswer(
            'hand-over',
            'Hand over',
            $this->isFinished() ? 'done' : 'open',
            $this->isFinished() ? 0 : 1,
        );
    }

    private static function of(int $count, string $what): string
    {
        return "{$count} {$what}".($count === 1 ? '' : 's');
    }
}
