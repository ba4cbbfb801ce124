<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Job;
use App\Models\OwnInstrument;
use App\Models\Shop;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\TakeOffFacts;
use Oldpart\Core\Measure\Instrument;

/** Records to facts and back. */
final class JobRecords
{
    private const HEAD = ['machine', 'part', 'kind', 'unit', 'take_in', 'shop', 'quote', 'waits', 'plan', 'batch', 'assembly', 'practice', 'hand_over'];

    /** What is the shop's and kept with no job, beside its instruments. */
    private const TOOLS = ['machines', 'drills', 'reamers', 'tool_unit', 'polishes_last', 'take_offs'];

    /** @return array<string, mixed> */
    private static function tools(Shop $shop): array
    {
        $facts = $shop->facts();

        return [
            ...array_intersect_key($facts->jsonSerialize(), array_flip(self::TOOLS)),
            'take_offs' => array_map(static fn (TakeOffFacts $t): array => $t->jsonSerialize(), $facts->takeOffs),
        ];
    }

    /** @return array<string, mixed> the job as its file has it */
    public static function toArray(Job $job): array
    {
        $array = ['format' => JobFacts::FORMAT, 'version' => JobFacts::VERSION, 'id' => $job->id];
        foreach (self::HEAD as $field) {
            $array[$field] = $job->getAttribute($field);
        }
        // Not kept with each job: a figure mended in the shop holds for all of them.
        $array['shop']['instruments'] = array_map(
            static fn (Instrument $i): array => $i->jsonSerialize(),
            OwnInstrument::set()->own(),
        );
        $array['shop'] = [...$array['shop'], ...self::tools(Shop::here())];
        foreach (FactList::cases() as $list) {
            $array[$list->value] = $list->model()::factsOf($job->id);
        }

        return $array;
    }

    /**
     * What is stored was held against the schema when it came; only its sense is checked again.
     *
     * @param  array<string, mixed>  $array
     *
     * @throws BadInput when it makes no sense as a job
     */
    public static function toFacts(array $array): JobFacts
    {
        return JobFacts::fromArray($array);
    }

    /**
     * Holds a job's head and some of its things against the schema; a thing is named by its place in the job.
     *
     * @param  array<string, mixed>  $array
     * @param  array<int, array<string, mixed>>  $things  by their place in the list
     *
     * @throws BadInput naming the field that is wrong
     */
    public static function vet(array $array, ?FactList $list = null, array $things = []): void
    {
        try {
            JobFile::vet(
                $list === null
                    ? array_intersect_key($array, array_flip(self::HEAD))
                    : [$list->value => array_values($things)],
            );
        } catch (BadInput $bad) {
            $places = array_keys($things);
            throw $list === null
                ? $bad
                : $bad->about(
                    (string) preg_replace_callback(
                        "/^{$list->value}\\.(\\d+)/",
                        static fn (array $m): string => "{$list->value}.".($places[(int) $m[1]] ?? $m[1]),
                        $bad->field,
                    ),
                );
        }
    }

    /**
     * @param  array<string, mixed>  $head
     * @return array<string, mixed> as it is stored
     */
    public static function withoutTheShops(array $head): array
    {
        if (is_array($head['shop'] ?? null)) {
            $head['shop'] = array_diff_key($head['shop'], ['instruments' => 0, ...array_flip(self::TOOLS)]);
        }

        return $head;
    }

    /** Writes a whole new job; the caller holds the transaction. */
    public static function insert(JobFacts $facts): Job
    {
        $array = JobFile::toArray($facts);
        $head = ['id' => $facts->id, 'version' => 1];
        foreach (self::HEAD as $field) {
            $head[$field] = $array[$field];
        }
        $head = self::withoutTheShops($head);
        $job = Job::query()->create($head);
        foreach (FactList::cases() as $list) {
            /** @var list<array<string, mixed>> $rows */
            $rows = $array[$list->value];
            foreach ($rows as $place => $row) {
                $model = $list->model();
                $model::query()->create([...$row, 'job_id' => $job->id, 'place' => $place]);
            }
        }

        return $job;
    }
}
