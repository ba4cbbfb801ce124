<?php

declare(strict_types=1);

namespace Oldpart\Core\Advice;

/**
 * A way out where a fit can't be made as asked, or would work too seldom: in words with its numbers, and what one tap
 * does.
 */
final readonly class WayOut implements \JsonSerializable
{
    /**
     * @param  array<string, mixed>|null  $joint  what it changes of the joint
     * @param  ?string  $operation  what it adds to the plan
     * @param  ?string  $measure  the surface to read again
     */
    public function __construct(
        public string $code,
        public Say $says,
        public ?array $joint = null,
        public ?string $operation = null,
        public ?string $measure = null,
        /** That it works then, 0 to 1; null where that is not what it is about. */
        public ?float $chance = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->code,
            'says' => $this->says,
            'joint' => $this->joint,
            'operation' => $this->operation,
            'measure' => $this->measure,
            'chance' => $this->chance,
        ];
    }
}
