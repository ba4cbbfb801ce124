<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

/** What the gauges of a set of readings say of themselves, taken together; mm. */
final readonly class GaugeFigures
{
    /** Nothing is surer. */
    private const LEAST_MM = 1e-6;

    private function __construct(
        /** What one reading scatters by, in the square mean, one standard deviation. */
        public float $scatterMm,
        /** One gauge, and every reading scatters alike. */
        public bool $isEven,
        /** @var non-empty-array<string, float> by how much each gauge may be off, one standard deviation */
        public array $shifts,
        /** The last digit, in that of the scatter, 0 to 1. */
        public float $digit,
        private float $warmthMm,
        private float $ownMm,
    ) {
    }

    /** @param  non-empty-list<WeighedReading>  $readings */
    public static function of(array $readings): self
    {
        $first = $readings[0];
        $shifts = [$first->doubt->gauge => self::LEAST_MM];
        [$squares, $even, $digit, $warmth, $own, $last] = [0.0, true, 0.0, 0.0, 0.0, null];
        foreach ($readings as $r) {
            $squares += $r->scatterMm ** 2;
            $even = $even && $r->scatterMm === $first->scatterMm;
            if ($r->doubt === $last) {
                continue;
            }
            $last = $r->doubt;
            $shifts[$last->gauge] = max($shifts[$last->gauge] ?? self::LEAST_MM, $last->shiftMm());
            $digit = max($digit, min(1.0, max(self::LEAST_MM, $last->lastDigitMm) / $r->scatterMm));
            $warmth = max($warmth, $last->temperatureMm);
            $own = max($own, $last->gaugeMm);
        }

        return new self(
            scatterMm: sqrt($squares / count($readings)),
            isEven: $even && count($shifts) === 1,
            shifts: $shifts,
            digit: $digit,
            warmthMm: $warmth,
            ownMm: $own,
        );
    }

    public function areSeveral(): bool
    {
        return count($this->shifts) > 1;
    }

    /** What all readings share: the part's warmth, and the one gauge's shift. */
    public function commonMm(): float
    {
        return $this->areSeveral() ? $this->warmthMm : hypot($this->warmthMm, max($this->shifts));
    }

    /** By how much the one gauge may be off either way; 0 with several. */
    public function flatMm(): float
    {
        return $this->areSeveral() ? 0.0 : sqrt(3) * $this->ownMm;
    }
}
