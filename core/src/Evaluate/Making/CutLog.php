<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Facts\CutFacts;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Making\Cut;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\InstrumentSet;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Measure\Warmth;
use Oldpart\Core\Quantity\Range;

/** The cut log of one surface in one phase, brought to 20 °C. */
final readonly class CutLog
{
    /** @param  list<CutFacts>  $cuts oldest first */
    private function __construct(
        public array $cuts,
        private SurfaceKind $kind,
        private bool $grows,
        private Warmth $warmth,
        private float $roomC,
        private InstrumentSet $tools,
    ) {
    }

    /** @param  int  $piece  of a batch; the first stands for the job */
    public static function of(JobFacts $facts, SurfaceFacts $surface, Phase $phase, int $piece = 1): self
    {
        $alpha = FoundSurfaces::material($facts->partOf($surface))->alphaPerK ?? Warmth::STEEL;

        return new self(
            cuts: $facts->cutsOf($surface->id, $phase, $piece),
            kind: $surface->kind,
            grows: $surface->grows(),
            warmth: new Warmth($alpha, halfWidthK: FoundSurfaces::TEMPERATURE_UNSURE_K),
            roomC: $facts->shop->temperatureC,
            tools: $facts->shop->instruments,
        );
    }

    /** @return list<float> sizes at 20 °C after each cut, mm */
    public function sizes(): array
    {
        return array_map($this->atTwenty(...), $this->cuts);
    }

    public function last(): ?CutFacts
    {
        return $this->cuts === [] ? null : $this->cuts[count($this->cuts) - 1];
    }

    public function atTwenty(CutFacts $cut): float
    {
        return $this->warmth->atTwenty($this->reading($cut));
    }

    /** How far the last size moved for being read warm, mm. */
    public function warmShift(): float
    {
        $last = $this->last();

        return $last === null || $last->partC === null
            ? 0.0
            : $last->after->length->mm * $this->warmth->alphaPart * ($last->partC - $this->roomC);
    }

    /** U95 of the last size, mm: of its gauge, and of how warm it was. */
    public function u95(): float
    {
        return $this->found()->u95Mm ?? 0.0;
    }

    /** @return list<array{CutFacts, Cut}> what was dialled and what came off, both on diameter, oldest first */
    public function taken(): array
    {
        $taken = [];
        $sizes = $this->sizes();
        $sign = $this->grows ? 1 : -1;
        foreach ($this->cuts as $i => $cut) {
            if ($i > 0 && $cut->dialled !== null) {
                $taken[] = [$cut, new Cut($cut->dialled->length->mm, $sign * ($sizes[$i] - $sizes[$i - 1]))];
            }
        }

        return $taken;
    }

    /** What the gauge of the last size reads to, mm. */
    public function stepMm(): float
    {
        $last = $this->last();

        return $last === null ? 0.0 : $this->tools->named($last->instrument)->resolutionMm;
    }

    /** The last size as it was measured; null when nothing is logged. */
    public function found(): ?FoundSize
    {
        $last = $this->last();

        return $last === null
            ? null
            : (new Readings(
                $this->kind,
                [$this->reading($last)],
                $this->tools->named($last->instrument),
                $this->warmth,
            ))->found();
    }

    /** It has come inside its limits or past them: until then it is still being cut. */
    public function reached(Range $limits): bool
    {
        $now = $this->made()?->middle();

        return $now !== null && ($this->grows ? $now >= $limits->min : $now <= $limits->max);
    }

    private function reading(CutFacts $cut): Reading
    {
        $mm = $cut->after->length->mm;

        return new Reading(
            $mm + $this->tools->named($cut->instrument)->jawShiftMm($this->kind, $mm)->middle(),
            partC: $cut->partC ?? $this->roomC,
            gaugeC: $this->roomC,
        );
    }

    /** The last size with its doubt, mm; null when nothing is logged. */
    public function made(): ?Range
    {
        $last = $this->last();
        if ($last === null) {
            return null;
        }
        $size = $this->atTwenty($last);

        return new Range($size - $this->u95(), $size + $this->u95());
    }
}
