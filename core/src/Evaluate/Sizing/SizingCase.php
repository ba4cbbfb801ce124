<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\BestSize;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\SizesThatWork;
use Oldpart\Core\Loop\Clearance;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Quantity\Range;

/** One side to be made to the other that was found, and within which clearance the two work. */
final readonly class SizingCase
{
    public function __construct(
        public JobFacts $facts,
        public JointFacts $joint,
        public Purpose $purpose,
        public SurfaceFacts $make,
        public SurfaceFacts $mate,
        public FoundSize $found,
        /** Clearance, mm, negative is interference. */
        public Range $works,
    ) {
    }

    public function makesShaft(): bool
    {
        return $this->make->id === $this->joint->inner;
    }

    /** A press goes by the mean of its mate. */
    public function isPress(): bool
    {
        return $this->works->max <= 0;
    }

    /** In a press the metal evens the mate's form out, but no more of it than there is to press. */
    public function isDefeatedByForm(): bool
    {
        return $this->isPress() && $this->formMm() > $this->works->width();
    }

    public function formMm(): float
    {
        return abs($this->found->likeliest()->looseMm - $this->found->likeliest()->matingMm);
    }

    public function sizes(): SizesThatWork
    {
        $shaft = $this->makesShaft();
        $like = $this->found->likeliest();
        [$small, $large] = [min($like->matingMm, $like->looseMm), max($like->matingMm, $like->looseMm)];

        return $this->isPress()
            ? SizesThatWork::of(
                makeShaft: $shaft,
                matingMm: $like->meanMm,
                looseMm: $like->meanMm,
                sigmaMm: $like->u95MeanMm / $like->kMean,
                worksMm: $this->works,
                flatMm: $like->flatMm,
            )
            : SizesThatWork::of(
                makeShaft: $shaft,
                matingMm: $shaft ? $small : $large,
                looseMm: $shaft ? $large : $small,
                sigmaMm: $like->u95Mm / $like->k,
                worksMm: $this->works,
                flatMm: $like->flatMm,
            );
    }

    /** @param  ?float  $holdsMm  how close it is made, where not as the lathe does, mm */
    public function best(?float $holdsMm = null): ?BestSize
    {
        return $this->isDefeatedByForm()
            ? null
            : BestSize::within(
                $this->sizes()->checkedTo($this->checkedTo()),
                $this->isPress() ? 0.0 : $this->formMm(),
                $this->works,
                min($holdsMm ?? INF, $this->facts->shop->latheHoldsMm),
            );
    }

    /** What will check the part: the surest of the shop that can. */
    public function checkedWith(): ?Instrument
    {
        $surest = null;
        foreach ($this->facts->shop->instruments->all() as $tool) {
            $can = $tool->canMeasure($this->make->kind, $this->found->meanMm, $this->make->long->length->mm ?? 0.0);
            $sure = fn (Instrument $i): float => $i->bestU95Mm($this->found->meanMm);
            if ($can && ($surest === null || $sure($tool) < $sure($surest))) {
                $surest = $tool;
            }
        }

        return $surest;
    }

    /** One standard deviation of the gauge that will check the part, mm. */
    public function checkedTo(): float
    {
        return ($this->checkedWith()?->bestU95Mm($this->found->meanMm) ?? 0.0) / 2;
    }

    /** Were the mate read, or made, otherwise. */
    public function found(FoundSize $found): self
    {
        return new self(
            facts: $this->facts,
            joint: $this->joint,
            purpose: $this->purpose,
            make: $this->make,
            mate: $this->mate,
            found: $found,
            works: $this->works,
        );
    }

    public function working(Range $works): self
    {
        return new self(
            facts: $this->facts,
            joint: $this->joint,
            purpose: $this->purpose,
            make: $this->make,
            mate: $this->mate,
            found: $this->found,
            works: $works,
        );
    }
}
