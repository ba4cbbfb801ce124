<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Working;

/** What is to be said of a found size beside its figures, each worked out once, when it is first asked for. */
final class SaidOfSize
{
    /** @var list<Share>|null */
    private ?array $shares = null;

    /** @var list<Slip>|null */
    private ?array $hands = null;

    /** @var list<Note>|null */
    private ?array $remarks = null;

    private ?Working $steps = null;

    public function __construct(
        /** @var (\Closure(): list<Share>)|null */
        private readonly ?\Closure $budget = null,
        /** @var (\Closure(): list<Slip>)|null */
        private readonly ?\Closure $slips = null,
        /** @var (\Closure(self): list<Note>)|null */
        private readonly ?\Closure $notes = null,
        /** @var (\Closure(self): Working)|null */
        private readonly ?\Closure $working = null,
    ) {
    }

    /** @return list<Share> largest first */
    public function budget(): array
    {
        return $this->shares ??= $this->budget === null ? [] : ($this->budget)();
    }

    /** @return list<Slip> */
    public function slips(): array
    {
        return $this->hands ??= $this->slips === null ? [] : ($this->slips)();
    }

    /** @return list<Note> */
    public function notes(): array
    {
        return $this->remarks ??= $this->notes === null ? [] : ($this->notes)($this);
    }

    public function working(): Working
    {
        return $this->steps ??= $this->working === null ? new Working([]) : ($this->working)($this);
    }
}
