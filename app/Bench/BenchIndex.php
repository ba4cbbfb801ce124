<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Cut;
use App\Models\IndexedJob;
use App\Models\IndexedSurface;
use App\Models\Job;
use App\Models\Reading;
use App\Models\Shop;
use App\Models\TakenOff;
use Illuminate\Support\Facades\DB;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;

/**
 * What the bench and Find need of every job, kept beside it so that five thousand need not be evaluated to list one.
 * It is written with each change of the job's facts and can be made anew from them at any time.
 */
final class BenchIndex
{
    public const PRACTICE = 'practice';

    public static function write(Job $job, JobFacts $facts, JobAnswers $answers): void
    {
        $finished = $facts->handOver->finishedAt;
        $declined = $facts->quote->decided?->value === 'decline';
        $state = match (true) {
            $finished !== null, $declined => 'done',
            $facts->waits !== null => 'waits',
            default => 'now',
        };
        IndexedJob::query()->updateOrCreate(
            ['job_id' => $job->id],
            [
                'state' => $state,
                // Practice lies on a shelf of its own, whatever becomes of it: no list and no search of jobs meets it.
                'shelf' => match (true) {
                    $facts->practice !== null => self::PRACTICE,
                    $job->binned_at !== null => 'bin',
                    $job->archived_at !== null => 'archive',
                    default => 'bench',
                },
                'sort' => match ($state) {
                    // The one wanted first, and what came first among equals, stands on top; of the done ones the
                    // latest.
                    'now' => ($facts->takeIn->wantedBy ?? '9999').' '.$job->id,
                    'waits' => $facts->waits->until ?? '9999',
                    default => strtr(
                        (string) ($finished ?? ($job->updated_at?->toIso8601ZuluString() ?? '')),
                        '0123456789',
                        '9876543210',
                    ),
                },
                'row' => self::row($job, $facts, $answers, $state, $declined),
                'words' => self::words($facts),
            ],
        );
        // What lies in the bin teaches nothing, and practice neither.
        $job->binned_at === null && $facts->practice === null
            ? TakenOff::keep($facts, Shop::here()->learns_since)
            : TakenOff::drop($job->id);
        IndexedSurface::query()->where('job_id', $job->id)->delete();
        $rows = [];
        foreach ($facts->practice === null ? $facts->surfaces : [] as $surface) {
            $size = $answers->shapes->sizes->known($surface);
            if ($size !== null && $surface->type->isMeasurable()) {
                $part = $facts->partOf($surface);
                $rows[] = [
                    'job_id' => $job->id,
                    'surface_id' => $surface->id,
                    'name' => $surface->name,
                    'part' => $part->name,
                    'made' => $part->origin === Origin::Make,
                    'size_mm' => $size,
                ];
            }
        }
        foreach (array_chunk($rows, 100) as $chunk) {
            IndexedSurface::query()->insert($chunk);
        }
    }

    /** After a figure of an instrument changed: anew for the jobs that were read or cut with it. */
    public static function ofInstrument(string $code): void
    {
        $jobs = Reading::query()
            ->where('instrument', $code)
            ->distinct()
            ->pluck('job_id')
            ->merge(Cut::query()->where('instrument', $code)->distinct()->pluck('job_id'))
            ->unique();
        foreach (Job::query()->whereIn('id', $jobs)->get() as $job) {
            assert($job instanceof Job);
            $facts = JobRecords::toFacts(JobRecords::toArray($job));
            self::write($job, $facts, JobAnswers::of($facts));
        }
    }

    /** Makes the index for the jobs that lack it, or for all. */
    public static function complete(bool $anew = false): void
    {
        if ($anew) {
            IndexedJob::query()->delete();
        }
        foreach (
            Job::query()
                ->whereNotIn('id', IndexedJob::query()->select('job_id'))
                ->get() as $job
        ) {
            assert($job instanceof Job);
            DB::transaction(static function () use ($job): void {
                $facts = JobRecords::toFacts(JobRecords::toArray($job));
                self::write($job, $facts, JobAnswers::of($facts));
            });
        }
    }

    /** @return array<string, mixed> */
    private static function row(Job $job, JobFacts $facts, JobAnswers $answers, string $state, bool $declined): array
    {
        return [
            'id' => $job->id,
            'machine' => $facts->machine,
            'part' => $facts->part,
            'kind' => $facts->kind,
            'quantity' => $facts->takeIn->quantity,
            'wanted_by' => $facts->takeIn->wantedBy,
            'next' => $answers->next->jsonSerialize(),
            'open' => array_sum(array_map(static fn ($s): int => $s->open, array_slice($answers->stages, 0, 4))),
            'state' => $state,
            'declined' => $declined,
            'withheld' => $answers->withheld,
            'waits' => $facts->waits?->jsonSerialize(),
            'cooling' => self::cooling($answers),
            'thumb' => $answers->pictures->thumb(),
        ];
    }

    /** @return ?array{name: string, until: string} what was read warm last, and when it is cool */
    private static function cooling(JobAnswers $answers): ?array
    {
        $latest = null;
        foreach ($answers->surfaces as $surface) {
            $until = $surface->coolDown?->readyAt();
            if ($until !== null && ($latest === null || $until > $latest['until'])) {
                $latest = ['name' => $surface->surface->name, 'until' => $until];
            }
        }

        return $latest;
    }

    private static function words(JobFacts $facts): string
    {
        $words = [$facts->machine, $facts->part, $facts->kind, $facts->takeIn->reference];
        foreach ($facts->parts as $part) {
            array_push($words, $part->name, $part->material ?? '');
        }

        return mb_strtolower(implode(' · ', array_unique(array_filter($words))));
    }
}
