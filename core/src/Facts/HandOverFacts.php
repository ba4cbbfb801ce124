<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** How the job ended, and what to do differently next time. */
final readonly class HandOverFacts implements \JsonSerializable
{
    public function __construct(
        public ?string $finishedAt,
        public string $nextTime,
        /** The day it is to be looked at again, as year-month-day. */
        public ?string $serviceOn = null,
    ) {
    }

    public static function read(Fields $f): self
    {
        $service = $f->textOrNull('service_on');
        $day = $service === null ? null : \DateTimeImmutable::createFromFormat('!Y-m-d', $service);
        if ($service !== null && (! $day instanceof \DateTimeImmutable || $day->format('Y-m-d') !== $service)) {
            throw $f->bad('service_on', 'is no day there is. Write it as year-month-day.');
        }

        return new self($f->textOrNull('finished_at'), $f->textOrNull('next_time') ?? '', $service);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'finished_at' => $this->finishedAt,
            'next_time' => $this->nextTime,
            'service_on' => $this->serviceOn,
        ];
    }
}
