<?php

declare(strict_types=1);

namespace Oldpart\Core\Advice;

final readonly class WorkingStep implements \JsonSerializable
{
    public Say $numbers;

    /**
     * @param  string  $what  what this step finds, in words
     * @param  string  $formula  the formula in symbols
     * @param  Say|string  $numbers  the formula with its numbers, and the result
     * @param  string  $source  where the formula or the value comes from
     */
    public function __construct(public string $what, public string $formula, Say|string $numbers, public string $source)
    {
        $this->numbers = is_string($numbers) ? Say::plain($numbers) : $numbers;
    }

    /** @return array{what: string, formula: string, numbers: Say, source: string} */
    public function jsonSerialize(): array
    {
        return [
            'what' => $this->what,
            'formula' => $this->formula,
            'numbers' => $this->numbers,
            'source' => $this->source,
        ];
    }
}
