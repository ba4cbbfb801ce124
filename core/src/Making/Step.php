<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;

/** One operation of a plan, with the reason it stands where it stands. */
final readonly class Step implements \JsonSerializable
{
    /**
     * @param  list<Note>  $notes  what this shop has to mind at it
     * @param  list<array{name: string, says: Say}>  $how  how it is held, with what it is cut, how fast
     */
    public function __construct(
        public string $code,
        public Say $do,
        public string $why,
        public string $rule,
        public array $notes = [],
        public array $how = [],
    ) {
    }

    /** @param  list<Note>  $notes  more to mind at it */
    public function noting(array $notes): self
    {
        return $notes === []
            ? $this
            : $this->with([...$this->notes, ...$notes], $this->how);
    }

    /** @param  list<array{name: string, says: Say}>  $how */
    public function how(array $how): self
    {
        return $this->with($this->notes, $how);
    }

    /**
     * @param  list<Note>  $notes
     * @param  list<array{name: string, says: Say}>  $how
     */
    private function with(array $notes, array $how): self
    {
        return new self(
            code: $this->code,
            do: $this->do,
            why: $this->why,
            rule: $this->rule,
            notes: $notes,
            how: $how,
        );
    }

    /** @return array{code: string, do: Say, why: string, rule: string, notes: list<Note>, how: list<array{name: string, says: Say}>} */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->code,
            'do' => $this->do,
            'why' => $this->why,
            'rule' => $this->rule,
            'notes' => $this->notes,
            'how' => $this->how,
        ];
    }
}
