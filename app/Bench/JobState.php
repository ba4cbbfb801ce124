<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Change;
use App\Models\Job;
use Oldpart\Core\Job\Evaluator;
use Oldpart\Core\Job\JobAnswers;
use Oldpart\Core\Job\JobFacts;

/** A job as the screens need it: its facts, the answers to them, and its version. */
final readonly class JobState implements \JsonSerializable
{
    private function __construct(public int $version, public JobFacts $facts, private bool $canUndo, private JobAnswers $answers)
    {
    }

    public static function of(Job $job, JobFacts $facts, ?JobAnswers $answers = null): self
    {
        return new self($job->version, $facts, Change::query()->where('job_id', $job->id)->where('undone', false)->exists(), $answers ?? (new Evaluator)->evaluate($facts));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'version' => $this->version,
            'can_undo' => $this->canUndo,
            'facts' => $this->facts,
            'answers' => $this->answers,
        ];
    }
}
