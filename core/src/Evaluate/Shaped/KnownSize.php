<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

/** A size of a shape with how it is known; mm. */
final readonly class KnownSize
{
    public function __construct(
        public float $mm,
        /** ±; 0 where nobody said. */
        public float $u95Mm,
        /** Read, not noted. */
        public bool $isRead,
    ) {
    }
}
