<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\IndexedJob;

/** The bench: every job with its next step, what can be done now first, then what waits, then what is done. */
final class BenchList
{
    /** As many of each kind as anybody scrolls through; Find finds the rest. */
    private const SHOWN = 60;

    /**
     * @param  'bench'|'archive'|'bin'  $shelf
     * @return array{jobs: list<array<string, mixed>>, counts: array<string, int>}
     */
    public function of(string $shelf): array
    {
        $rows = [];
        $counts = ['now' => 0, 'waits' => 0, 'done' => 0];
        foreach (array_keys($counts) as $state) {
            $query = IndexedJob::query()->where('shelf', $shelf)->where('state', $state);
            $counts[$state] = $query->clone()->count();
            foreach ($query->orderBy('sort')->limit(self::SHOWN)->get() as $job) {
                assert($job instanceof IndexedJob);
                $rows[] = $job->row;
            }
        }

        return ['jobs' => $rows, 'counts' => $counts];
    }
}
