<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Facts\JobFacts;

/** A reading that counts, beside what the gauge showed and what is true. A reading goes by the id of its deed. */
final readonly class Belief
{
    private function __construct(
        public Deed $deed,
        public string $surface,
        public string $instrument,
        public string $station,
        public string $angle,
        private float $writtenMm,
        private float $correctionMm,
        /** How warm it was said to be, or else the room, °C: the size at 20 °C is reckoned from that. */
        private float $saidC,
        /** It is the size after a cut. */
        public bool $cut,
    ) {
    }

    /**
     * @param  list<Deed>  $deeds
     * @param  float  $roomC  °C
     * @return list<self> in the order they were read in
     */
    public static function all(JobFacts $facts, array $deeds, float $roomC): array
    {
        $readings = array_column($facts->readings, null, 'id');
        $cuts = array_column($facts->cuts, null, 'id');
        $all = [];
        foreach ($deeds as $deed) {
            $reading = $readings[$deed->id] ?? null;
            $cut = $cuts[$deed->id] ?? null;
            if ($deed->kind !== DeedKind::Read || ($reading->setAside ?? $cut->setAside ?? null) !== null) {
                continue;
            }
            if ($reading !== null) {
                $all[] = new self(
                    deed: $deed,
                    surface: $reading->surface,
                    instrument: $reading->instrument,
                    station: $reading->station,
                    angle: $reading->angle,
                    writtenMm: $reading->value->length->mm,
                    correctionMm: $reading->correctionMm ?? 0.0,
                    saidC: $reading->partC ?? $roomC,
                    cut: false,
                );
            } elseif ($cut !== null) {
                $all[] = new self(
                    deed: $deed,
                    surface: $cut->surface,
                    instrument: $cut->instrument,
                    station: '',
                    angle: '',
                    writtenMm: $cut->after->length->mm,
                    correctionMm: 0.0,
                    saidC: $cut->partC ?? $roomC,
                    cut: true,
                );
            }
        }

        return $all;
    }

    /** What was written down, with what it was corrected by. */
    public function believedMm(): float
    {
        return $this->writtenMm + $this->correctionMm;
    }

    public function isCorrected(): bool
    {
        return $this->correctionMm !== 0.0;
    }

    /** Read wrong off the gauge by so much, mm. */
    public function byEyeMm(): float
    {
        return $this->writtenMm - ($this->deed->number('mm') ?? 0.0);
    }

    public function trueMm(): float
    {
        return $this->part('true_mm');
    }

    /** What was written, reckoned from the warmth that was said to 20 °C, less what is true there, mm. */
    public function errorMm(): float
    {
        return $this->believedMm() - $this->part('per_k_mm') * ($this->saidC - 20) - $this->trueMm();
    }

    /** @return array<string, float> why it is off, mm, the largest first, those of no weight left out */
    public function why(): array
    {
        $parts = [
            'eye' => $this->byEyeMm(),
            'gauge' => $this->part('gauge_mm') + $this->correctionMm,
            'warm' => $this->part('per_k_mm') * $this->unsaidWarmth(),
            'burr' => $this->part('burr_mm'),
            'jaws' => $this->part('jaws_mm'),
            'face' => $this->part('face_mm'),
            'held' => $this->part('held_mm'),
        ];
        $parts['scatter'] = $this->errorMm() - array_sum($parts);
        uasort($parts, static fn (float $a, float $b): int => abs($b) <=> abs($a));

        return array_filter($parts, static fn (float $mm): bool => abs($mm) >= 0.0005);
    }

    /** How warm its part was more than what was said, °C. */
    public function unsaidWarmth(): float
    {
        return $this->part('celsius') - $this->saidC;
    }

    public function part(string $name): float
    {
        $hidden = $this->deed->result['hidden'] ?? [];
        $value = is_array($hidden) ? $hidden[$name] ?? 0.0 : 0.0;

        return is_int($value) || is_float($value) ? (float) $value : 0.0;
    }
}
