<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Change;
use App\Models\InstrumentCheck;
use App\Models\Job;
use App\Models\Shop;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Job\Evaluator;
use Oldpart\Core\Job\JobAnswers;
use Oldpart\Core\Job\JobFacts;
use Oldpart\Core\Job\Kind;
use Oldpart\Core\Quantity\Unit;

/**
 * Keeps jobs. Every write is one transaction, is checked as a whole before it stands, is remembered for undo, and is
 * carried out once however often it is sent.
 */
final class JobStore
{
    /** The list of a change that touched several things at once. */
    private const SEVERAL = 'several';

    public function state(string $id): JobState
    {
        $job = Job::query()->findOrFail($id);

        return JobState::of($job, JobRecords::toFacts(JobRecords::toArray($job)));
    }

    public function facts(string $id): JobFacts
    {
        return $this->state($id)->facts;
    }

    /** Starting the same job twice (a retry) gives the same job. */
    public function start(string $id, string $kind, string $machine, string $part, Unit $unit): JobState
    {
        return DB::transaction(function () use ($id, $kind, $machine, $part, $unit): JobState {
            if (Job::query()->whereKey($id)->doesntExist()) {
                self::insert(Kind::named($kind)->layOut($id, $machine, $part, $unit, Shop::here()->facts(), self::freshId(...)));
            }

            return $this->state($id);
        });
    }

    /**
     * Carries a change out in one transaction: once, however often it is sent, and only on the version its sender read.
     *
     * @param  \Closure(Job): JobState  $change
     *
     * @throws Conflict
     */
    private function once(string $id, int $version, string $request, \Closure $change): JobState
    {
        return DB::transaction(function () use ($id, $version, $request, $change): JobState {
            $job = Job::query()->findOrFail($id);
            if (Change::query()->where('request', $request)->exists()) {
                return $this->state($id);
            }
            if ($job->version !== $version) {
                throw new Conflict($this->state($id));
            }

            return $change($job);
        });
    }

    /** A new job laid out as this one is: parts, surfaces, joints, operations; nothing measured, cut or accepted. */
    public function copy(string $from, string $id): JobState
    {
        return DB::transaction(function () use ($from, $id): JobState {
            if (Job::query()->whereKey($id)->doesntExist()) {
                $facts = JobCopy::start(JobCopy::under($this->facts($from), self::freshId(...), $id), Shop::here()->facts());
                self::insert($facts);
            }

            return $this->state($id);
        });
    }

    /**
     * Where the job lies: on the bench, in the archive, or in the bin, from which it comes back for 30 days.
     *
     * @param  'bench'|'archive'|'bin'  $shelf
     */
    public function put(string $id, string $shelf): void
    {
        DB::transaction(function () use ($id, $shelf): void {
            $job = Job::query()->findOrFail($id);
            $job->update(['archived_at' => $shelf === 'archive' ? now() : null, 'binned_at' => $shelf === 'bin' ? now() : null]);
            $facts = JobRecords::toFacts(JobRecords::toArray($job));
            BenchIndex::write($job, $facts, (new Evaluator)->evaluate($facts));
        });
    }

    /** Takes in a job file; where its id is already on the bench it comes in as a copy. */
    public function import(string $text): JobState
    {
        $read = JobFile::read($text);
        (new Evaluator)->evaluate($read);

        return DB::transaction(function () use ($read): JobState {
            $facts = ForeignInstruments::takenIn($read);
            if (Job::query()->whereKey($facts->id)->exists() || $this->anyIdTaken($facts)) {
                $facts = JobCopy::under($facts, self::freshId(...));
            }

            return $this->state(self::insert($facts)->id);
        });
    }

