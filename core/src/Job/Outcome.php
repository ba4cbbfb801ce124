<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;

/** What comes out of a job at the end, and what it was worked out with. */
final readonly class Outcome
{
    public function __construct(
        public bool $withheld,
        /** @var array<string, FoundSize> by surface */
        public array $found,
        public JointSizing $sizing,
        public PressStudy $study,
        /** @var list<JointAnswer> */
        public array $joints,
        /** @var array<string, Band> of made surfaces */
        public array $bands,
        /** @var list<MakeEntry> */
        public array $make,
        /** @var list<MakingAnswer> */
        public array $making,
        /** @var list<LoopAnswer|PlaneAnswer> */
        public array $loops,
    ) {
    }
}
