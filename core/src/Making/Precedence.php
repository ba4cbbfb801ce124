<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

/** That one thing has to come before another, and how hard that is to give up. */
final readonly class Precedence
{
    /**
     * @param  string  $why  as it is said
     * @param  int  $weight  the larger, the less it can be broken
     */
    public function __construct(
        public string $first,
        public string $then,
        public string $why,
        public int $weight = 1,
        public string $id = '',
    ) {
    }
}