    /**
     * Changes the head of a job (`list` null) or one thing in a list; a null fact takes the thing away.
     *
     * @param  array<string, mixed>|null  $fact  the fields that change, or all of a new thing
     *
     * Refuses with BadInput when the job would no longer make sense.
     *
     * @throws Conflict when the job is at another version than the sender read
     */
    public function change(string $id, int $version, string $request, ?FactList $list, string $thing, ?array $fact): JobState
    {
        return $this->once($id, $version, $request, function (Job $job) use ($id, $request, $list, $thing, $fact): JobState {
            if ($list !== null && $fact === null && $list !== FactList::Ticks) {
                return $this->remove($job, $request, $list, $thing);
            }
            [$facts, $before, $after, $answers] = $this->changed(JobRecords::toArray($job), $list, $thing, $fact);
            $this->write($job, $list, $thing, $after);
            $job->update(['version' => $job->version + 1]);
            Change::query()->create([
                'job_id' => $id, 'request' => $request, 'version' => $job->version, 'list' => $list->value ?? 'job', 'thing' => $thing, 'before' => $before, 'after' => $after,
            ]);

            BenchIndex::write($job, $facts, $answers);

            return JobState::of($job, $facts, $answers);
        });
    }

    /**
     * Adds several things at once, all or none, as one change that can be taken back.
     *
     * @param  list<array<string, mixed>>  $things  each with its id
     */
    public function addAll(string $id, int $version, string $request, FactList $list, array $things): JobState
    {
        return $this->once($id, $version, $request, function (Job $job) use ($id, $request, $list, $things): JobState {
            $array = JobRecords::toArray($job);
            $new = array_map(static fn (array $thing): array => [
                ...$list->blank(), ...($list === FactList::Readings ? ['correction_mm' => InstrumentCheck::correctionFor($thing['instrument'])] : []), ...$thing,
            ], $things);
            JobRecords::vet($array, $list, $new);
            array_push($array[$list->value], ...$new);
            $facts = JobRecords::toFacts($array);
            $answers = (new Evaluator)->evaluate($facts);
            $stored = array_column(JobFile::toArray($facts)[$list->value], null, 'id');
            $before = $after = [];
            foreach ($things as $thing) {
                $this->write($job, $list, $thing['id'], $stored[$thing['id']]);
                $before[] = ['list' => $list->value, 'thing' => $thing['id'], 'fact' => null, 'place' => null];
                $after[] = ['list' => $list->value, 'thing' => $thing['id'], 'fact' => $stored[$thing['id']], 'place' => null];
            }
            $this->remember($job, $request, $id, $before, $after);
            BenchIndex::write($job, $facts, $answers);

            return JobState::of($job, $facts, $answers);
        });
    }

    /**
     * @param  list<array<string, mixed>>  $before
     * @param  list<array<string, mixed>>  $after
     */
    private function remember(Job $job, string $request, string $thing, array $before, array $after): void
    {
        $job->update(['version' => $job->version + 1]);
        Change::query()->create([
            'job_id' => $job->id, 'request' => $request, 'version' => $job->version, 'list' => self::SEVERAL, 'thing' => $thing, 'before' => $before, 'after' => $after,
        ]);
    }

    /** Takes a thing away with all that hangs on it, as one change that can be taken back. */
    private function remove(Job $job, string $request, FactList $list, string $thing): JobState
    {
        $array = JobRecords::toArray($job);
        $steps = Removal::of($array, $list, $thing);
        foreach ($steps as [$of, $id, , $after]) {
            $array = $after === null ? Removal::without($array, $of, $id) : $this->changedThing($array, $of, $id, $after)[0];
        }
        $facts = JobRecords::toFacts($array);
        $answers = (new Evaluator)->evaluate($facts);
        $before = $later = [];
        foreach ($steps as [$of, $id, $was, $after]) {
            $place = $of->model()::query()->whereKey($id)->value('place');
            $before[] = ['list' => $of->value, 'thing' => $id, 'fact' => $was, 'place' => $place];
            $later[] = ['list' => $of->value, 'thing' => $id, 'fact' => $after, 'place' => $place];
            $this->write($job, $of, $id, $after);
        }
        $this->remember($job, $request, $thing, $before, $later);
        BenchIndex::write($job, $facts, $answers);

        return JobState::of($job, $facts, $answers);
    }

