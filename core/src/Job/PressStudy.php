<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Shape\SurfaceType;

/** Brings together what a press fit's mechanics need from all over the job. */
final readonly class PressStudy
{
    /**
     * @param  array<string, FoundSize>  $found
     * @param  array<string, Band>  $bands  bands of made surfaces, by surface id, after assembly
     * @param  array<string, Range>  $made  sizes of made surfaces with their doubt, by surface id
     * @param  list<JointAnswer>  $joints  all of the job
     */
    public function __construct(private JobFacts $facts, private array $found, private array $bands, private array $made, private array $joints = [])
    {
    }

    /** The joint with its mechanics, or with what is still missing for them. */
    public function of(JointAnswer $answer): JointAnswer
    {
        if (! $answer->isTight() || $answer->purpose->isLength || $answer->sized?->band === null || $answer->mateFound === null || $answer->wantedMm === null) {
            return $answer;
        }
        $press = $this->pressed($answer, $this->interference($answer));

        return $press instanceof Press ? $answer->withPress($press, null) : $answer->withPress(null, $press);
    }

    /** The mechanics of the joint at an interference of its own, or in words what is missing for them. */
    public function pressed(JointAnswer $answer, Range $interferenceMm): Press|Say
    {
        $inner = $this->facts->surface($answer->joint->inner);
        $outer = $this->facts->surface($answer->joint->outer);
        assert($inner !== null && $outer !== null);
        $innerPart = $this->facts->partOf($inner);
        $outerPart = $this->facts->partOf($outer);
        $innerMaterial = FoundSurfaces::material($innerPart);
        $outerMaterial = FoundSurfaces::material($outerPart);
        $length = $answer->joint->along === null ? null : ($this->found[$answer->joint->along] ?? null);
        $outside = $this->outsideOf($outerPart, $outer);
        $bore = $this->boreOf($innerPart);
        $missing = array_filter([
            $innerMaterial === null ? 'what the '.lcfirst($innerPart->name).' is made of' : null,
            $outerMaterial === null ? 'what the '.lcfirst($outerPart->name).' is made of' : null,
            $length === null ? 'the engaged length' : null,
            $outside === null ? 'the outside of the '.lcfirst($outerPart->name) : null,
            $bore === null ? 'the bore of the '.lcfirst($innerPart->name) : null,
        ]);
        if ($answer->mateFound === null || $innerMaterial === null || $outerMaterial === null || $length === null || $outside === null || $bore === null) {
            return Say::plain('To say whether it holds and how far the bore closes, this is needed: '.implode(', ', $missing).'.');
        }
        try {
            $fit = new PressFit($answer->mateFound->meanMm, $bore, $outside, $length->meanMm, $interferenceMm, $innerMaterial, $outerMaterial);
            $housing = $this->housingRound($answer, $outerPart);

            return Press::of($housing === null ? $fit : $fit->in($housing['od_mm'], $housing['material']));
        } catch (BadInput $bad) {
            return Say::plain($bad->getMessage());
        }
    }

    /** @return ?array{od_mm: float, material: Material} what the outer part is itself pressed into, where that is known; null where it is in nothing */
    private function housingRound(JointAnswer $answer, PartFacts $outerPart): ?array
    {
        foreach ($this->joints as $other) {
            $inner = $this->facts->surface($other->joint->inner);
            $outer = $this->facts->surface($other->joint->outer);
            if ($inner === null || $outer === null || $other->joint->id === $answer->joint->id || $inner->part !== $outerPart->id || ! $other->isTight() || $other->purpose->isLength) {
                continue;
            }
            $part = $this->facts->partOf($outer);
            $material = FoundSurfaces::material($part);
            $outside = $this->outsideOf($part, $outer);
            if ($material !== null && $outside !== null) {
                return ['od_mm' => $outside, 'material' => $material];
            }
        }

        return null;
    }

    /** As made when a size has been cut, else the whole range the fit allows. */
    private function interference(JointAnswer $answer): Range
    {
        $wanted = $answer->wantedMm ?? throw new \LogicException('checked by the caller');
        $made = $answer->make === null ? null : ($this->made[$answer->make->id] ?? null);
        if ($made === null || $answer->mateFound === null) {
            return new Range(-$wanted->max, -$wanted->min);
        }
        $u = $answer->mateFound->u95MeanMm;
        $mean = $answer->mateFound->meanMm;

        return $answer->makesInner()
            ? new Range($made->min - $mean - $u, $made->max - $mean + $u)
            : new Range($mean - $u - $made->max, $mean + $u - $made->min);
    }

    /** The smallest outside found on the part: the thinnest wall decides. */
    private function outsideOf(PartFacts $part, SurfaceFacts $joint): ?float
    {
        $sizes = [];
        foreach ($this->facts->surfaces as $surface) {
            if ($surface->part === $part->id && $surface->type === SurfaceType::Shaft && $surface->id !== $joint->id && isset($this->found[$surface->id])) {
                $sizes[] = $this->found[$surface->id]->looseMm;
            }
        }

        return $sizes === [] ? null : min($sizes);
    }

    /** The bore of the inner part, 0 when it has none, null when it is not known yet. */
    private function boreOf(PartFacts $part): ?float
    {
        foreach ($this->facts->surfaces as $surface) {
            if ($surface->part === $part->id && $surface->type === SurfaceType::Bore) {
                return isset($this->bands[$surface->id]) ? $this->bands[$surface->id]->middleMm() : ($this->found[$surface->id]->meanMm ?? null);
            }
        }

        return 0.0;
    }
}
