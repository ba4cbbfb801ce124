<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

/** One stage of the job: what is open in it, in a word or two. */
final readonly class StageAnswer implements \JsonSerializable
{
    public function __construct(public string $code, public string $name, public string $says, public int $open)
    {
    }

    /** @return array{code: string, name: string, says: string, open: int} */
    public function jsonSerialize(): array
    {
        return ['code' => $this->code, 'name' => $this->name, 'says' => $this->says, 'open' => $this->open];
    }
}
