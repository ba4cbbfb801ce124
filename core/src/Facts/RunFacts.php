<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** What was seen in the first run: after so many minutes, at what speed, how warm. */
final readonly class RunFacts implements \JsonSerializable
{
    private function __construct(
        public float $minute,
        public ?float $rpm,
        public ?float $celsius,
        public string $note,
    ) {
    }

    public static function read(Fields $f): self
    {
        $minute = $f->number('minute');
        if ($minute < 0 || $minute > 100000) {
            throw $f->bad('minute', 'must be from 0 to 100,000.');
        }
        $celsius = $f->numberOrNull('celsius');
        if ($celsius !== null && ($celsius < -60 || $celsius > 1000)) {
            throw $f->bad('celsius', 'must be from −60 to 1000 °C.');
        }

        return new self($minute, $f->numberOrNull('rpm'), $celsius, $f->label('note'));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'minute' => $this->minute,
            'rpm' => $this->rpm,
            'celsius' => $this->celsius,
            'note' => $this->note,
        ];
    }
}
