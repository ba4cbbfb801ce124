<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Batch;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\BatchFacts;
use Oldpart\Core\Facts\CutFacts;
use Oldpart\Core\Facts\Decision;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Quantity\Range;

/** The pieces of a batch: what is measured of each, how its sizes run from piece to piece, and what it goes with. */
final readonly class BatchRun
{
    /** What is looked at first. */
    private const FIRST = [
        PieceState::Bad,
        PieceState::Doubt,
        PieceState::Unsure,
        PieceState::Started,
        PieceState::Open,
    ];

    /**
     * @param  array<int, array<string, CutProgress>>  $logged  what was cut of a piece, by its number, by entry
     * @param  array<int, PieceState>  $states  by number of the piece
     * @param  list<SurfaceRun>  $runs
     * @param  list<MatedPieces>  $mated
     */
    private function __construct(
        private JobFacts $facts,
        public array $logged,
        public array $states,
        public array $runs,
        public array $mated,
    ) {
    }

    /**
     * @param  list<CutProgress>  $first  the first piece, which stands for the job
     * @param  list<SizedJoint>  $joints
     * @return ?self null where there is only one
     */
    public static function of(JobFacts $facts, array $first, array $joints): ?self
    {
        $most = max([1, ...array_map(static fn (CutFacts $c): int => $c->piece, $facts->cuts)]);
        $pieces = max($facts->takeIn->quantity, $most, $facts->batch->piece);
        if ($pieces < 2) {
            return null;
        }
        $cut = [];
        foreach ($facts->cuts as $one) {
            if ($one->setAside === null && $one->piece > 1) {
                $cut["{$one->surface}:{$one->phase->value}"][$one->piece] = true;
            }
        }
        $logged = [];
        foreach ($first as $of) {
            $key = $of->entry->key();
            if ($of->sizeMm() !== null) {
                $logged[1][$key] = $of;
            }
            foreach (array_keys($cut[$key] ?? []) as $piece) {
                $logged[$piece][$key] = CutProgress::of($facts, $of->entry, piece: $piece);
            }
        }
        ksort($logged);
        $asked = array_filter(
            array_map(static fn (CutProgress $c): MakeEntry => $c->entry, $first),
            static fn (MakeEntry $e): bool => $e->band !== null && ! $e->free,
        );
        $mated = array_values(array_filter(array_map(
            static fn (SizedJoint $j): ?MatedPieces => MatedPieces::of($facts, $j, $logged),
            $joints,
        )));
        foreach ($logged as $piece => $cuts) {
            $logged[$piece] = array_map(
                static fn (CutProgress $c): CutProgress => self::toItsMate($facts, $mated, $c, $piece),
                $cuts,
            );
        }
        $states = self::states(
            facts: $facts,
            pieces: min($pieces, BatchFacts::MOST_PIECES),
            logged: $logged,
            asked: array_values($asked),
        );
        $run = new self($facts, $logged, $states, [], $mated);

        return new self(
            facts: $facts,
            logged: $logged,
            states: $states,
            runs: array_values(array_filter(array_map(
                static fn (MakeEntry $e): ?SurfaceRun => SurfaceRun::of($e, $run->sizesOf($e), $pieces),
                $asked,
            ))),
            mated: $mated,
        );
    }

    /**
     * @param  array<int, array<string, CutProgress>>  $logged
     * @param  list<MakeEntry>  $asked
     * @return array<int, PieceState>
     */
    private static function states(JobFacts $facts, int $pieces, array $logged, array $asked): array
    {
        $states = [];
        for ($piece = 1; $piece <= $pieces; $piece++) {
            $states[$piece] = in_array($piece, $facts->batch->scrapped, true)
                ? PieceState::Scrap
                : self::measured($logged[$piece] ?? [], $asked);
        }
        // What was not measured is as good as what was, before and after it.
        $measured = static fn (PieceState $s): bool => in_array($s, [PieceState::Good, PieceState::Bad], true);
        $after = null;
        for ($piece = $pieces; $piece >= 1; $piece--) {
            $state = $states[$piece];
            if ($state !== PieceState::Open) {
                $after = $measured($state) ? $state : $after;
            } elseif ($after !== null && ! self::isDue($facts, $piece, $pieces)) {
                $states[$piece] = $after === PieceState::Bad || ! self::goodBefore($states, $piece)
                    ? PieceState::Doubt
                    : PieceState::Between;
            }
        }

        return $states;
    }

    /** @param  array<int, PieceState>  $states */
    private static function goodBefore(array $states, int $piece): bool
    {
        for ($p = $piece - 1; $p >= 1; $p--) {
            if ($states[$p] === PieceState::Good || $states[$p] === PieceState::Bad) {
                return $states[$p] === PieceState::Good;
            }
        }

        return false;
    }

    /**
     * @param  array<string, CutProgress>  $cuts
     * @param  list<MakeEntry>  $asked
     */
    private static function measured(array $cuts, array $asked): PieceState
    {
        [$good, $bad, $unsure] = [0, 0, 0];
        foreach ($asked as $entry) {
            $cut = $cuts[$entry->key()] ?? null;
            $accepted = $cut?->decision?->decision === Decision::Accepted;
            $out = in_array($cut?->verdict, [Acceptance::Above, Acceptance::Below], true);
            $good += $accepted || $cut?->verdict === Acceptance::Inside ? 1 : 0;
            $unsure += ! $accepted && $cut?->verdict === Acceptance::CannotTell && ! $cut->hasMetalLeft() ? 1 : 0;
            $bad += $out && ! $accepted && $cut?->hasMetalLeft() === false ? 1 : 0;
        }

        return match (true) {
            $bad > 0 => PieceState::Bad,
            $good === count($asked) && $good > 0 => PieceState::Good,
            $unsure > 0 && $good + $unsure === count($asked) => PieceState::Unsure,
            $cuts !== [] => PieceState::Started,
            default => PieceState::Open,
        };
    }

    /** It is to be measured: the first, every n-th after it, and the last. */
    private static function isDue(JobFacts $facts, int $piece, int $pieces): bool
    {
        return $piece === $pieces || ($piece - 1) % $facts->batch->every === 0;
    }

    /** The piece that stands for the job where it is handed over: the first that is not scrap. */
    public function first(): int
    {
        foreach ($this->states as $piece => $state) {
            if ($state !== PieceState::Scrap) {
                return $piece;
            }
        }

        return 1;
    }

    /**
     * What is cut of a piece, each to the mate it goes with where those are measured one by one.
     *
     * @param  list<CutProgress>  $first  the first piece, which stands for the job
     * @return list<CutProgress>
     */
    public function ofPiece(int $piece, array $first): array
    {
        return array_map(fn (CutProgress $of): CutProgress => self::toItsMate(
            $this->facts,
            $this->mated,
            $piece === 1 ? $of : CutProgress::of($this->facts, $of->entry, piece: $piece),
            $piece,
        ), $first);
    }

    /** Clearance of a piece in the mate it goes with, mm; null where it goes with none that was measured for itself. */
    public function achieved(int $piece, string $joint): ?Range
    {
        foreach ($this->mated as $of) {
            $at = array_search($piece, $of->pieces, true);
            $mate = $at === false ? null : $of->pairing?->mates[$at] ?? null;
            if ($of->joint->joint->id === $joint && $at !== false && $mate !== null) {
                return $of->clearance($at, $mate);
            }
        }

        return null;
    }

    /** @param  list<MatedPieces>  $mated */
    private static function toItsMate(JobFacts $facts, array $mated, CutProgress $of, int $piece): CutProgress
    {
        foreach ($mated as $one) {
            $mate = $one->isOf($of->entry) ? $one->mateOf($piece) : null;
            $band = $mate === null ? null : $one->madeFor($mate);
            if ($mate === null || $band === null) {
                continue;
            }
            $mark = $one->mates[$mate]->mark;
            $remark = Say::plain("For {$mark} of “{$one->joint->joint->name}”, as it was measured for itself.");

            return CutProgress::of(
                $facts,
                $of->entry->narrowed($band, null, $remark),
                $piece === 1 ? $of->read : null,
                $piece,
            );
        }

        return $of;
    }

    /** @return array<int, CutProgress> what was measured of one surface, by number of the piece, scrap with it */
    public function sizesOf(MakeEntry $entry): array
    {
        return array_filter(array_map(
            static fn (array $cuts): ?CutProgress => $cuts[$entry->key()] ?? null,
            $this->logged,
        ));
    }

    public function count(PieceState ...$states): int
    {
        return count(array_filter(
            $this->states,
            static fn (PieceState $s): bool => in_array($s, $states, true),
        ));
    }

    public function wanted(): int
    {
        return $this->facts->takeIn->quantity;
    }

    public function good(): int
    {
        return count(array_filter($this->states, static fn (PieceState $s): bool => $s->counts()));
    }

    /** As many as are wanted can be handed over, and nothing is left in doubt. */
    public function isDone(): bool
    {
        return $this->good() >= $this->wanted() && $this->count(PieceState::Bad, PieceState::Doubt) === 0;
    }

    public function says(): string
    {
        $wanted = $this->wanted();
        $count = fn (string $what, PieceState $state): string => $this->count($state) === 0
            ? ''
            : "{$this->count($state)} {$what}";
        $spare = max(0, $this->good() - $wanted);
        $missing = max(0, $wanted - $this->good());
        $rest = array_filter([
            $count('not measured, between two that are', PieceState::Between),
            $spare === 0 ? '' : "{$spare} to spare",
            $count('scrap', PieceState::Scrap),
            $count('outside', PieceState::Bad),
            $count('in doubt', PieceState::Doubt),
            $count('too near a limit to tell', PieceState::Unsure),
            $count('begun', PieceState::Started),
        ]);

        return "{$this->good()} of {$wanted} good".($rest === [] ? '' : ': '.implode(', ', $rest)).'. '
            .($missing === 0 ? 'That is all of them.' : "{$missing} still to come.");
    }

    /** What to do next; null when nothing is. */
    public function next(): ?string
    {
        if ($this->isDone()) {
            return null;
        }
        $first = $this->first();
        if (! $this->states[$first]->counts() && $first < count($this->states)) {
            return "First-off: make and measure all of piece {$first} before the next is begun.";
        }
        foreach (self::FIRST as $state) {
            $piece = array_search($state, $this->states, true);
            if ($piece !== false) {
                return match ($state) {
                    PieceState::Bad => "Piece {$piece} is outside: look why before the next is cut.",
                    PieceState::Doubt => "Measure piece {$piece}: the next that was measured is not good.",
                    PieceState::Unsure => "Piece {$piece}: read it with something surer, or accept it.",
                    PieceState::Started => "Piece {$piece}: measure what is left of it.",
                    default => self::isDue($this->facts, $piece, count($this->states))
                        ? "Piece {$piece} next, to be measured."
                        : "Piece {$piece} next; measure it or go on to the next that is due.",
                };
            }
        }
        $extra = count($this->states) + 1;

        return "Piece {$extra} next, for one that was scrapped.";
    }
}
