<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\ClearanceHole;
use Oldpart\Core\Measure\Nominal;
use Oldpart\Core\Measure\NominalKind;
use Oldpart\Core\Pattern\Clocking;
use Oldpart\Core\Pattern\Dividing;
use Oldpart\Core\Pattern\Fastener;
use Oldpart\Core\Pattern\HoleCircle;
use Oldpart\Core\Picture\PatternPicture;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/** A hole circle: its size by what can be read of it, where each hole lies, how it is divided and checked. */
final readonly class PatternWork
{
    /** So many holes have their places listed. */
    private const LISTED = 12;

    /** So many are drilled off one by one. */
    private const DRILLED = 200;

    /** A hole tapped for a bolt is no smaller than this share of it. */
    private const TAPPED = 0.75;

    /** From the centre of a hole to an edge, in its size. Common practice; twice in cast iron and light metal. */
    private const EDGE = 1.5;

    public function __construct(private ShapeCase $case)
    {
    }

    public function surface(): ShapedSurface
    {
        $surface = $this->case->surface;
        $unit = $this->case->sizes->facts->unit;
        try {
            $mate = $this->case->mate === null || ! $this->case->isCut
                ? null
                : KnownPattern::of($this->case->sizes, $this->case->mate, $unit, $surface->count);
            $own = KnownPattern::of($this->case->sizes, $surface, $unit, $this->case->mate?->count);
        } catch (BadInput $bad) {
            return ShapedSurface::open($surface, $this->case->isCut, Say::plain($bad->getMessage()));
        }
        $said = trim($surface->shape ?? '') !== '';
        // What is made goes by what it is said to be, then by what it is bolted to where that was read, then by its
        // own.
        $goes = $this->case->isCut && ! $said && ($mate->isRead ?? false) ? $mate : $own ?? $mate;
        if ($goes === null) {
            return ShapedSurface::open($surface, $this->case->isCut, Say::plain(
                'Count its holes (say how many at Survey), and read over or between pins, or the edges, of two neighbours; or type the circle at Survey: 94, or 3-3/4 in.',
            ));
        }
        $position = $this->position($own?->holeMm, $mate?->holeMm);
        $circle = new HoleCircle(
            $goes->circle->holes,
            $goes->circle->diameterMm,
            $surface->angleDeg ?? $goes->circle->startDeg,
        );

        return new ShapedSurface(
            surface: $surface,
            isCut: $this->case->isCut,
            is: Say::with(
                $circle->holes === 1
                    ? '1 hole on a circle of {d}'
                    : "{$circle->holes} holes on a circle of {d}",
                ['d' => LengthWriter::sizeInWords($circle->diameterMm)],
            ),
            candidates: $said || ! $goes->isRead ? [] : self::meant($goes),
            because: Say::with($goes->how.($goes->u95Mm > 0 ? ' Sure to {u}.' : '').(
                $goes === $mate ? ' Taken from what it is bolted to.' : ''
            ), [
                'u' => LengthWriter::plusMinus($goes->u95Mm),
            ]),
            numbers: $this->numbers($circle, $goes->holeMm ?? $own?->holeMm, $position[0] ?? null),
            sets: $this->case->isCut ? self::sets($circle) : [],
            checks: $this->checks($circle, $goes->holeMm ?? $own?->holeMm),
            notes: [
                ...$this->notes($goes, $circle, $goes->holeMm ?? $own?->holeMm),
                ...$position === null ? [] : [
                    Note::info('position', Say::with("Each hole within a circle of {t} of its place, on either side: then every bolt goes in. Taken: {$position[1]}.", [
                        't' => $position[0],
                    ])),
                ],
            ],
            places: $this->case->isCut ? $this->places($circle) : [],
            picture: PatternPicture::draw($circle, $goes->holeMm ?? $own->holeMm ?? null),
            working: [
                new WorkingStep(
                    'Hole circle',
                    'D = chord / sin(180°/n); x = R cos θ, y = R sin θ',
                    Say::with(
                        $circle->holes === 1
                            ? '{d}, 1 hole, at '.round($circle->startDeg, 3).'°'
                            : "{d}, {$circle->holes} holes, first at ".round($circle->startDeg, 3).'°',
                        ['d' => LengthWriter::size($circle->diameterMm)],
                    ),
                    'geometry',
                ),
            ],
        );
    }

    /**
     * How far each hole may be off, where both sides' holes and so the bolt are known: it decides whether they go in.
     *
     * @return array{Say, string}|null the circle each has to lie within, and for which bolt
     */
    private function position(?float $ownMm, ?float $mateMm): ?array
    {
        $bolt = $ownMm === null || $mateMm === null ? null : ClearanceHole::through(max($ownMm, $mateMm));
        if ($bolt === null || ! $this->case->isCut || $ownMm === null || $mateMm === null) {
            return null;
        }
        if (min($ownMm, $mateMm) < self::TAPPED * $bolt->majorMm) {
            return null;
        }
        $fixed = min($ownMm, $mateMm) < $bolt->majorMm;
        $off = Fastener::positionMm($fixed ? max($ownMm, $mateMm) : min($ownMm, $mateMm), $bolt->majorMm, $fixed);

        return $off <= 0
            ? null
            : [LengthWriter::atMost($off), $bolt->thread.($fixed ? ', one side being tapped or tight on it' : '')];
    }

    /** @return list<ShapeNumber> */
    private function numbers(HoleCircle $circle, ?float $holeMm, ?Say $position): array
    {
        $numbers = [ShapeNumber::size('Hole circle', $circle->diameterMm)];
        if ($circle->holes > 1) {
            $numbers[] = ShapeNumber::size('From hole to hole', $circle->chordMm());
        }
        if ($holeMm !== null) {
            $numbers[] = ShapeNumber::size('Each hole', $holeMm);
        }
        if ($position !== null) {
            $numbers[] = ShapeNumber::said('Each within ⌀', $position);
        }
        foreach ($circle->holes <= self::LISTED ? $circle->points() : [] as $i => $p) {
            $numbers[] = ShapeNumber::said(
                'Hole '.($i + 1).', '.round($circle->angleDeg($i), 2).'°: x, y',
                Say::with('{x}, {y}', [
                    'x' => LengthWriter::signed($p->x),
                    'y' => LengthWriter::signed($p->y),
                ]),
            );
        }

        return $numbers;
    }

    /** @return list<ShapeCandidate> */
    private static function meant(KnownPattern $known): array
    {
        $nominal = Nominal::of(NominalKind::Circle, $known->circle->diameterMm, max(0.01, $known->u95Mm), false);

        return array_map(
            static fn ($c): ShapeCandidate => new ShapeCandidate(
                $c->label,
                $c->family,
                $c->probability,
            ),
            array_slice($nominal->candidates, 0, 3),
        );
    }

    /** @return list<ShapePlace> from the middle of the circle; from the part's own zero where that is said */
    private function places(HoleCircle $circle): array
    {
        $surface = $this->case->surface;
        [$x, $y] = [$surface->x->length->mm ?? 0.0, $surface->y->length->mm ?? 0.0];
        $places = [];
        foreach ($circle->holes <= self::DRILLED ? $circle->points() : [] as $i => $point) {
            $tick = "hole:{$surface->id}:".($i + 1);
            $places[] = new ShapePlace(
                number: $i + 1,
                xMm: $x + $point->x,
                yMm: $y + $point->y,
                deg: $circle->angleDeg($i),
                tick: $tick,
                isDrilled: $this->case->sizes->facts->isTicked($tick),
            );
        }

        return $places;
    }

    /** @return list<Say> */
    private static function sets(HoleCircle $circle): array
    {
        $way = Dividing::into($circle->holes);
        $rest = $way->ways[0] ?? null;
        $holes = match (true) {
            $rest === null => ': no plate gives it, go by the places above',
            $rest['holes'] === 0 => '',
            default => " and {$rest['holes']} holes of {$rest['plate']}",
        };

        return [
            Say::plain('Find the centre first: sweep the bore or spigot it belongs to, and set both dials to zero there.'),
            Say::plain('Spot every hole before any is drilled, and check one chord; then drill.'),
            Say::plain("On a dividing head of 40 to 1: {$way->turns} turns{$holes}, for each."),
        ];
    }

    /** @return list<Say> */
    private function checks(HoleCircle $circle, ?float $holeMm): array
    {
        if ($circle->holes < 2) {
            return [Say::plain('Check it from the edge and from the centre both.')];
        }
        $checks = [
            $holeMm === null
                ? Say::with('Two neighbours are {c} apart, middle to middle; all of them alike.', ['c' => LengthWriter::size($circle->chordMm())])
                : Say::with('Over pins of {h} in two neighbours it reads {o}, between them {b}; all round alike.', [
                    'h' => LengthWriter::size($holeMm),
                    'o' => LengthWriter::size($circle->chordMm() + $holeMm),
                    'b' => LengthWriter::size($circle->chordMm() - $holeMm),
                ]),
        ];
        if ($circle->holes % 2 === 0) {
            $checks[] = Say::with('Opposite ones are {d} apart.', ['d' => LengthWriter::size($circle->diameterMm)]);
        }

        return $checks;
    }

    /** @return list<Note> */
    private function notes(KnownPattern $goes, HoleCircle $circle, ?float $holeMm): array
    {
        $notes = [];
        if ($this->case->surface->angleDeg === null) {
            $notes[] = Note::info('first-hole', 'The first hole is taken to lie to the right, at 0°: nobody said. It can be said at Survey.');
        }
        if (! $goes->isRead && trim($this->case->surface->shape ?? '') === '') {
            $notes[] = Note::caution('pattern-noted', 'Nobody read it: read over pins before you drill to it.');
        }
        $outside = $this->case->sizes->round($this->case->surface, SurfaceType::Shaft);
        if ($outside !== null && $holeMm !== null && $outside->mm > $circle->diameterMm) {
            $edge = ($outside->mm - $circle->diameterMm) / 2;
            if ($edge < self::EDGE * $holeMm) {
                $notes[] = Note::caution('hole-edge', Say::with('Only {e} from the middle of a hole to the edge: one and a half times its size is wanted, twice in cast iron and light metal.', [
                    'e' => LengthWriter::difference($edge),
                ]));
            }
        }
        if ($circle->holes === 2) {
            $notes[] = Note::info('opposite', 'Two stand opposite each other: dowels hold direction best so, and do not upset balance. Ream them through both parts bolted together, and mark which way round they go.');
        }
        $clocked = $holeMm === null ? null : $this->clocked($circle, $holeMm);

        return $clocked === null ? $notes : [...$notes, $clocked];
    }

    /** Another circle on the same part: how the two are turned so that no hole breaks into another. */
    private function clocked(HoleCircle $circle, float $holeMm): ?Note
    {
        foreach ($this->case->sizes->facts->surfacesOf($this->case->surface->part) as $other) {
            if ($other->type !== SurfaceType::HolePattern || $other->id === $this->case->surface->id) {
                continue;
            }
            try {
                $its = KnownPattern::of($this->case->sizes, $other, $this->case->sizes->facts->unit, null);
            } catch (BadInput) {
                $its = null;
            }
            if ($its !== null && $its->holeMm !== null) {
                return $this->turned($other, $its, $circle, $holeMm, $its->holeMm);
            }
        }

        return null;
    }

    private function turned(
        SurfaceFacts $other,
        KnownPattern $its,
        HoleCircle $circle,
        float $holeMm,
        float $otherHoleMm,
    ): Note {
        $way = Clocking::of($its->circle, $otherHoleMm, $circle, $holeMm);
        $values = ['w' => LengthWriter::difference(abs($way->wallMm))];
        $turn = round($way->turnDeg, 2);

        return $way->wallMm < $holeMm
            ? Note::caution('pattern-clocking', Say::with(
                $way->wallMm < 0
                    ? "It breaks into “{$other->name}” whichever way it is turned: take another circle or smaller holes."
                    : "Beside “{$other->name}”: turned by {$turn}° from there it leaves {w} between holes, less than one of them.",
                $values,
            ))
            : Note::info('pattern-clocking', Say::with("Beside “{$other->name}”: turned by {$turn}° from there it leaves most, {w}.", $values));
    }
}
