<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\Seat;
use Oldpart\Core\Joint\MateForm;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** Brings together what a press fit's mechanics need from all over the job. */
final readonly class PressStudy
{
    private const BEARING_STEEL = 'bearing or tool steel, hardened';

    private KnownSizes $sizes;

    /**
     * @param  array<string, FoundSize>  $found
     * @param  array<string, Band>  $bands  bands of made surfaces, by surface id, after assembly
     * @param  array<string, Range>  $made  sizes of made surfaces with their doubt, by surface id
     * @param  list<SizedJoint>  $joints  all of the job
     */
    public function __construct(
        private JobFacts $facts,
        array $found,
        array $bands,
        private array $made,
        private array $joints = [],
    ) {
        $this->sizes = new KnownSizes($facts, $found, $bands, $made);
    }

    /** The joint with its mechanics where it can be tight, or with what is still missing for them. */
    public function of(SizedJoint $answer): SizedJoint
    {
        if (
            ! $answer->canBeTight()
            || $answer->purpose->isLength
            || $answer->purpose->shape !== null
            || ($answer->sized?->band === null && ! $answer->waits && $answer->pairMm === null)
            || ($answer->wantedMm === null && $answer->pairMm === null)
        ) {
            return $answer;
        }
        $press = $this->pressed($answer, $this->interference($answer));

        return $press instanceof Press
            ? $answer->withPress($press->noting(self::byStation($answer, $press)), null)
            : $answer->withPress(null, $press);
    }

    /**
     * How the band to make sits at each station, where at one of them it would be loose.
     *
     * @return list<Note>
     */
    private static function byStation(SizedJoint $answer, Press $press): array
    {
        $mate = $answer->mateFound;
        $band = $answer->sized?->band;
        if ($mate === null || $band === null || count($mate->stations) < 2 || $answer->withheld) {
            return [];
        }
        $ends = [];
        $loose = false;
        foreach ($mate->stations as $station => $mm) {
            $clear = $answer->makesInner()
                ? [$mm - $band->upperMm, $mm - $band->lowerMm]
                : [$band->lowerMm - $mm, $band->upperMm - $mm];
            $d = static fn (float $x): Say => LengthWriter::difference($x);
            $loose = $loose || $clear[1] > 0;
            $ends[] = match (true) {
                $clear[0] >= 0 => Say::with($station.': {a} to {b} loose', [
                    'a' => $d($clear[0]),
                    'b' => $d($clear[1]),
                ]),
                $clear[1] <= 0 => Say::with($station.': {a} to {b} tight', [
                    'a' => $d($clear[1]),
                    'b' => $d($clear[0]),
                ]),
                default => Say::with($station.': {a} tight to {b} loose', [
                    'a' => $d($clear[0]),
                    'b' => $d($clear[1]),
                ]),
            };
        }

        return ! $loose
            ? []
            : [
                Note::caution(
                    'form-by-station',
                    Say::with('Made anywhere in the band it is, by what was read at each place: {ends}.', [
                        'ends' => Say::join($ends, '; '),
                    ]),
                ),
            ];
    }

    /** The mechanics of the joint at an interference of its own, or in words what is missing for them. */
    public function pressed(SizedJoint $answer, Range $interferenceMm): Press|Say
    {
        [$inner, $outer] = $this->surfaces($answer);
        $length = $this->lengthOf($answer);
        $walls = $this->walls($answer);
        $innerMaterial = $this->material($answer, $inner);
        $outerMaterial = $this->material($answer, $outer);
        $missing = array_values(
            array_filter([
                $innerMaterial === null
                    ? 'what the '.lcfirst($this->facts->partOf($inner)->name).' is made of'
                    : null,
                $outerMaterial === null
                    ? 'what the '.lcfirst($this->facts->partOf($outer)->name).' is made of'
                    : null,
                $length === null ? 'the engaged length' : null,
                ...$walls->missing,
            ]),
        );
        $diameter = $answer->mateFound->meanMm ?? $answer->nominalMm();
        if (
            $diameter === null
            || $innerMaterial === null
            || $outerMaterial === null
            || $length === null
            || $walls->stretches === []
        ) {
            return Say::plain(
                'To say whether it holds and how far the bore closes, this is needed: '.
                    implode(', ', $missing).
                    '.',
            );
        }
        try {
            $first = $walls->stretches[0];
            $fit = new PressFit(
                diameterMm: $diameter,
                innerBoreMm: $first->boreMm,
                outerOdMm: $first->odMm,
                lengthMm: $length,
                interferenceMm: $interferenceMm,
                inner: $innerMaterial,
                outer: $outerMaterial,
                friction: null,
                roughInner: $inner->roughness(),
                roughOuter: $outer->roughness(),
                form: $answer->mateFound === null ? null : MateForm::of($answer->mateFound),
                runsAtC: $this->facts->takeIn->runsAtC ?? 20.0,
            );
            $housing = $this->housingRound($answer, $this->facts->partOf($outer));
            $stretches = array_map(static function (WallStretch $s) use ($fit, $length, $housing): PressFit {
                $stretch = $fit->stretch($s->share * $length, $s->boreMm, $s->odMm);

                return $housing === null || $housing['od_mm'] <= $s->odMm
                    ? $stretch
                    : $stretch->in($housing['od_mm'], $housing['material']);
            }, $walls->stretches);

            return Press::along($stretches)->noting($walls->notes);
        } catch (BadInput $bad) {
            return Say::plain($bad->getMessage());
        }
    }

    /** @return list<string> the surfaces whose sizes the mechanics of a joint go by, beside its own two */
    public function decidedBy(SizedJoint $answer): array
    {
        return [
            ...$answer->joint->along === null || $answer->seat !== null ? [] : [$answer->joint->along],
            ...array_map(static fn (SurfaceFacts $s): string => $s->id, $this->walls($answer)->deciding),
        ];
    }

    private function walls(SizedJoint $answer): JointWalls
    {
        [$inner, $outer] = $this->surfaces($answer);

        return $answer->seat === null
            ? JointWalls::of($this->facts, $this->sizes, $inner, $outer)
            : JointWalls::ofBearing(
                facts: $this->facts,
                sizes: $this->sizes,
                inner: $inner,
                outer: $outer,
                bearing: $answer->seat->bearing,
                onShaft: $answer->purpose->seat === Seat::Shaft,
            );
    }

    /** @return array{SurfaceFacts, SurfaceFacts} the inner and the outer one */
    private function surfaces(SizedJoint $answer): array
    {
        $inner = $this->facts->surface($answer->joint->inner);
        $outer = $this->facts->surface($answer->joint->outer);
        assert($inner !== null && $outer !== null);

        return [$inner, $outer];
    }

    private function material(SizedJoint $answer, SurfaceFacts $surface): ?Material
    {
        $isBearing =
            $answer->seat !== null
            && $surface->id ===
                ($answer->purpose->seat === Seat::Shaft ? $answer->joint->outer : $answer->joint->inner);

        return $isBearing
            ? Material::named(self::BEARING_STEEL)
            : FoundSurfaces::material($this->facts->partOf($surface));
    }

    /** How long the two touch: the surface named for it, or the width of a bearing. */
    private function lengthOf(SizedJoint $answer): ?float
    {
        $along = $answer->joint->along === null ? null : $this->facts->surface($answer->joint->along);

        return $answer->seat?->bearing->widthMm ?? ($along === null ? null : $this->sizes->mm($along));
    }

    /**
     * @return ?array{od_mm: float, material: Material} what the outer part is itself pressed into, where that is known; null where it is in nothing
     */
    private function housingRound(SizedJoint $answer, PartFacts $outerPart): ?array
    {
        foreach ($this->joints as $other) {
            $inner = $this->facts->surface($other->joint->inner);
            $outer = $this->facts->surface($other->joint->outer);
            if (
                $inner === null
                || $outer === null
                || $other->joint->id === $answer->joint->id
                || $inner->part !== $outerPart->id
                || ! $other->isTight()
                || $other->purpose->isLength
            ) {
                continue;
            }
            $material = FoundSurfaces::material($this->facts->partOf($outer));
            $stretches = JointWalls::of($this->facts, $this->sizes, $inner, $outer)->stretches;
            if ($material !== null && $stretches !== []) {
                return ['od_mm' => min(array_column($stretches, 'odMm')), 'material' => $material];
            }
        }

        return null;
    }

    /**
     * On the mean of the mate: as made when a size has been cut, else the whole range the fit allows. A fit that is not
     * tight throughout is sized to the mate's tightest and loosest spots, so its range on the mean is narrower by them.
     */
    private function interference(SizedJoint $answer): Range
    {
        if ($answer->pairMm !== null) {
            return new Range(-$answer->pairMm->max, -$answer->pairMm->min);
        }
        $wanted = $answer->wantedMm ?? throw new \LogicException('checked by the caller');
        $made = $answer->make === null ? null : $this->made[$answer->make->id] ?? null;
        $mate = $answer->mateFound;
        $band = $answer->best === null ? null : $answer->sized?->band;
        if ($made === null && $mate !== null && $band !== null) {
            // Not what the fit allows: what the size that is most likely to work may come to.
            [$low, $high] = [$mate->meanMm - $mate->sureMeanMm(), $mate->meanMm + $mate->sureMeanMm()];

            return $answer->makesInner()
                ? new Range($band->lowerMm - $high, $band->upperMm - $low)
                : new Range($low - $band->upperMm, $high - $band->lowerMm);
        }
        if ($made === null || $mate === null) {
            $form = $mate === null || $answer->isTight() ? new MateForm() : MateForm::of($mate);

            return Range::of(-$wanted->max + $form->looserMm, -$wanted->min - $form->tighterMm);
        }

        $change = $answer->mateChangeMm ?? new Range(0.0, 0.0);
        [$low, $high] = [
            $mate->meanMm + $change->min - $mate->sureMeanMm(),
            $mate->meanMm + $change->max + $mate->sureMeanMm(),
        ];

        return $answer->makesInner()
            ? new Range($made->min - $high, $made->max - $low)
            : new Range($low - $made->max, $high - $made->min);
    }
}
