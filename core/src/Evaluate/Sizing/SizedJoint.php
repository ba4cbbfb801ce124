<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\BearingSeat;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\Seat;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;

/** One joint: the fits on offer, the one taken, what it makes the size, and the press it comes to. */
final readonly class SizedJoint
{
    /**
     * @param  list<array{offer: Offer, sized: ?SizeToMate, chosen: bool}>  $offers
     * @param  ?SurfaceFacts  $make  the surface to make; null when neither side is made
     * @param  ?SurfaceFacts  $mate  the measured other side
     * @param  ?Say  $blocked  what stands in the way of a size
     * @param  list<Note>  $notes
     */
    public function __construct(
        public JointFacts $joint,
        public Purpose $purpose,
        public array $offers,
        public string $chosen,
        public ?Range $wantedMm,
        public ?SurfaceFacts $make,
        public ?SurfaceFacts $mate,
        public string $mateName,
        public string $makeName,
        public ?FoundSize $mateFound,
        public ?SizeToMate $sized,
        public ?GoodEnough $goodEnough,
        public ?Say $blocked,
        public bool $withheld,
        public array $notes,
        public ?Press $press = null,
        public ?Say $pressBlocked = null,
        public ?BearingSeat $seat = null,
        public ?ToTable $toTable = null,
        /** The side made first, where this joint gives it its limits too, and those. */
        public ?SurfaceFacts $first = null,
        public ?SizeToMate $firstSized = null,
        /** It is made to the other side once that is made and measured. */
        public bool $waits = false,
        /** Clearance of two parts that are both there already, with the doubt of both, mm. */
        public ?Range $pairMm = null,
        /** Where the fit can't be promised: the size most likely to work, which is the one given. */
        public ?BestForJoint $best = null,
        /** What its chance is worked out from; null where the mate was not found, or nobody says what works. */
        public ?SizingCase $case = null,
        /** Of two parts that are both there: by what they work, and by how much the outer one still closes, mm. */
        private ?PairChance $pairChance = null,
        private ?Range $closing = null,
        /** By how much the mate still changes as its part is pressed, mm, below 0 where it closes; null: it stays. */
        public ?Range $mateChangeMm = null,
    ) {
    }

    /**
     * Made to a mate that still changes: to what it will be, whatever that comes to.
     *
     * @param  list<array{offer: Offer, sized: ?SizeToMate, chosen: bool}>  $offers
     */
    public function madeToChange(Range $changeMm, array $offers, SizeToMate $sized, ?SizingCase $case, Note $note): self
    {
        return $this->changed(
            sized: $sized,
            notes: [...$this->notes, $note],
            case: $case,
            offers: $offers,
            mateChangeMm: $changeMm,
        );
    }

    /** How the mate changes is not known yet. */
    public function noting(Note $note): self
    {
        return $this->changed(notes: [...$this->notes, $note]);
    }

    /** The chance that it works, made anywhere in its limits, or as the two are; null where that is not known. */
    public function chance(): ?float
    {
        $band = $this->band();

        return match (true) {
            $this->pairChance !== null && ! $this->withheld => $this->pairChance->of($this->closing),
            $band === null || $this->case === null => null,
            $this->best !== null => $this->best->best->chance,
            default => $this->case->sizes()->checkedTo($this->case->checkedTo())->chanceOver($band),
        };
    }

    /** Made to what is most likely to work, within other limits than before. */
    public function likely(BestForJoint $best): self
    {
        return $this->changed(best: $best, sized: SizeToMate::given($best->best->band));
    }

    public function band(): ?Band
    {
        return $this->withheld ? null : $this->sized?->band;
    }

    /** A size is to come out of it: one side is made, and not to a shape's own standard. */
    public function isSized(): bool
    {
        return $this->make !== null && $this->purpose->shape === null;
    }

    /** The inner part is made to a measured outer one. */
    public function makesInner(): bool
    {
        return $this->make !== null && $this->make->id === $this->joint->inner;
    }

    public function isTight(): bool
    {
        $range = $this->pairMm ?? $this->wantedMm;

        return $range !== null ? $range->max <= 0 : $this->purpose->tight;
    }

    /** Its least clearance is below zero: at one end of its range at least it has to be pressed. */
    public function canBeTight(): bool
    {
        $range = $this->pairMm ?? $this->wantedMm;

        return $range !== null ? $range->min < 0 : $this->purpose->tight;
    }

    /** The size both have to each other where the mate was not read, mm: of the bearing, or of the class. */
    public function nominalMm(): ?float
    {
        return $this->toTable?->fit->sizeMm ??
            $this->firstSized?->band?->middleMm() ??
            ($this->seat === null
                ? null
                : ($this->purpose->seat === Seat::Shaft
                    ? $this->seat->bearing->boreMm
                    : $this->seat->bearing->outsideMm));
    }

    /** No size is likelier than not, and why. */
    public function unlikely(Say $blocked): self
    {
        return new self(
            joint: $this->joint,
            purpose: $this->purpose,
            offers: $this->offers,
            chosen: $this->chosen,
            wantedMm: $this->wantedMm,
            make: $this->make,
            mate: $this->mate,
            mateName: $this->mateName,
            makeName: $this->makeName,
            mateFound: $this->mateFound,
            sized: null,
            goodEnough: $this->goodEnough,
            blocked: $blocked,
            withheld: $this->withheld,
            notes: $this->notes,
            seat: $this->seat,
            first: $this->first,
            firstSized: $this->firstSized,
        );
    }

    /** Its chance by narrower limits of what works, and why. */
    public function within(SizingCase $case, ?Note $why = null): self
    {
        return $this->changed(case: $case, notes: $why === null ? null : [...$this->notes, $why]);
    }

    /** Two parts that are there, as they will be once one of them is pressed in. */
    public function closed(Range $pairMm, Range $closing, Note $note): self
    {
        return $this->changed(pairMm: $pairMm, closing: $closing, notes: [$note]);
    }

    public function withPress(?Press $press, ?Say $blocked): self
    {
        return $this->changed(press: $press, pressBlocked: $blocked, isPressed: true);
    }

    /**
     * @param  ?list<Note>  $notes
     * @param  list<array{offer: Offer, sized: ?SizeToMate, chosen: bool}>|null  $offers
     */
    private function changed(
        ?SizeToMate $sized = null,
        ?array $notes = null,
        ?Press $press = null,
        ?Say $pressBlocked = null,
        bool $isPressed = false,
        ?Range $pairMm = null,
        ?BestForJoint $best = null,
        ?SizingCase $case = null,
        ?Range $closing = null,
        ?array $offers = null,
        ?Range $mateChangeMm = null,
    ): self {
        return new self(
            joint: $this->joint,
            purpose: $this->purpose,
            offers: $offers ?? $this->offers,
            chosen: $this->chosen,
            wantedMm: $this->wantedMm,
            make: $this->make,
            mate: $this->mate,
            mateName: $this->mateName,
            makeName: $this->makeName,
            mateFound: $this->mateFound,
            sized: $sized ?? $this->sized,
            goodEnough: $this->goodEnough,
            blocked: $this->blocked,
            withheld: $this->withheld,
            notes: $notes ?? $this->notes,
            press: $isPressed ? $press : $this->press,
            pressBlocked: $isPressed ? $pressBlocked : $this->pressBlocked,
            seat: $this->seat,
            toTable: $this->toTable,
            first: $this->first,
            firstSized: $this->firstSized,
            waits: $this->waits,
            pairMm: $pairMm ?? $this->pairMm,
            best: $best ?? $this->best,
            case: $case ?? $this->case,
            pairChance: $this->pairChance,
            closing: $closing ?? $this->closing,
            mateChangeMm: $mateChangeMm ?? $this->mateChangeMm,
        );
    }
}