    /**
     * The answers as they would be with some changes, without saving them.
     *
     * @param  non-empty-list<array{list: ?FactList, thing: string, fact: array<string, mixed>}>  $changes
     *
     * @throws BadInput
     */
    public function preview(string $id, array $changes): JobAnswers
    {
        $array = JobRecords::toArray(Job::query()->findOrFail($id));
        $last = array_pop($changes);
        foreach ($changes as ['list' => $list, 'thing' => $thing, 'fact' => $fact]) {
            [$array, , $at] = $list === null ? $this->changedHead($array, $fact) : $this->changedThing($array, $list, $thing, $fact);
            $list === null ? JobRecords::vet($array) : JobRecords::vet($array, $list, [$at => $array[$list->value][$at]]);
        }

        return $this->changed($array, $last['list'], $last['thing'], $last['fact'])[3];
    }

    /**
     * A number was wrong: a surface's readings, which are set aside with the reason, or a length typed in a loop, which gets its right
     * size in every loop where the same piece stands. One change, kept on record, that can be taken back.
     *
     * @param  ?int  $place  of the length in its loop
     * @param  array<string, mixed>|null  $right  the right size as typed; null where a surface is to be measured anew
     *
     * Refuses with BadInput when there is no such number, or the right one is missing.
     *
     * @throws Conflict when the job is at another version than the sender read
     */
    public function mistake(string $id, int $version, string $request, string $mistake, ?string $surface, ?string $loop, ?int $place, ?array $right, string $cause, string $note): JobState
    {
        return $this->once($id, $version, $request, function (Job $job) use ($request, $mistake, $surface, $loop, $place, $right, $cause, $note): JobState {
            $array = JobRecords::toArray($job);
            $fact = ['surface' => $surface, 'loop' => $loop, 'cause' => $cause, 'note' => $note, 'at' => now()->toIso8601ZuluString()];
            $steps = $surface !== null ? $this->readingsWrong($array, $surface, $right, $cause, $fact) : $this->lengthWrong($array, (string) $loop, $place ?? -1, $right, $fact);
            $steps[] = [FactList::Mistakes, $mistake, $fact];
            $before = [];
            foreach ($steps as [$list, $thing, $change]) {
                [$array, $was, $at] = $this->changedThing($array, $list, $thing, $change);
                JobRecords::vet($array, $list, [$at => $array[$list->value][$at]]);
                $before[] = ['list' => $list->value, 'thing' => $thing, 'fact' => $was, 'place' => null];
            }
            $facts = JobRecords::toFacts($array);
            $answers = (new Evaluator)->evaluate($facts);
            $canonical = JobFile::toArray($facts);
            $after = [];
            foreach ($steps as [$list, $thing]) {
                $stored = array_column($canonical[$list->value], null, 'id')[$thing];
                $this->write($job, $list, $thing, $stored);
                $after[] = ['list' => $list->value, 'thing' => $thing, 'fact' => $stored, 'place' => null];
            }
            $this->remember($job, $request, $mistake, $before, $after);
            BenchIndex::write($job, $facts, $answers);

            return JobState::of($job, $facts, $answers);
        });
    }

    /**
     * @param  array<string, mixed>  $array
     * @param  array<string, mixed>|null  $right
     * @param  array<string, mixed>  $fact  of the mistake; gets the readings that were wrong
     * @return list<array{FactList, string, array<string, mixed>}>
     */
    private function readingsWrong(array $array, string $surface, ?array $right, string $cause, array &$fact): array
    {
        $wrong = array_values(array_filter($array[FactList::Readings->value], static fn (array $r): bool => $r['surface'] === $surface && $r['set_aside'] === null));
        if ($wrong === []) {
            throw new BadInput('no-readings', 'surface', 'It has no readings yet that could be wrong.');
        }
        $fact['readings'] = array_column($wrong, 'id');
        $steps = array_map(static fn (array $r): array => [FactList::Readings, (string) $r['id'], ['set_aside' => $cause]], $wrong);
        if ($right !== null) {
            $first = $wrong[0];
            $steps[] = [FactList::Readings, self::freshId(), [
                'surface' => $surface, 'station' => $first['station'], 'angle' => $first['angle'], 'instrument' => $first['instrument'], 'value' => $right, 'taken_at' => $fact['at'],
            ]];
            $fact['new'] = $right;
        }

        return $steps;
    }

