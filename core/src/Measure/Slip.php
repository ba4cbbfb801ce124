<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;

/** A reading that is likely a slip of the hand or the eye: which one, what is wrong, and how it would be mended. */
final readonly class Slip
{
    /**
     * @param  int  $index  of the reading, from 0
     * @param  ?float  $mendedMm  the size it likely was; null where nobody can say
     * @param  bool  $otherUnit  the same digits in the other unit mend it
     */
    public function __construct(
        public int $index,
        public Say $says,
        public ?float $mendedMm = null,
        public bool $otherUnit = false,
    ) {
    }

    public function note(): Note
    {
        return Note::caution('slip', $this->says);
    }
}
