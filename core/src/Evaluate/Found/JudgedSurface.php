<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Found;

use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Facts\Condition;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Measure\Nominal;

/**
 * What was found of a surface that is measured, and whether it was read well enough for the joints that stand on it.
 */
final readonly class JudgedSurface
{
    /**
     * @param  bool  $decides  a joint that is being sized depends on it
     * @param  list<ReadingFacts>  $readings  those that count
     */
    private function __construct(
        public SurfaceFacts $surface,
        public ?FoundSize $found,
        public ?GoodEnough $goodEnough,
        public bool $decides,
        public array $readings,
        public ?CoolDown $coolDown,
        private Meaning $meaning,
    ) {
    }

    /** @return list<self> each surface of the job that is measured */
    public static function all(JobFacts $facts, Outcome $out): array
    {
        $judged = [];
        $needed = self::needed($out);
        foreach ($facts->surfaces as $surface) {
            if ($facts->partOf($surface)->origin === Origin::Make || ! $surface->type->isMeasurable()) {
                continue;
            }
            $good = null;
            $decides = in_array($surface->id, $needed, true);
            foreach ($out->joints as $joint) {
                if ($joint->mate?->id === $surface->id && $joint->make !== null) {
                    $decides = true;
                    $good = self::worse($good, $joint->goodEnough);
                }
            }
            $size = $out->found[$surface->id] ?? null;
            $readings = $facts->readingsOf($surface->id);
            $judged[] = new self(
                surface: $surface,
                found: $size,
                goodEnough: $good,
                decides: $decides,
                readings: $readings,
                coolDown: CoolDown::of($facts, $surface, $readings, $size),
                meaning: new Meaning(),
            );
        }

        return $judged;
    }

    /**
     * @return list<string> what the mechanics of a press need beside the two diameters: the engaged length, and the walls along it
     */
    private static function needed(Outcome $out): array
    {
        $needed = [];
        foreach ($out->joints as $joint) {
            if ($joint->isSized() && $joint->canBeTight() && ! $joint->purpose->isLength) {
                array_push($needed, ...$out->study->decidedBy($joint));
            }
        }

        return $needed;
    }

    private static function worse(?GoodEnough $a, ?GoodEnough $b): ?GoodEnough
    {
        return $a === null || ($b !== null && $b->ratio < $a->ratio) ? $b : $a;
    }

    /**
     * It has to be read before the job can go on: something is sized from it, or it matters and is there to be read.
     */
    public function mustMeasure(): bool
    {
        return $this->decides
            || ($this->surface->criticality->mustMeasure() && $this->surface->condition !== Condition::Missing);
    }

    /** What it was meant to be; null before it is measured, and beyond the sizes it is asked for. */
    public function meant(): ?Nominal
    {
        return $this->found === null ? null : $this->meaning->of($this->surface, $this->found);
    }
}