    /**
     * @param  array<string, mixed>  $array
     * @param  array<string, mixed>|null  $right
     * @param  array<string, mixed>  $fact  of the mistake; gets the old and the new size
     * @return list<array{FactList, string, array<string, mixed>}>
     */
    private function lengthWrong(array $array, string $loop, int $place, ?array $right, array &$fact): array
    {
        $here = array_column($array[FactList::Loops->value], null, 'id')[$loop] ?? throw new BadInput('gone', 'loop', 'This loop is not in the job any more.');
        $name = $here['lengths'][$place]['name'] ?? '';
        $old = $here['lengths'][$place]['size'] ?? throw new BadInput('gone', 'length', 'This length has no typed size that could be wrong.');
        if ($right === null) {
            throw new BadInput('missing', 'right', 'What is the right size?');
        }
        $fact['length'] = $name;
        $fact['old'] = $old;
        $fact['new'] = $right;
        $same = static fn (array $l): bool => $l['surface'] === null && $l['name'] === $name && $l['size'] !== null && abs($l['size']['mm'] - $old['mm']) < 1e-9;
        $steps = [];
        foreach ($array[FactList::Loops->value] as $other) {
            if (array_filter($other['lengths'], $same) !== []) {
                $steps[] = [FactList::Loops, (string) $other['id'], ['lengths' => array_map(static fn (array $l): array => $same($l) ? [...$l, 'size' => $right] : $l, $other['lengths'])]];
            }
        }

        return $steps;
    }

    /** Takes back the last change that still stands. */
    public function undo(string $id, int $version, string $request): JobState
    {
        return $this->once($id, $version, $request, function (Job $job) use ($id, $request): JobState {
            $last = Change::query()->where('job_id', $id)->where('undone', false)->latest('id')->first();
            if ($last === null) {
                throw new BadInput('nothing-to-undo', 'undo', 'There is nothing left to undo in this job.');
            }
            if ($last->list === self::SEVERAL) {
                foreach ($last->before ?? [] as $step) {
                    $this->write($job, FactList::from($step['list']), $step['thing'], $step['fact'], $step['place']);
                }
            } else {
                $this->write($job, FactList::tryFrom($last->list), $last->thing, $last->before);
            }
            $last->update(['undone' => true]);
            $job->update(['version' => $job->version + 1]);
            Change::query()->create([
                'job_id' => $id, 'request' => $request, 'version' => $job->version, 'list' => $last->list, 'thing' => $last->thing,
                'before' => $last->after, 'after' => $last->before, 'undone' => true,
            ]);
            $facts = JobRecords::toFacts(JobRecords::toArray($job));
            $answers = (new Evaluator)->evaluate($facts);
            BenchIndex::write($job, $facts, $answers);

            return JobState::of($job, $facts, $answers);
        });
    }

    /**
     * @param  array<string, mixed>  $array
     * @param  array<string, mixed>|null  $fact
     * @return array{JobFacts, array<string, mixed>|null, array<string, mixed>|null, JobAnswers} the new facts, the thing before and after, the answers
     *
     * @throws BadInput when the job would no longer make sense
     */
    private function changed(array $array, ?FactList $list, string $thing, ?array $fact): array
    {
        [$array, $before, $at] = $list === null ? $this->changedHead($array, $fact ?? []) : $this->changedThing($array, $list, $thing, $fact);
        match (true) {
            $list === null => JobRecords::vet($array),
            $fact === null => null,
            default => JobRecords::vet($array, $list, [$at => $array[$list->value][$at]]),
        };
        $facts = JobRecords::toFacts($array);
        $answers = (new Evaluator)->evaluate($facts);
        $canonical = JobFile::toArray($facts);
        $after = match (true) {
            $list === null => array_intersect_key($canonical, $before ?? []),
            $fact === null => null,
            default => $canonical[$list->value][$at],
        };

        return [$facts, $before, $after, $answers];
    }

