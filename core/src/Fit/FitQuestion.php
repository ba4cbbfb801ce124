<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Catalogue\Table;

/** A plain question that leads to a fit (data/fit-questions.json), asked where the answers before make it matter. */
final readonly class FitQuestion
{
    /**
     * @param  array<string, list<string>>  $if  asked when each of these has one of these answers
     * @param  list<array{string, string}>  $choices  code and words
     */
    private function __construct(public string $code, public string $ask, private array $if, public array $choices)
    {
    }

    /** @return list<FitQuestion> */
    public static function all(): array
    {
        /**
         * @var list<array{code: string, ask: string, if: array<string, list<string>>, choices: list<array{string, string}>}> $rows
         */
        $rows = Table::rows('fit-questions');

        return array_map(static fn (array $r): self => new self($r['code'], $r['ask'], $r['if'], $r['choices']), $rows);
    }

    /** @param  array<string, string>  $answers */
    public function matters(array $answers): bool
    {
        foreach ($this->if as $code => $any) {
            if (! in_array($answers[$code] ?? '', $any, true)) {
                return false;
            }
        }

        return true;
    }
}
