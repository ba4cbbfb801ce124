<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Evaluate\Mechanics\WarmJoint;
use Oldpart\Core\Evaluate\Shapes\Sizes;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\Side;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\BearingSeat;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\School;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;

/** Sizes the made side of each joint to the measured one. */
final readonly class JointSizing
{
    /**
     * @param  array<string, FoundSize>  $found  what is there, and what is made and measured
     * @param  array<string, Band>  $bands  limits of what is made, by surface, where something else gives them
     * @param  array<string, array<string, FoundSize>>  $before  what was there before it was cut
     */
    public function __construct(
        private JobFacts $facts,
        private array $found,
        private bool $withheld,
        private array $bands = [],
        private array $before = [],
    ) {
    }

    public function size(JointFacts $joint, int $index): SizedJoint
    {
        $purpose = Purpose::named($joint->purpose, "joints.{$index}.purpose");
        $inner = $this->facts->surface($joint->inner);
        $outer = $this->facts->surface($joint->outer);
        assert($inner !== null && $outer !== null);
        $makeShaft = $this->facts->isCut($inner) && JointOrder::first($this->facts, $joint) !== Side::Inner;
        $make = $makeShaft ? $inner : ($this->facts->isCut($outer) ? $outer : null);
        $mate = $makeShaft ? $outer : $inner;
        $found = $this->found[$mate->id] ?? null;
        $old = $purpose->copiesOld ? OldPair::of($this->facts, $joint, $this->found, $this->before) : null;
        $custom = $this->custom($joint, $index) ?? $old?->wantedMm;
        if ($make === null && $purpose->shape === null) {
            $pair = ExistingPair::of(
                facts: $this->facts,
                joint: $joint,
                purpose: $purpose,
                found: $this->found,
                custom: $custom,
                withheld: $this->withheld,
            );
            if ($pair !== null) {
                return $pair;
            }
        }
        $seat = $this->seat($joint, $index, $purpose);
        if ($seat !== null && $make !== null && $found === null && $custom === null && ! $this->facts->isCut($mate)) {
            return (new ToClass($this->facts, $this->withheld))->bearing($joint, $purpose, $seat, $make, $mate);
        }
        $waits = $make !== null && $found === null && $purpose->shape === null && $this->facts->isCut($mate);
        if ($waits && $joint->first !== null) {
            $waiting = $this->waiting($joint, $purpose, $make, $mate, $custom);
            if ($waiting !== null) {
                return $waiting;
            }
        }
        $nominal =
            $found === null && $make !== null && $purpose->shape === null && ! $purpose->isLength
                ? ToClass::nominal($make, $mate)
                : null;
        if (
            $nominal !== null
            && ($this->facts->isCut($mate)
                || ($custom === null && $this->facts->partOf($mate)->origin === Origin::Bought))
        ) {
            $standard = (new ToClass($this->facts, $this->withheld))->standard(
                joint: $joint,
                purpose: $purpose,
                nominalMm: $nominal,
                make: $make,
                mate: $mate,
                wish: $custom,
            );
            if ($standard !== null) {
                return $standard;
            }
        }
        if ($make === null || $found === null || $purpose->shape !== null || ($old !== null && $custom === null)) {
            $blocked = match (true) {
                $purpose->shape !== null => Say::plain(ucfirst($purpose->says).'.'),
                $make === null => Say::plain('Neither side of this joint is to be made.'),
                $old?->blocked !== null => $old->blocked,
                $waits && $joint->first !== null => Say::plain(
                    'It is made to the '.
                        lcfirst($mate->name).
                        ', which is made first: give that a size with its limits at Survey.',
                ),
                $waits => Say::plain(
                    'Both sides are to be made: type the size they are to have, at Survey, and take a class of ISO or inch; or say which is made first.',
                ),
                default => self::measureFirst($mate),
            };

            return new SizedJoint(
                joint: $joint,
                purpose: $purpose,
                offers: [],
                chosen: 'none',
                wantedMm: $custom,
                make: $make,
                mate: $mate,
                mateName: $mate->name,
                makeName: $make->name ?? '',
                mateFound: null,
                sized: null,
                goodEnough: null,
                blocked: $blocked,
                withheld: $this->withheld,
                notes: $old->notes ?? [],
            );
        }
        $table = TableSize::of($mate, $found, $purpose);
        $offers = [...$seat === null ? [] : [ToClass::seatOffer($seat, $makeShaft)], ...$purpose->offers($table->mm)];
        $chosen = $custom === null ? $this->choose($offers, $joint->school, $joint->fit) : null;
        $wanted = $custom ?? ($chosen->clearanceMm ?? throw new \LogicException('the thumb always offers'));
        $sized = $this->sizeFor($makeShaft, $found, $wanted);
        $rows = array_map(
            fn (Offer $o): array => [
                'offer' => $o,
                'sized' => $this->sizeFor($makeShaft, $found, $o->clearanceMm),
                'chosen' => $o === $chosen,
            ],
            $offers,
        );
        $asked = $chosen === null ? 'What was typed' : $chosen->label;
        $works = Works::of($purpose, $found->meanMm, $wanted, $custom !== null);
        $case =
            $works === null
                ? null
                : new SizingCase(
                    facts: $this->facts,
                    joint: $joint,
                    purpose: $purpose,
                    make: $make,
                    mate: $mate,
                    found: $found,
                    works: $works,
                );
        $promised = array_values(array_filter($rows, static fn (array $r): bool => $r['sized']->band !== null));
        $best =
            $sized->band === null && $case !== null
                ? BestForJoint::of(
                    $case,
                    $asked,
                    array_map(static fn (array $r): Offer => $r['offer'], $promised),
                )
                : null;
        $blocked = match (true) {
            $this->withheld => Gatekeeper::sentence(),
            $sized->band === null && $best === null => $sized->notes[0]->say,
            default => null,
        };

        return new SizedJoint(
            joint: $joint,
            purpose: $purpose,
            offers: $rows,
            chosen: $chosen === null ? 'limits' : $chosen->school->value,
            wantedMm: $wanted,
            make: $make,
            mate: $mate,
            mateName: $mate->name,
            makeName: $make->name,
            mateFound: $found,
            sized: $best === null ? $sized : SizeToMate::given($best->best->band),
            goodEnough: $this->judge($mate, $found, $wanted),
            blocked: $blocked,
            withheld: $this->withheld,
            notes: [
                ...$old->notes ?? [],
                ...array_values(array_filter($found->notes(), static fn (Note $n): bool => $n->code === 'typed')),
                ...$this->facts->isCut($mate) ? [self::madeFirst($mate, $found)] : [],
                ...$table->isFound
                    ? []
                    : [
                        Note::info(
                            'read-at-nominal',
                            Say::with(
                                'The tables are read at {n}, as it was meant; found, it lies beyond a step of theirs.',
                                ['n' => LengthWriter::sizeInWords($table->mm)],
                            ),
                        ),
                    ],
                ...ShopNotes::of($this->facts, $joint, $sized),
                ...$purpose->isLength ? [] : WarmJoint::notes($this->facts, $joint, $purpose, $wanted, $found->meanMm),
            ],
            seat: $seat,
            first: ($first = $this->firstToTable($joint, $purpose, $make, $mate)) === null ? null : $mate,
            firstSized: $first,
            best: $best,
            case: $case,
        );
    }

    private static function measureFirst(SurfaceFacts $mate): Say
    {
        $name = lcfirst($mate->name);
        $typed = $mate->size !== null && $mate->source !== null && ! $mate->source->isRough();

        return $typed
            ? Say::with("Measure the {$name}; or say at Survey how sure its typed {s} is, and that is taken as it is.", [
                's' => LengthWriter::sizeInWords($mate->size->length->mm),
            ])
            : Say::plain("Measure the {$name}.");
    }

    private static function madeFirst(SurfaceFacts $mate, FoundSize $found): Note
    {
        return Note::info(
            'made-first',
            Say::with('The '.lcfirst($mate->name).' is made and came out at {s} ±{u}: this is made to that.', [
                's' => LengthWriter::size($found->meanMm),
                'u' => LengthWriter::atLeast($found->sureMeanMm()),
            ]),
        );
    }

    /** What the side made first was made to, where nothing but the class of this joint said it. */
    private function firstToTable(
        JointFacts $joint,
        Purpose $purpose,
        SurfaceFacts $make,
        SurfaceFacts $mate,
    ): ?SizeToMate {
        $nominal = ToClass::nominal($make, $mate);
        if ($nominal === null || ! $this->facts->isCut($mate) || isset($this->bands[$mate->id])) {
            return null;
        }

        return (new ToClass($this->facts, $this->withheld))->standard(
            joint: $joint,
            purpose: $purpose,
            nominalMm: $nominal,
            make: $make,
            mate: $mate,
            wish: null,
        )?->firstSized;
    }

    /**
     * Made to the side that is made first, once that is measured. What it will come to, by the limits of that one, is
     * said ahead. Null where nothing gives that one any.
     */
    private function waiting(
        JointFacts $joint,
        Purpose $purpose,
        SurfaceFacts $make,
        SurfaceFacts $mate,
        ?Range $custom,
    ): ?SizedJoint {
        $byClass = isset($this->bands[$mate->id]) ? null : $this->firstToTable($joint, $purpose, $make, $mate);
        $first = $this->bands[$mate->id] ?? $byClass?->band;
        if ($first === null || $first->lowerMm <= 0) {
            return null;
        }
        $makeShaft = $make->id === $joint->inner;
        $offers = $purpose->offers($first->middleMm());
        $chosen = $custom === null && $offers !== [] ? $this->choose($offers, $joint->school, $joint->fit) : null;
        $wanted = $custom ?? $chosen?->clearanceMm;
        $ahead = $wanted === null ? null : Band::between(
            $makeShaft ? $first->lowerMm - $wanted->max : $first->lowerMm + $wanted->min,
            $makeShaft ? $first->upperMm - $wanted->min : $first->upperMm + $wanted->max,
        );

        return new SizedJoint(
            joint: $joint,
            purpose: $purpose,
            offers: array_map(
                static fn (Offer $o): array => ['offer' => $o, 'sized' => null, 'chosen' => $o === $chosen],
                $offers,
            ),
            chosen: $chosen === null ? 'limits' : $chosen->school->value,
            wantedMm: $wanted,
            make: $make,
            mate: $mate,
            mateName: $mate->name,
            makeName: $make->name,
            mateFound: null,
            sized: null,
            goodEnough: null,
            blocked: $this->withheld ? Gatekeeper::sentence() : self::waitingWords($mate, $ahead),
            withheld: $this->withheld,
            notes: [],
            first: $byClass === null ? null : $mate,
            firstSized: SizeToMate::given($first),
            waits: true,
        );
    }

    private static function waitingWords(SurfaceFacts $mate, ?Band $ahead): Say
    {
        $first = 'Make the '.lcfirst($mate->name).' first, and measure it: this is made to what it comes out at';

        return $ahead === null
            ? Say::plain("{$first}.")
            : Say::with("{$first}, somewhere from {a} to {b}.", [
                'a' => LengthWriter::lower($ahead),
                'b' => LengthWriter::upper($ahead),
            ]);
    }

    /** It waits for itself, by way of others. */
    public function inCircle(JointFacts $joint, int $index, Say $circle): SizedJoint
    {
        $makeShaft = JointOrder::first($this->facts, $joint) !== Side::Inner;
        $make = $this->facts->surface($makeShaft ? $joint->inner : $joint->outer);
        $mate = $this->facts->surface($makeShaft ? $joint->outer : $joint->inner);

        return new SizedJoint(
            joint: $joint,
            purpose: Purpose::named($joint->purpose, "joints.{$index}.purpose"),
            offers: [],
            chosen: 'none',
            wantedMm: $this->custom($joint, $index),
            make: $make,
            mate: $mate,
            mateName: $mate->name ?? '',
            makeName: $make->name ?? '',
            mateFound: null,
            sized: null,
            goodEnough: null,
            blocked: $this->withheld ? Gatekeeper::sentence() : $circle,
            withheld: $this->withheld,
            notes: [],
        );
    }

    /** The seat asked for by a rolling bearing that is named; null for any other joint. */
    private function seat(JointFacts $joint, int $index, Purpose $purpose): ?BearingSeat
    {
        if ($joint->bearing === null || $purpose->seat === null) {
            return null;
        }
        try {
            return BearingSeat::of(
                $joint->bearing->bearing(),
                $joint->bearing->duty($this->materialOf($joint->inner), $this->materialOf($joint->outer)),
            );
        } catch (BadInput $bad) {
            throw $bad->about("joints.{$index}.bearing");
        }
    }

    /** Of what is not the bearing: its rings are of bearing steel whatever stands in the job. */
    private function materialOf(string $surface): ?Material
    {
        $of = $this->facts->surface($surface);
        $part = $of === null ? null : $this->facts->partOf($of);

        return $part === null || $part->origin === Origin::Bought ? null : FoundSurfaces::material($part);
    }

    public function sizeFor(bool $makeShaft, FoundSize $found, Range $wanted): SizeToMate
    {
        return $wanted->max <= 0
            ? SizeToMate::of($makeShaft, $found->meanMm, $found->sureMeanMm(), $wanted)
            : ($makeShaft
                ? SizeToMate::of(true, $found->smallestMm(), $found->sureMm(), $wanted, $found->largestMm())
                : SizeToMate::of(false, $found->largestMm(), $found->sureMm(), $wanted, $found->smallestMm()));
    }

    private function judge(SurfaceFacts $mate, FoundSize $found, Range $wanted): GoodEnough
    {
        $tight = $wanted->max <= 0;
        $width = $wanted->width() - ($tight ? 0.0 : $found->largestMm() - $found->smallestMm());
        $able = array_values(
            array_filter(
                $this->facts->shop->instruments->all(),
                static fn (Instrument $i): bool => $i->canMeasure(
                    $mate->kind,
                    $found->meanMm,
                    $mate->long->length->mm ?? 0.0,
                ),
            ),
        );

        return GoodEnough::judge(
            max(0.0, $width),
            $tight ? $found->sureMeanMm() : $found->sureMm(),
            $able,
            $found->meanMm,
        );
    }

    /** @param  list<Offer>  $offers */
    public function choose(array $offers, ?School $school, ?string $label = null): Offer
    {
        foreach ($offers as $offer) {
            if ($label !== null && $offer->label === $label && ($school === null || $offer->school === $school)) {
                return $offer;
            }
        }
        $wish = $school ?? ($this->facts->unit === Unit::Inch ? School::Inch : School::Iso);
        foreach ($offers as $offer) {
            if ($offer->school === $wish) {
                return $offer;
            }
        }

        return $offers[0];
    }

    private function custom(JointFacts $joint, int $index): ?Range
    {
        if ($joint->least === null || $joint->most === null) {
            return null;
        }
        [$least, $most] = [$joint->least->length->mm, $joint->most->length->mm];
        if ($least > $most) {
            throw new BadInput(
                'limits-reversed',
                "joints.{$index}.least",
                'The least clearance is above the most. Interference is typed with a minus: −0.001 is tighter than 0.',
            );
        }

        return new Range($least, $most);
    }
}
