<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Remedy\Mistake;

/** A number that was wrong, as it is shown. */
final readonly class MistakeAnswer implements \JsonSerializable
{
    public function __construct(private Mistake $of)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->of->facts->id,
            'name' => $this->of->name,
            'was' => $this->of->was,
            'is' => $this->of->is,
            'off' => $this->of->off,
            'cause' => $this->of->facts->cause->value,
            'look_also' => $this->of->facts->cause->lookAlso(),
            'touched' => $this->of->touched,
            'made' => $this->of->made,
            'ways' => $this->of->ways,
            'picture' => $this->of->moved === null ? null : LoopAnswer::picture($this->of->moved),
        ];
    }
}
