<?php

declare(strict_types=1);

namespace Oldpart\Core\Advice;

/**
 * How an answer was found: steps with the formula, the numbers put in, the result and its source.
 */
final readonly class Working implements \JsonSerializable
{
    /** @param  list<WorkingStep>  $steps */
    public function __construct(public array $steps = [])
    {
    }

    public function and(WorkingStep ...$steps): self
    {
        return new self([...$this->steps, ...array_values($steps)]);
    }

    /** @return list<WorkingStep> */
    public function jsonSerialize(): array
    {
        return $this->steps;
    }
}
