<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Found;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\Cooling;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Picture\CoolingPicture;

/** A part that was read warm: how long it must lie, and when it can be read. */
final readonly class CoolDown implements \JsonSerializable
{
    /** A difference to the room that is worth waiting for, K. */
    private const WARM_K = 2.0;

    /** How near to its cold size it has to be, mm: a tenth of what an ordinary fit allows. */
    private const LIMIT_MM = 0.002;

    private function __construct(
        public float $partC,
        public string $takenAt,
        public Cooling $cooling,
        private float $roomC,
    ) {
    }

    /**
     * From the last reading that counts, when it was taken warm and with its time; null otherwise, or when the part's
     * metal is not known well enough.
     *
     * @param  list<ReadingFacts>  $readings
     */
    public static function of(JobFacts $facts, SurfaceFacts $surface, array $readings, ?FoundSize $found): ?self
    {
        $last = $readings === [] ? null : $readings[count($readings) - 1];
        $material = FoundSurfaces::material($facts->partOf($surface));
        $room = $facts->shop->temperatureC;
        if (
            $last === null
            || $found === null
            || $last->partC === null
            || $last->takenAt === null
            || $material === null
            || abs($last->partC - $room) < self::WARM_K
        ) {
            return null;
        }
        $size = $found->meanMm;
        // A lump as thick as the surface is wide and as long again: what is not known better.
        try {
            $cooling = Cooling::of(
                partC: $last->partC,
                roomC: $room,
                material: $material,
                volumeMm3: (M_PI / 4) * $size ** 3,
                areaMm2: 1.5 * M_PI * $size ** 2,
                sizeMm: $size,
                limitMm: self::LIMIT_MM,
            );
        } catch (BadInput) {
            return null;
        }

        return new self($last->partC, $last->takenAt, $cooling, $room);
    }

    /** When it can be read: UTC, ISO 8601; null where the time it was taken can't be read. */
    public function readyAt(): ?string
    {
        try {
            $taken = new \DateTimeImmutable($this->takenAt);
        } catch (\Exception) {
            return null;
        }

        return $taken
            ->modify('+'.(int) ceil($this->cooling->waitS).' seconds')
            ->setTimezone(new \DateTimeZone('UTC'))
            ->format('Y-m-d\TH:i:s\Z');
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'part_c' => $this->partC,
            'wait_s' => $this->cooling->waitS,
            'ready_at' => $this->readyAt(),
            'notes' => $this->cooling->notes,
            'working' => $this->cooling->working,
            'picture' => CoolingPicture::draw($this->cooling, $this->partC, $this->roomC),
        ];
    }
}
