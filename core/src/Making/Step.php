<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;

/** One operation of a plan, with the reason it stands where it stands. */
final readonly class Step implements \JsonSerializable
{
    /** @param  list<Note>  $notes  what this shop has to mind at it */
    public function __construct(
        public string $code,
        public Say $do,
        public string $why,
        public string $rule,
        public array $notes = [],
    ) {
    }

    /** @param  list<Note>  $notes  more to mind at it */
    public function noting(array $notes): self
    {
        return $notes === []
            ? $this
            : new self($this->code, $this->do, $this->why, $this->rule, [...$this->notes, ...$notes]);
    }

    /** @return array{code: string, do: Say, why: string, rule: string, notes: list<Note>} */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->code,
            'do' => $this->do,
            'why' => $this->why,
            'rule' => $this->rule,
            'notes' => $this->notes,
        ];
    }
}
