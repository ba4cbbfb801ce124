<?php

declare(strict_types=1);

namespace App\Bench;

use App\Change\Draft;
use App\Models\Change;
use App\Models\Job;
use Oldpart\Core\Advice\BadInput;

/**
 * A job as it was after any of its changes, by going back over what came since; and the way from now to there, on which
 * nothing of the record is lost.
 */
final readonly class EarlierState
{
    /** Why what was measured or cut since does not count. */
    private const SINCE = 'measured after the state that was brought back';

    /**
     * @param  array<string, mixed>  $now
     * @param  array<string, mixed>  $then
     */
    private function __construct(private array $now, public array $then)
    {
    }

    /** @throws BadInput where the job has no such change */
    public static function after(Job $job, int $change): self
    {
        if (Change::query()->where('job_id', $job->id)->where('id', $change)->doesntExist()) {
            throw new BadInput('gone', 'change', 'The history of this job has no such row.');
        }
        $now = $then = JobRecords::toArray($job);
        $since = Change::query()->where('job_id', $job->id)->where('id', '>', $change)->orderByDesc('id')->get();
        foreach ($since as $one) {
            assert($one instanceof Change);
            foreach (array_reverse($one->stepsBack()) as $step) {
                $then = self::back($then, $step);
            }
        }

        return new self($now, $then);
    }

    /**
     * @param  array<string, mixed>  $job
     * @param  array{list: string, thing: string, fact: array<string, mixed>|null, place: ?int}  $step
     * @return array<string, mixed>
     */
    private static function back(array $job, array $step): array
    {
        ['list' => $list, 'thing' => $thing, 'fact' => $fact] = $step;
        if ($list === Draft::HEAD) {
            foreach ($fact ?? [] as $field => $value) {
                $job[$field] = is_array($value) && is_array($job[$field]) ? [...$job[$field], ...$value] : $value;
            }

            return $job;
        }
        $rows = is_array($job[$list] ?? null) ? $job[$list] : [];
        $at = array_search($thing, array_column($rows, 'id'), true);
        if ($fact === null) {
            $rows = array_filter($rows, static fn (array $row): bool => $row['id'] !== $thing);
        } elseif ($at === false) {
            array_splice($rows, min($step['place'] ?? count($rows), count($rows)), 0, [[...$fact, 'id' => $thing]]);
        } else {
            $rows[$at] = [...$fact, 'id' => $thing];
        }
        $job[$list] = array_values($rows);

        return $job;
    }

    /**
     * What has to be written to stand there again. Records that came since stay, set aside with the reason, with what
     * they hang on; of a reading that was typed anew since, the number it had goes into what it was.
     *
     * @return list<array{list: ?FactList, thing: string, was: array<string, mixed>|null, is: array<string, mixed>|null, place: ?int}>
     */
    public function steps(): array
    {
        $target = $this->withRecords();
        $steps = [];
        $head = array_filter(
            array_diff_key($target, array_flip(array_column(FactList::cases(), 'value')), ['format' => 0, 'version' => 0, 'id' => 0, 'kind' => 0]),
            fn (mixed $value, string $field): bool => JobRecords::withoutTheShops([$field => $value]) != JobRecords::withoutTheShops([$field => $this->now[$field] ?? null]),
            ARRAY_FILTER_USE_BOTH,
        );
        if ($head !== []) {
            $steps[] = ['list' => null, 'thing' => '', 'was' => array_intersect_key($this->now, $head), 'is' => $head, 'place' => null];
        }
        foreach (FactList::cases() as $list) {
            [$now, $then] = [array_column($this->now[$list->value], null, 'id'), array_column($target[$list->value], null, 'id')];
            $place = 0;
            foreach ($then as $id => $fact) {
                if (($now[$id] ?? null) != $fact) {
                    $steps[] = ['list' => $list, 'thing' => (string) $id, 'was' => $now[$id] ?? null, 'is' => $fact, 'place' => isset($now[$id]) ? null : $place];
                }
                $place++;
            }
            foreach (array_diff_key($now, $then) as $id => $fact) {
                $steps[] = ['list' => $list, 'thing' => (string) $id, 'was' => $fact, 'is' => null, 'place' => null];
            }
        }

        return $steps;
    }

    /** @return array<string, mixed> the job as it will be */
    public function withRecords(): array
    {
        $target = $this->then;
        foreach (FactList::cases() as $list) {
            if (! $list->isRecord()) {
                continue;
            }
            $then = array_column($target[$list->value], null, 'id');
            foreach ($this->now[$list->value] as $fact) {
                $id = $fact['id'];
                if (isset($then[$id])) {
                    $then[$id] = $list === FactList::Readings ? self::reading($then[$id], $fact) : $then[$id];

                    continue;
                }
                if (array_key_exists('set_aside', $fact)) {
                    $fact['set_aside'] ??= self::SINCE;
                }
                $then[$id] = $fact;
                $target = $this->withWhatItHangsOn($target, $fact);
            }
            $target[$list->value] = array_values($then);
        }

        return $target;
    }

    /**
     * @param  array<string, mixed>  $then
     * @param  array<string, mixed>  $now
     * @return array<string, mixed>
     */
    private static function reading(array $then, array $now): array
    {
        return $then['value'] == $now['value']
            ? [...$then, 'was' => $now['was'], 'history' => $now['history']]
            : [...$then, 'was' => $now['value'], 'history' => [...$now['history'], $now['value']]];
    }

    /**
     * @param  array<string, mixed>  $job
     * @param  array<string, mixed>  $fact
     * @return array<string, mixed>
     */
    private function withWhatItHangsOn(array $job, array $fact): array
    {
        $needs = [['surfaces', 'surface'], ['surfaces', 'outer'], ['surfaces', 'inner'], ['surfaces', 'along'], ['joints', 'joint'], ['loops', 'loop'], ['parts', 'part']];
        foreach ($needs as [$list, $field]) {
            $id = $fact[$field] ?? null;
            if (! is_string($id) || in_array($id, array_column($job[$list], 'id'), true)) {
                continue;
            }
            $it = array_column($this->now[$list], null, 'id')[$id] ?? null;
            if (is_array($it)) {
                $job[$list][] = $it;
                $job = $this->withWhatItHangsOn($job, $it);
            }
        }
        foreach (is_array($fact['lengths'] ?? null) ? $fact['lengths'] : [] as $length) {
            $job = is_array($length) ? $this->withWhatItHangsOn($job, ['surface' => $length['surface'] ?? null]) : $job;
        }

        return $job;
    }
}
