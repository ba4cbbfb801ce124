<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\School;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;

/** Sizes the made side of each joint to the measured one. */
final readonly class JointSizing
{
    /** @param  array<string, FoundSize>  $found */
    public function __construct(private JobFacts $facts, private array $found, private bool $withheld)
    {
    }

    public function size(JointFacts $joint, int $index): JointAnswer
    {
        $purpose = Purpose::named($joint->purpose, "joints.{$index}.purpose");
        $inner = $this->facts->surface($joint->inner);
        $outer = $this->facts->surface($joint->outer);
        assert($inner !== null && $outer !== null);
        $makeShaft = $this->isMade($inner);
        $make = $makeShaft ? $inner : ($this->isMade($outer) ? $outer : null);
        $mate = $makeShaft ? $outer : $inner;
        $found = $this->found[$mate->id] ?? null;
        $custom = $this->custom($joint, $index);
        if ($make === null || $this->isMade($mate) || $found === null || $purpose->isShape) {
            $blocked = match (true) {
                $purpose->isShape => Say::plain(ucfirst($purpose->says).'.'),
                $make === null => Say::plain('Neither side of this joint is to be made.'),
                $this->isMade($mate) => Say::plain('Both sides are to be made: use the standard limits.'),
                default => Say::plain('Measure the '.lcfirst($mate->name).'.'),
            };

            return new JointAnswer($joint, $purpose, [], 'none', $custom, $make, $mate, $mate->name, $make->name ?? '', null, null, null, $blocked, $this->withheld, []);
        }
        $offers = $purpose->offers($found->meanMm);
        $chosen = $custom === null ? $this->choose($offers, $joint->school) : null;
        $wanted = $custom ?? $chosen->clearanceMm ?? throw new \LogicException('the thumb always offers');
        $sized = $this->sizeFor($makeShaft, $found, $wanted);
        $rows = array_map(fn (Offer $o): array => ['offer' => $o, 'sized' => $this->sizeFor($makeShaft, $found, $o->clearanceMm), 'chosen' => $o === $chosen], $offers);
        $blocked = match (true) {
            $this->withheld => Gatekeeper::sentence(),
            $sized->band === null => $sized->notes[0]->say,
            default => null,
        };

        return new JointAnswer(
            $joint, $purpose, $rows, $chosen === null ? 'limits' : $chosen->school->value, $wanted, $make, $mate, $mate->name, $make->name,
            $found, $sized, $this->judge($mate, $found, $wanted), $blocked, $this->withheld, $this->shopNotes($joint, $sized),
        );
    }

    private function isMade(SurfaceFacts $surface): bool
    {
        return $this->facts->partOf($surface)->origin === Origin::Make;
    }

    private function sizeFor(bool $makeShaft, FoundSize $found, Range $wanted): SizeToMate
    {
        return $wanted->max <= 0
            ? SizeToMate::of($makeShaft, $found->meanMm, $found->u95MeanMm, $wanted)
            : ($makeShaft
                ? SizeToMate::of(true, $found->smallestMm(), $found->u95Mm, $wanted, $found->largestMm())
                : SizeToMate::of(false, $found->largestMm(), $found->u95Mm, $wanted, $found->smallestMm()));
    }

    private function judge(SurfaceFacts $mate, FoundSize $found, Range $wanted): GoodEnough
    {
        $tight = $wanted->max <= 0;
        $width = $wanted->width() - ($tight ? 0 : abs($found->looseMm - $found->matingMm));
        $able = array_values(array_filter($this->facts->shop->instruments->all(), static fn (Instrument $i): bool => $i->canMeasure($mate->kind, $found->meanMm, $mate->long->length->mm ?? 0.0)));

        return GoodEnough::judge(max(0.0, $width), $tight ? $found->u95MeanMm : $found->u95Mm, $able);
    }

    /** @param  list<Offer>  $offers */
    private function choose(array $offers, ?School $school): Offer
    {
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
            throw new BadInput('limits-reversed', "joints.{$index}.least", 'The least clearance is above the most. Interference is typed with a minus: −0.001 is tighter than 0.');
        }

        return new Range($least, $most);
    }

    /** @return list<Note> */
    private function shopNotes(JointFacts $joint, SizeToMate $sized): array
    {
        $holds = $this->facts->shop->latheHoldsMm;
        if ($sized->band === null || $sized->band->widthMm() >= $holds) {
            return [];
        }

        return [Note::caution('narrower-than-lathe', Say::with('The band is {w} wide and your lathe holds {h}: sneak up and polish, ream or hone, or take a wider fit and bond it.', [
            'w' => LengthWriter::difference($sized->band->widthMm()), 'h' => LengthWriter::difference($holds),
        ]), $joint->id)];
    }
}
