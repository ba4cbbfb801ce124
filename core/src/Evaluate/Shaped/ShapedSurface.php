<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Quantity\Band;

/** A surface that is no plain diameter or length: what it is, its numbers, how it is set and cut, how it is checked. */
final readonly class ShapedSurface implements \JsonSerializable
{
    /**
     * @param  list<ShapeCandidate>  $candidates  likeliest first
     * @param  list<ShapeNumber>  $numbers  the first is the one to cut to
     * @param  list<Say>  $sets
     * @param  list<Say>  $checks
     * @param  list<Note>  $notes
     * @param  list<WorkingStep>  $working
     */
    public function __construct(
        public SurfaceFacts $surface,
        public bool $isCut,
        /** What it is, or is to be; null while that is not known. */
        public ?Say $is,
        /** What is missing to say more. */
        public ?Say $missing = null,
        public array $candidates = [],
        /** Limits of the size that stands for it; null where it has none. */
        public ?Band $band = null,
        /** Why just these. */
        public ?Say $because = null,
        public array $numbers = [],
        public array $sets = [],
        public array $checks = [],
        public array $notes = [],
        public ?Drawing $picture = null,
        public array $working = [],
        /** @var list<ShapePlace> of a pattern that is drilled */
        public array $places = [],
        /** Of a taper: how much its diameter changes for as much along. */
        public ?float $onDiameter = null,
    ) {
    }

    public static function open(SurfaceFacts $surface, bool $isCut, Say $missing): self
    {
        return new self(surface: $surface, isCut: $isCut, is: null, missing: $missing);
    }

    /** With what each of its numbers came out at. */
    public function read(ShapeSizes $sizes): self
    {
        return new self(
            surface: $this->surface,
            isCut: $this->isCut,
            is: $this->is,
            missing: $this->missing,
            candidates: $this->candidates,
            band: $this->band,
            because: $this->because,
            numbers: array_map(
                fn (ShapeNumber $n): ShapeNumber => $n->what === null ? $n : $n->made(
                    $sizes->done($this->surface, $n->what),
                ),
                $this->numbers,
            ),
            sets: $this->sets,
            checks: $this->checks,
            notes: $this->notes,
            picture: $this->picture,
            working: $this->working,
            places: $this->places,
            onDiameter: $this->onDiameter,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'surface' => $this->surface->id,
            'name' => $this->surface->name,
            'cut' => $this->isCut,
            // Nothing is fitted to it: it waits until it is asked for.
            'edge' => $this->surface->type->isEdge() && $this->band === null,
            'is' => $this->is,
            'missing' => $this->missing,
            'candidates' => $this->candidates,
            'because' => $this->because,
            'numbers' => $this->numbers,
            'sets' => $this->sets,
            'checks' => $this->checks,
            'notes' => $this->notes,
            'picture' => $this->picture,
            'working' => $this->working,
            'places' => $this->places,
            // Of a taper: one in so many, to cut it by how far it still stands out.
            'one_in' => $this->onDiameter === null || $this->onDiameter <= 0 ? null : 1 / $this->onDiameter,
        ];
    }
}
