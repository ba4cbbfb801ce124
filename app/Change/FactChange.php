<?php

declare(strict_types=1);

namespace App\Change;

use App\Bench\FactList;
use Oldpart\Core\Quantity\Understood;
use Oldpart\Core\Quantity\Unit;

/** One change of a job's facts: of its head (no list), or of one thing in a list; no fact takes the thing away. */
final readonly class FactChange
{
    /** @param  array<string, mixed>|null  $fact  the fields that change, or all of a new thing */
    public function __construct(public ?FactList $list, public string $thing, public ?array $fact)
    {
    }

    /** @return array{?string, string, array<string, mixed>|null} what tells it from others */
    public function content(): array
    {
        return [$this->list?->value, $this->thing, $this->fact];
    }

    /** @return array<string, Understood> what its typed lengths were read as, by field */
    public function understood(): array
    {
        $read = [];
        foreach ($this->fact ?? [] as $field => $value) {
            $unit = is_array($value) ? Unit::tryFrom(is_string($value['unit'] ?? null) ? $value['unit'] : '') : null;
            if ($unit !== null && is_string($value['typed'] ?? null)) {
                $read[$field] = Understood::of($value['typed'], $unit, true, $this->list === FactList::Readings);
            }
        }

        return $read;
    }
}
