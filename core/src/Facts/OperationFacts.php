<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** A piece of work in the quote: set up once, then run for each piece; minutes. */
final readonly class OperationFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $name,
        public float $setupMin,
        public float $runMin,
        /** What it has taken so far, minutes; null: nobody timed it. */
        public ?float $spentMin = null,
        /** Since when it is being timed; null: it is not. */
        public ?string $runningSince = null,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->text('id'),
            name: $f->text('name'),
            setupMin: $f->number('setup_min'),
            runMin: $f->number('run_min'),
            spentMin: $f->numberOrNull('spent_min'),
            runningSince: $f->textOrNull('running_since'),
        );
    }

    /** What was quoted for so many pieces, minutes. */
    public function quotedMin(int $quantity): float
    {
        return $this->setupMin + $quantity * $this->runMin;
    }

    /** As it is quoted the next time: what it took, its setting up as it was, the rest shared out. */
    public function next(int $quantity): self
    {
        $setup = $this->spentMin === null ? $this->setupMin : min($this->setupMin, $this->spentMin);

        return new self(
            id: $this->id,
            name: $this->name,
            setupMin: $setup,
            runMin: $this->spentMin === null ? $this->runMin : ($this->spentMin - $setup) / max(1, $quantity),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'setup_min' => $this->setupMin,
            'run_min' => $this->runMin,
            'spent_min' => $this->spentMin,
            'running_since' => $this->runningSince,
        ];
    }
}
