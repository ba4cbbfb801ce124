<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Assembly;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;

/** One thing to do in the order of assembly: a part that goes in, or the screws of a joint that are tightened. */
final readonly class AssemblyItem
{
    /**
     * @param  string  $code  in:PART or tighten:JOINT
     * @param  list<Say>  $how  how its joints go together
     * @param  list<Note>  $notes
     */
    public function __construct(
        public string $code,
        public string $name,
        public array $how,
        public array $notes = [],
    ) {
    }

    /** @param  list<Note>  $notes */
    public function noting(array $notes): self
    {
        return new self($this->code, $this->name, $this->how, [...$this->notes, ...$notes]);
    }
}
