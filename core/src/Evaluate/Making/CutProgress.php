<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\ConcessionFacts;
use Oldpart\Core\Facts\CutFacts;
use Oldpart\Core\Facts\Decision;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Making\CutState;
use Oldpart\Core\Making\NextCut;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** Cutting one surface: where it stands, what to dial next, and whether it is inside. */
final readonly class CutProgress
{
    private function __construct(
        public MakeEntry $entry,
        public CutLog $log,
        public ?NextCut $next,
        public ?Acceptance $verdict,
        public float $roughMm,
        /** As it was read when it was finished: surer than the log. */
        public ?FoundSize $read = null,
        /** What was decided of it, where it is not as asked, or not known. */
        public ?ConcessionFacts $decision = null,
        /** Of a batch; the first stands for the job. */
        public int $piece = 1,
    ) {
    }

    /**
     * @param  ?FoundSize  $read  as it was read when it was finished: of the first piece of a batch
     * @param  int  $piece  of a batch; the first stands for the job
     */
    public static function of(JobFacts $facts, MakeEntry $entry, ?FoundSize $read = null, int $piece = 1): self
    {
        $read = $entry->phase === Phase::Before ? null : $read;
        $log = CutLog::of($facts, $entry->surface, $entry->phase, $piece);
        $band = $entry->band;
        $last = $log->last();
        $now = $last === null ? null : $log->atTwenty($last);
        $verdict = match (true) {
            $band === null => null,
            $read !== null => self::worst($read, $band),
            $now !== null => self::ofLast($last, Acceptance::of($now, $log->u95(), $band)),
            default => null,
        };

        return new self(
            entry: $entry,
            log: $log,
            next: $band === null || $now === null || $read !== null
                ? null
                : NextCut::toward(
                    kind: $entry->surface->cutAs(),
                    target: $band,
                    nowMm: $now,
                    roughMm: $facts->shop->roughCutMm,
                    history: array_column($log->taken(), 1),
                    aim: $entry->aim(),
                    learned: Learned::forSurface($facts, $entry->surface),
                    polished: $facts->shop->polishesLast,
                ),
            verdict: $verdict,
            roughMm: $facts->shop->roughCutMm,
            read: $read,
            decision: self::decided($facts, $entry, $last?->id, $verdict, $read !== null || $now !== null),
            piece: $piece,
        );
    }

    /** The last decision that still stands: of the size it has now, and where there is something to decide. */
    private static function decided(
        JobFacts $facts,
        MakeEntry $entry,
        ?string $cut,
        ?Acceptance $verdict,
        bool $made,
    ): ?ConcessionFacts {
        $standing = null;
        foreach ($facts->concessions as $one) {
            $of = $one->surface === $entry->surface->id && $one->phase === $entry->phase;
            $stands = match ($one->decision) {
                Decision::Accepted => $made && ($one->cut === null || $one->cut === $cut),
                Decision::ByOthers => true,
                Decision::NotMeasured => ! $made,
            };
            $stands = $stands && $verdict !== Acceptance::Inside;
            $standing = $of && $stands ? $one : $standing;
        }

        return $standing;
    }

    /** Where it is not clean all round, what was read is not the size of all of it. */
    private static function ofLast(?CutFacts $last, Acceptance $verdict): Acceptance
    {
        return $last?->clean === false && $verdict === Acceptance::Inside ? Acceptance::CannotTell : $verdict;
    }

    /** Of its smallest and its largest spot the one that is worse. */
    private static function worst(FoundSize $read, Band $band): Acceptance
    {
        $small = Acceptance::of($read->smallestMm(), $read->sureMm(), $band);

        return $small === Acceptance::Inside ? Acceptance::of($read->largestMm(), $read->sureMm(), $band) : $small;
    }

    /** As it was measured last, at 20 °C, mm; null while nothing is. */
    public function sizeMm(): ?float
    {
        $last = $this->log->last();

        return $this->read->meanMm ?? ($last === null ? null : $this->log->atTwenty($last));
    }

    /** It is not at its limits yet, and can still be cut to them. */
    public function hasMetalLeft(): bool
    {
        return $this->next?->state === CutState::Cut && $this->verdict !== Acceptance::Inside;
    }

    /** How sure that is, mm. */
    public function u95(): float
    {
        return $this->read->u95Mm ?? $this->log->u95();
    }

    /** What its gauge reads to, mm. */
    public function stepMm(): float
    {
        return $this->log->stepMm();
    }

    public function lastSize(): ?Say
    {
        $mm = $this->sizeMm();

        return $mm === null ? null : LengthWriter::size($mm);
    }

    /** @return list<float> the sizes to come by the cuts planned, mm */
    public function plannedMm(): array
    {
        $sizes = $this->log->sizes();
        if ($this->next === null || $sizes === []) {
            return [];
        }
        $planned = [];
        $size = $sizes[count($sizes) - 1];
        foreach ($this->next->plan as $cut) {
            if ($cut->takeMm > 0) {
                $size += ($this->entry->surface->grows() ? 1 : -1) * $cut->takeMm;
                $planned[] = $size;
            }
        }

        return $planned;
    }

    /** @return list<Note> */
    public function notes(): array
    {
        if ($this->entry->band === null) {
            return [];
        }
        $notes = $this->next->notes ?? [];
        $shift = $this->log->warmShift();
        if (abs($shift) > 0.1 * $this->entry->band->widthMm()) {
            $notes[] = Note::caution(
                'cut-warm',
                Say::with(
                    $shift > 0
                        ? 'Read warm: it will shrink by {s}. The size here is corrected for it, but let it cool before you accept it.'
                        : 'Read cold: it will grow by {s}. The size here is corrected for it, but let it come to the warmth of the shop before you accept it.',
                    ['s' => LengthWriter::difference($shift)],
                ),
            );
        }
        if ($this->log->last()?->clean === false && $this->read === null) {
            $notes[] = Note::stop('not-clean', $this->hasMetalLeft()
                ? 'Not clean all round yet: no size counts until it is. Cut on, and look again before the last cut.'
                : 'Not clean all round, and nothing is left to cut: it was worn or cast deeper than its limits. Build it up, sleeve it, or make it anew.');
        } elseif ($this->verdict === Acceptance::CannotTell) {
            $notes[] = Note::caution(
                'cannot-tell',
                Say::with(
                    'It is within ±{u} of a limit: the reading can’t tell which side. Read it with something surer before you accept it.',
                    ['u' => LengthWriter::difference($this->u95())],
                ),
            );
        }

        return $notes;
    }
}
