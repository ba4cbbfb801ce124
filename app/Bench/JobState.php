<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Job;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Facts\JobFacts;

/** A job as the screens need it: its facts, the answers to them, and its version. */
final readonly class JobState implements \JsonSerializable
{
    private function __construct(
        public int $version,
        public JobFacts $facts,
        public bool $canUndo,
        public bool $canRedo,
        public JobAnswers $answers,
    ) {
    }

    public static function of(Job $job, JobFacts $facts, ?JobAnswers $answers = null): self
    {
        [$undo, $redo] = JobStore::steps($job->id, Sender::name());

        return new self($job->version, $facts, $undo, $redo, $answers ?? JobAnswers::of($facts));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'version' => $this->version,
            'can_undo' => $this->canUndo,
            'can_redo' => $this->canRedo,
            'facts' => $this->facts,
            'answers' => $this->answers,
        ];
    }
}