    /**
     * @param  array<string, mixed>  $array
     * @param  array<string, mixed>  $fact
     * @return array{array<string, mixed>, array<string, mixed>, int}
     */
    private function changedHead(array $array, array $fact): array
    {
        $before = array_intersect_key($array, $fact);
        foreach ($fact as $field => $value) {
            if (! in_array($field, ['machine', 'part', 'unit', 'take_in', 'shop', 'quote', 'waits', 'hand_over'], true)) {
                throw new BadInput('unknown-key', $field, "“{$field}” of a job can't be changed.");
            }
            if ($field === 'shop' && is_array($value) && isset($value['instruments'])) {
                throw new BadInput('unknown-key', 'shop.instruments', 'Instruments are changed in the shop, not in a job.');
            }
            $array[$field] = is_array($value) && is_array($array[$field]) ? [...$array[$field], ...$value] : $value;
        }

        return [$array, $before, 0];
    }

    /**
     * @param  array<string, mixed>  $array
     * @param  array<string, mixed>|null  $fact
     * @return array{array<string, mixed>, array<string, mixed>|null, int}
     */
    private function changedThing(array $array, FactList $list, string $thing, ?array $fact): array
    {
        /** @var list<array<string, mixed>> $things */
        $things = $array[$list->value];
        $at = array_search($thing, array_column($things, 'id'), true);
        $before = $at === false ? null : $things[$at];
        if ($fact === null) {
            return [Removal::without($array, $list, $thing), $before, 0];
        }
        $new = [...($before ?? $list->blank()), ...$fact, 'id' => $thing];
        if ($list === FactList::Readings && ! array_key_exists('correction_mm', $fact)
            && ($before === null || ($new['instrument'] ?? null) !== $before['instrument'] || ($new['taken_at'] ?? null) !== $before['taken_at'])) {
            // What the gauge's last check says today stays with the reading until it is read anew.
            $new['correction_mm'] = is_string($new['instrument'] ?? null) ? InstrumentCheck::correctionFor($new['instrument']) : null;
        }
        if ($list === FactList::Readings && $before !== null && isset($fact['value']) && [$fact['value']['typed'] ?? null, $fact['value']['unit'] ?? null] !== [$before['value']['typed'], $before['value']['unit']]) {
            $new['was'] = $before['value'];
        }
        $at = $at === false ? count($things) : $at;
        $array[$list->value][$at] = $new;

        return [$array, $before, $at];
    }

    /** @param  array<string, mixed>|null  $fact */
    private function write(Job $job, ?FactList $list, string $thing, ?array $fact, ?int $place = null): void
    {
        if ($list === null) {
            $job->update(JobRecords::withoutInstruments($fact ?? []));

            return;
        }
        $query = $list->model()::query();
        $record = $query->clone()->whereKey($thing)->first();
        if ($record !== null && $record->job_id !== $job->id) {
            throw new BadInput('id-taken', 'id', 'This id belongs to another job. Make a fresh one.');
        }
        if ($fact === null) {
            $record?->delete();
        } elseif ($record !== null) {
            $record->update($fact);
        } else {
            $place ??= (int) $query->clone()->where('job_id', $job->id)->max('place') + 1;
            $query->create([...$fact, 'id' => $thing, 'job_id' => $job->id, 'place' => $place]);
        }
    }

    private function anyIdTaken(JobFacts $facts): bool
    {
        $array = JobFile::toArray($facts);
        foreach (FactList::cases() as $list) {
            if ($list->model()::query()->whereKey(array_column($array[$list->value], 'id'))->exists()) {
                return true;
            }
        }

        return false;
    }

    private static function insert(JobFacts $facts): Job
    {
        $job = JobRecords::insert($facts);
        BenchIndex::write($job, $facts, (new Evaluator)->evaluate($facts));

        return $job;
    }

    private static function freshId(): string
    {
        return (string) Str::ulid();
    }
}
