<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Batch;

use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\MateFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Making\Pairing;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\Warmth;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;

/** The pieces of a batch and the mates of one joint: who goes with whom, and what size the mates left over ask for. */
final readonly class MatedPieces
{
    /**
     * @param  list<MateFacts>  $mates
     * @param  list<FoundSize>  $found  the size of each
     * @param  list<int>  $pieces  numbers of those that can be put in
     * @param  list<CutProgress>  $cuts  of each
     * @param  list<int>  $fitsNone  numbers of those that go into none of the mates as they are
     * @param  ?Pairing  $pairing  null while no piece is made
     * @param  list<int>  $scrapped
     */
    private function __construct(
        public SizedJoint $joint,
        public Range $wanted,
        public array $mates,
        public array $found,
        public array $pieces,
        public array $cuts,
        public array $fitsNone,
        public ?Pairing $pairing,
        private array $scrapped = [],
    ) {
    }

    /**
     * @param  array<int, array<string, CutProgress>>  $logged  what was cut of a piece, by its number, by entry
     * @return ?self null where no mates are measured one by one, or nothing is wanted of the joint
     */
    public static function of(JobFacts $facts, SizedJoint $joint, array $logged): ?self
    {
        $mates = array_values(array_filter(
            $facts->batch->mates,
            static fn (MateFacts $m): bool => $m->joint === $joint->joint->id,
        ));
        $surface = $facts->surface($joint->makesInner() ? $joint->joint->outer : $joint->joint->inner);
        $make = $joint->withheld ? null : $joint->make;
        if ($mates === [] || $joint->wantedMm === null || $make === null || $surface === null) {
            return null;
        }
        $alpha = FoundSurfaces::material($facts->partOf($surface))->alphaPerK ?? Warmth::STEEL;
        $warmth = new Warmth($alpha, halfWidthK: FoundSurfaces::TEMPERATURE_UNSURE_K);
        $room = $facts->shop->temperatureC;
        $found = array_map(static function (MateFacts $m) use ($facts, $surface, $warmth, $room): FoundSize {
            $tool = $facts->shop->instruments->named($m->instrument);
            $mm = $m->size->length->mm + $tool->jawShiftMm($surface->kind, $m->size->length->mm)->middle();

            $reading = new Reading($mm, partC: $room, gaugeC: $room);

            return (new Readings($surface->kind, [$reading], $tool, $warmth))->found();
        }, $mates);
        $cuts = [];
        foreach ($logged as $piece => $of) {
            foreach ($of as $cut) {
                $its = $cut->entry->surface->id === $make->id && $cut->entry->phase !== Phase::Before;
                if ($its && ! in_array($piece, $facts->batch->scrapped, true)) {
                    $cuts[$piece] = $cut;
                }
            }
        }
        $clearance = static fn (CutProgress $cut, FoundSize $mate): Range => self::between($joint, $cut, $mate);
        $wanted = $joint->wantedMm;
        // One that goes into none of them yet is still being cut, or lost: it takes no mate away from the others.
        $fits = array_filter($cuts, static fn (CutProgress $cut): bool => array_filter(
            $found,
            static fn (FoundSize $mate): bool => $clearance($cut, $mate)->max >= $wanted->min
                && $clearance($cut, $mate)->min <= $wanted->max,
        ) !== []);
        $with = static fn (callable $of): array => array_map(static fn (CutProgress $cut): array => array_map(
            static fn (FoundSize $mate): float => $of($clearance($cut, $mate)),
            $found,
        ), array_values($fits));

        return new self(
            joint: $joint,
            wanted: $wanted,
            mates: $mates,
            found: $found,
            pieces: array_keys($fits),
            cuts: array_values($fits),
            fitsNone: array_keys(array_diff_key($cuts, $fits)),
            pairing: $fits === [] ? null : Pairing::best(
                $with(static fn (Range $r): float => $r->middle()),
                $with(static fn (Range $r): float => $r->width() / 2),
                $wanted,
            ),
            scrapped: $facts->batch->scrapped,
        );
    }

    /**
     * The mate a piece goes with, or is made for: of those left over each piece to come takes the next.
     *
     * @return ?int place of the mate; null where none is left
     */
    public function mateOf(int $piece): ?int
    {
        $at = array_search($piece, $this->pieces, true);
        if ($at !== false) {
            return $this->pairing->mates[$at] ?? null;
        }
        $left = array_values(array_diff(array_keys($this->mates), $this->pairing->mates ?? []));
        $before = 0;
        for ($p = 1; $p < $piece; $p++) {
            $taken = in_array($p, $this->pieces, true) || in_array($p, $this->scrapped, true);
            $before += $taken ? 0 : 1;
        }

        return in_array($piece, $this->scrapped, true) ? null : $left[$before] ?? null;
    }

    /** Whether it is what goes into the mates, at its final size. */
    public function isOf(MakeEntry $entry): bool
    {
        return $entry->surface->id === $this->joint->make?->id && $entry->phase !== Phase::Before;
    }

    /**
     * Clearance of a piece in a mate, with both doubts in quadrature, mm. Source: JCGM 100.
     *
     * @param  int  $piece  place among the pieces
     * @param  int  $mate  place among the mates
     */
    public function clearance(int $piece, int $mate): Range
    {
        return self::between($this->joint, $this->cuts[$piece], $this->found[$mate]);
    }

    private static function between(SizedJoint $joint, CutProgress $cut, FoundSize $mate): Range
    {
        $gap = ($joint->makesInner() ? 1 : -1) * ($mate->meanMm - (float) $cut->sizeMm());
        $by = hypot($cut->u95(), $mate->sureMm());

        return new Range($gap - $by, $gap + $by);
    }

    /** To what a piece is made for a mate, so that it is surely as wanted; null where its reading leaves nothing. */
    public function madeFor(int $mate): ?Band
    {
        $found = $this->found[$mate];
        $u = $found->sureMm();

        return $this->joint->makesInner()
            ? Band::between($found->meanMm - $this->wanted->max + $u, $found->meanMm - $this->wanted->min - $u)
            : Band::between($found->meanMm + $this->wanted->min + $u, $found->meanMm + $this->wanted->max - $u);
    }

    /** @return ?int place of the piece that goes to a mate */
    public function pieceFor(int $mate): ?int
    {
        $piece = array_search($mate, $this->pairing->mates ?? [], true);

        return $piece === false ? null : $piece;
    }
}
