<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use Illuminate\Http\JsonResponse;

/** What was written at the end of jobs of the same kind: to do differently next time. */
final class LessonController
{
    private const MOST = 5;

    public function of(string $job): JsonResponse
    {
        $like = Job::query()->findOrFail($job);
        assert($like instanceof Job);
        $lessons = [];
        foreach (
            Job::query()
                ->where('kind', $like->getAttribute('kind'))
                ->where('id', '!=', $job)
                ->whereNull('binned_at')
                ->whereNull('practice')
                ->where('hand_over->next_time', '!=', '')
                ->orderByDesc('hand_over->finished_at')
                ->limit(self::MOST)
                ->get() as $earlier
        ) {
            assert($earlier instanceof Job);
            /** @var array{finished_at: ?string, next_time: string} $over */
            $over = $earlier->getAttribute('hand_over');
            $lessons[] = [
                'job' => $earlier->id,
                'name' => implode(', ', array_filter([$earlier->getAttribute('machine'), $earlier->getAttribute('part')])),
                'at' => $over['finished_at'],
                'says' => $over['next_time'],
            ];
        }

        return new JsonResponse(['lessons' => $lessons]);
    }
}
