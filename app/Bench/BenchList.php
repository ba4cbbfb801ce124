<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Job;
use Oldpart\Core\Job\Evaluator;

/** The bench: every job with its next step, what can be done now first. */
final class BenchList
{
    /** @return list<array<string, mixed>> */
    public function rows(): array
    {
        $evaluator = new Evaluator;
        $rows = [];
        foreach (Job::query()->orderByDesc('updated_at')->orderBy('id')->get() as $job) {
            assert($job instanceof Job);
            $facts = JobRecords::toFacts(JobRecords::toArray($job));
            $answers = $evaluator->evaluate($facts);
            $rows[] = [
                'id' => $job->id,
                'machine' => $facts->machine,
                'part' => $facts->part,
                'kind' => $facts->kind,
                'quantity' => $facts->takeIn->quantity,
                'wanted_by' => $facts->takeIn->wantedBy,
                'next' => $answers->next,
                'state' => $facts->handOver->finishedAt !== null ? 'done' : 'now',
            ];
        }

        return $rows;
    }
}
