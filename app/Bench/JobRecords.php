<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\FactModel;
use App\Models\Job;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Job\JobFacts;

/** Records to facts and back. */
final class JobRecords
{
    private const HEAD = ['machine', 'part', 'kind', 'unit', 'take_in', 'shop', 'quote', 'waits', 'hand_over'];

    /** @return array<string, mixed> the job as its file has it */
    public static function toArray(Job $job): array
    {
        $array = ['format' => JobFacts::FORMAT, 'version' => JobFacts::VERSION, 'id' => $job->id];
        foreach (self::HEAD as $field) {
            $array[$field] = $job->getAttribute($field);
        }
        foreach (FactList::cases() as $list) {
            $array[$list->value] = [];
            foreach ($list->model()::query()->where('job_id', $job->id)->orderBy('place')->get() as $record) {
                assert($record instanceof FactModel);
                $array[$list->value][] = $record->fact();
            }
        }

        return $array;
    }

    /**
     * @param  array<string, mixed>  $array
     *
     * @throws BadInput when it is not a job
     */
    public static function toFacts(array $array): JobFacts
    {
        return JobFile::fromArray($array);
    }

    /** Writes a whole new job; the caller holds the transaction. */
    public static function insert(JobFacts $facts): Job
    {
        $array = JobFile::toArray($facts);
        $head = ['id' => $facts->id, 'version' => 1];
        foreach (self::HEAD as $field) {
            $head[$field] = $array[$field];
        }
        $job = Job::query()->create($head);
        foreach (FactList::cases() as $list) {
            /** @var list<array<string, mixed>> $rows */
            $rows = $array[$list->value];
            foreach ($rows as $place => $row) {
                $list->model()::query()->create([...$row, 'job_id' => $job->id, 'place' => $place]);
            }
        }

        return $job;
    }
}
