<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Evaluate\Mechanics\WarmJoint;
use Oldpart\Core\Evaluate\Shapes\Sizes;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\BearingSeat;
use Oldpart\Core\Fit\InchFit;
use Oldpart\Core\Fit\NamedFit;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\School;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;

/** Sizes that a class itself gives, with nobody having measured the mate: both sides made, a bought part, a bearing. */
final readonly class ToClass
{
    public function __construct(private JobFacts $facts, private bool $withheld)
    {
    }

    /** The size both are to have, mm: typed for either at Survey. */
    public static function nominal(SurfaceFacts $make, SurfaceFacts $mate): ?float
    {
        $size = $make->size->length->mm ?? ($mate->size->length->mm ?? 0.0);

        return $size > 0 ? $size : null;
    }

    /**
     * Made to a class's own limits: both sides are made, or the mate is bought to a class and nobody has read it. Null
     * where neither school has a class for the purpose at the size.
     */
    public function standard(
        JointFacts $joint,
        Purpose $purpose,
        float $nominalMm,
        SurfaceFacts $make,
        SurfaceFacts $mate,
        ?Range $wish,
    ): ?SizedJoint {
        $fits = [];
        foreach ([School::Iso, School::Inch] as $school) {
            $class = $purpose->fit($school);
            $covers =
                $class !== null
                && ($school === School::Iso
                    ? $nominalMm <= Purpose::ISO_TO_MM
                    : InchFit::covers($nominalMm, $class));
            if ($class !== null && $covers) {
                $fits[] = NamedFit::named($nominalMm, $class);
            }
        }
        if ($fits === []) {
            return null;
        }
        $wanted = $joint->school ?? ($this->facts->unit === Unit::Inch ? School::Inch : School::Iso);
        $chosen =
            array_values(array_filter($fits, static fn (NamedFit $f): bool => $f->school === $wanted))[0] ?? $fits[0];
        $makeShaft = $make->id === $joint->inner;
        $limits = static fn (NamedFit $f, bool $shaft): SizeToMate => SizeToMate::standard(
            $nominalMm,
            $shaft ? $f->shaft : $f->hole,
            ($shaft ? 'shaft of ' : 'hole of ').$f->label,
            $f->source,
        );
        $rows = array_map(
            static fn (NamedFit $f): array => [
                'offer' => new Offer($f->school, $f->label, $f->clearance(), Say::plain('to the table'), $f->source),
                'sized' => $limits($f, $makeShaft),
                'chosen' => $f === $chosen,
            ],
            $fits,
        );
        $both = $this->facts->isCut($mate);
        $sized = $limits($chosen, $makeShaft);
        $firstSized = $both ? $limits($chosen, ! $makeShaft) : null;
        $notes = $both
            ? []
            : [
                Note::info(
                    'mate-unread',
                    Say::with(
                        'The {mate} is bought and taken to be to {class}. Read it, and the size is made to what it is.',
                        ['mate' => lcfirst($mate->name), 'class' => $chosen->label],
                    ),
                ),
            ];

        return new SizedJoint(
            joint: $joint,
            purpose: $purpose,
            offers: $rows,
            chosen: $chosen->school->value,
            wantedMm: $chosen->clearance(),
            make: $make,
            mate: $both ? null : $mate,
            mateName: $mate->name,
            makeName: $make->name,
            mateFound: null,
            sized: $sized,
            goodEnough: null,
            blocked: $this->withheld ? Gatekeeper::sentence() : null,
            withheld: $this->withheld,
            notes: [
                ...$notes,
                ...ShopNotes::of($this->facts, $joint, $sized),
                ...$purpose->isLength
                    ? []
                    : WarmJoint::notes($this->facts, $joint, $purpose, $chosen->clearance(), $nominalMm),
            ],
            toTable: new ToTable($chosen, $wish),
            first: $both ? $mate : null,
            firstSized: $firstSized,
        );
    }

    /** Made to the class's own limits: the bearing is bought, and nobody has measured it yet. */
    public function bearing(
        JointFacts $joint,
        Purpose $purpose,
        BearingSeat $seat,
        SurfaceFacts $make,
        SurfaceFacts $mate,
    ): SizedJoint {
        $makeShaft = $make->id === $joint->inner;
        $offer = self::seatOffer($seat, $makeShaft);
        $sized = $makeShaft
            ? SizeToMate::standard($seat->bearing->boreMm, $seat->shaft, $seat->shaftClass, $offer->source)
            : SizeToMate::standard($seat->bearing->outsideMm, $seat->housing, $seat->housingClass, $offer->source);

        return new SizedJoint(
            joint: $joint,
            purpose: $purpose,
            offers: [['offer' => $offer, 'sized' => $sized, 'chosen' => true]],
            chosen: 'iso',
            wantedMm: $offer->clearanceMm,
            make: $make,
            mate: $mate,
            mateName: $mate->name,
            makeName: $make->name,
            mateFound: null,
            sized: $sized,
            goodEnough: null,
            blocked: $this->withheld ? Gatekeeper::sentence() : null,
            withheld: $this->withheld,
            notes: [
                Note::info(
                    'bearing-unread',
                    'Made to the table for a Normal-class bearing. Read the bearing itself, and the size is made to that.',
                ),
                ...ShopNotes::of($this->facts, $joint, $sized),
            ],
            seat: $seat,
        );
    }

    public static function seatOffer(BearingSeat $seat, bool $makeShaft): Offer
    {
        return $makeShaft
            ? new Offer(
                School::Iso,
                $seat->shaftClass,
                $seat->onShaftMm,
                Say::plain("seat for a {$seat->bearing->designation} bearing"),
                'ISO 286-2:2010, ISO 492:2014; class by common practice',
            )
            : new Offer(
                School::Iso,
                $seat->housingClass,
                $seat->inHousingMm,
                Say::plain("seat for a {$seat->bearing->designation} bearing"),
                'ISO 286-2:2010, ISO 492:2014; class by common practice',
            );
    }
}
