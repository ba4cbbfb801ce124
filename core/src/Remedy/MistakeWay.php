<?php

declare(strict_types=1);

namespace Oldpart\Core\Remedy;

use Oldpart\Core\Advice\Say;

/** One way out of a mistake, and what the whole job looks like after it. */
final readonly class MistakeWay implements \JsonSerializable
{
    /**
     * @param  Say  $then  what then closes and what does not
     * @param  string  $costs  in the shop's terms
     * @param  int  $left  how many things are then still not as wanted
     * @param  int  $trouble  0 for the least: a place in a row, not an amount
     * @param  list<array{list: string, thing: string, fact: array<string, mixed>}>  $changes  that carry it out; empty where it is work, not a number
     */
    public function __construct(
        public Say $do,
        public Say $then,
        public string $costs,
        public int $left,
        public int $trouble,
        public array $changes = [],
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'do' => $this->do,
            'then' => $this->then,
            'costs' => $this->costs,
            'enough' => $this->left === 0,
            'changes' => $this->changes,
        ];
    }
}
