<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Say;

/** What can be done now, in words, and where. */
final readonly class NextStep implements \JsonSerializable
{
    public function __construct(public Say $says, public string $stage, public ?string $target = null)
    {
    }

    /** @return array{says: Say, stage: string, target: ?string} */
    public function jsonSerialize(): array
    {
        return ['says' => $this->says, 'stage' => $this->stage, 'target' => $this->target];
    }
}
