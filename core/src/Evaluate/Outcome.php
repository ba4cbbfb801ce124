<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate;

use Oldpart\Core\Evaluate\Loops\SolvedLoop;
use Oldpart\Core\Evaluate\Loops\SolvedPlane;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Mechanics\PressStudy;
use Oldpart\Core\Evaluate\Reckoned\Reckoned;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Evaluate\Sizing\JointSizing;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Evaluate\Trials\LoopTrials;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;

/** What comes out of a job at the end, and what it was worked out with. */
final readonly class Outcome
{
    public function __construct(
        public bool $withheld,
        /** @var array<string, FoundSize> by surface: those that were read, as they are now */
        public array $read,
        /** @var array<string, array<string, FoundSize>> what was before it was cut, by surface, by state */
        public array $before,
        /** @var array<string, FoundSize> by surface: those that were read, typed, or made first and measured */
        public array $found,
        public JointSizing $sizing,
        public PressStudy $study,
        /** @var list<SizedJoint> */
        public array $joints,
        /** @var array<string, Band> of made surfaces */
        public array $bands,
        /** @var list<ShapedSurface> */
        public array $shapes,
        /** @var list<MakeEntry> */
        public array $make,
        /** @var list<CutProgress> */
        public array $making,
        /** @var list<SolvedLoop|SolvedPlane> */
        public array $loops,
        /** @var array<string, ?LoopTrials> by loop, and by joint of two lengths */
        public array $trials,
        /** @var list<Reckoned> the sums of the job */
        public array $reckoned = [],
    ) {
    }

    /** @return array<string, Band> by surface: the size that stands for a shape that is cut */
    public function shapeBands(): array
    {
        $bands = [];
        foreach ($this->shapes as $shape) {
            if ($shape->isCut && $shape->band !== null) {
                $bands[$shape->surface->id] = $shape->band;
            }
        }

        return $bands;
    }
}
