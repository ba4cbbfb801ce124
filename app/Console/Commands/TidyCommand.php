<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\BenchIndex;
use App\Models\Job;
use App\Photos\Photographs;
use Illuminate\Console\Command;

/** Empties the bin of what has lain in it too long, and makes the bench's index whole. */
final class TidyCommand extends Command
{
    protected $signature = 'shop:tidy {--anew : make the whole index anew}';

    protected $description = 'Empties the bin of what is older than 30 days and completes the index of the bench';

    public function handle(Photographs $photographs): int
    {
        $days = config('shop.bin_days');
        foreach (Job::query()->where('binned_at', '<', now()->subDays(is_int($days) ? $days : 30))->get() as $job) {
            assert($job instanceof Job);
            $photographs->forget($job->id);
            $job->delete();
        }
        BenchIndex::complete($this->option('anew') === true);

        return self::SUCCESS;
    }
}
