<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

/** One reading as the instrument gave it, in mm; where, how warm, and whether the spot is worn. */
final readonly class Reading
{
    /** One place: station and angle. */
    public string $spot;

    public function __construct(
        public float $valueMm,
        public string $station = '',
        public string $angle = '',
        public ?float $partC = null,
        public ?float $gaugeC = null,
        public ?bool $worn = null,
        /** Read by a go and a no-go pin: how far apart they are, mm. */
        public ?float $betweenMm = null,
        /** @var list<float> how often each size typed in it counts: 1 and −1 where it is over-all less a part */
        private array $weights = [1.0],
        /** Compared with a master of this size, mm. */
        public ?float $masterMm = null,
        /** Where it differs from the rest. */
        public ?Instrument $instrument = null,
        /** Its place, where whoever makes it knows that already. */
        ?string $spot = null,
    ) {
        $this->spot = $spot ?? self::spot($station, $angle);
    }

    /** One place, by its station and angle. */
    public static function spot(string $station, string $angle): string
    {
        return $station."\0".$angle;
    }

    /** Another one at the same place, that came out at this at 20 °C, mm. */
    public function reading(float $mm): self
    {
        return $this->changed($mm, $this->masterMm);
    }

    /** The same, compared with a master of this size, mm. */
    public function against(float $masterMm): self
    {
        return $this->changed($this->valueMm, $masterMm);
    }

    private function changed(float $mm, ?float $masterMm): self
    {
        return new self(
            valueMm: $mm,
            station: $this->station,
            angle: $this->angle,
            partC: $this->partC,
            gaugeC: $this->gaugeC,
            worn: $this->worn,
            betweenMm: $this->betweenMm,
            weights: $this->weights,
            masterMm: $masterMm,
            instrument: $this->instrument,
            spot: $this->spot,
        );
    }

    /** Nothing that counts in its uncertainty differs. */
    public function isAsSureAs(self $other): bool
    {
        return $this->instrument === $other->instrument
            && $this->partC === $other->partC
            && $this->gaugeC === $other->gaugeC
            && $this->betweenMm === $other->betweenMm
            && $this->masterMm === $other->masterMm
            && $this->weights === $other->weights;
    }

    /** By how much what scatters from one size to the next counts: √Σw² (JCGM 100:2008, 5.1.2). */
    public function scatterFactor(): float
    {
        return $this->weights === [1.0]
            ? 1.0
            : sqrt(array_sum(array_map(static fn (float $w): float => $w * $w, $this->weights)));
    }

    /**
     * By how much one gauge's permissible error counts: its errors may go the same way, and then add (5.2.2, note 1).
     */
    public function sameGaugeFactor(): float
    {
        return $this->weights === [1.0] ? 1.0 : max($this->scatterFactor(), abs(array_sum($this->weights)));
    }
}
