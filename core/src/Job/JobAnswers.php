<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Making\Step;

/** Everything the product says about a job. Computed from the facts, never stored. */
final readonly class JobAnswers implements \JsonSerializable
{
    /**
     * @param  list<StageAnswer>  $stages
     * @param  list<SurfaceAnswer>  $surfaces
     * @param  list<JointAnswer>  $joints
     * @param  list<MakeEntry>  $make
     * @param  list<Step>  $plan
     * @param  list<MakingAnswer>  $making
     * @param  list<Note>  $notes
     */
    public function __construct(
        public string $id,
        public bool $withheld,
        public array $stages,
        public NextStep $next,
        public array $surfaces,
        public array $joints,
        public array $make,
        public array $plan,
        public array $making,
        public AssemblyAnswer $assembly,
        public HandOverAnswer $handOver,
        public SurveyAnswer $survey,
        public QuoteAnswer $quote,
        public JobPictures $pictures,
        public array $notes,
        /** @var list<LoopAnswer|PlaneAnswer> */
        public array $loops = [],
        /** @var list<ClearanceAnswer> */
        public array $clearances = [],
        /** @var list<MistakeAnswer> */
        public array $mistakes = [],
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'withheld' => $this->withheld,
            'stages' => $this->stages,
            'next' => $this->next,
            'surfaces' => $this->surfaces,
            'joints' => $this->joints,
            'loops' => $this->loops,
            'clearances' => $this->clearances,
            'mistakes' => $this->mistakes,
            'make' => $this->make,
            'plan' => $this->plan,
            'making' => $this->making,
            'assembly' => $this->assembly,
            'hand_over' => $this->handOver,
            'survey' => $this->survey,
            'quote' => $this->quote,
            'picture' => $this->pictures->assembly(),
            'notes' => $this->notes,
        ];
    }
}
