<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Change;
use App\Models\InstrumentCheck;
use App\Models\Job;
use App\Models\Reading;
use App\Models\Shop;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Job\Evaluator;
use Oldpart\Core\Job\JobAnswers;
use Oldpart\Core\Quantity\Unit;

/**
 * Keeps jobs. Every write is one transaction, is checked as a whole before it stands, is remembered for undo, and is
 * carried out once however often it is sent.
 */
final class JobStore
{
    /** The list of a change that touched several things at once. */
    private const SEVERAL = 'several';

    /** Of the content of the change being carried out. */
    private ?string $hash = null;

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
     * @param  mixed  $content  what is asked: the same request with another content is another request by the same name
     * @param  \Closure(Job): JobState  $change
     *
     * @throws Conflict
     */
    private function once(string $id, int $version, string $request, mixed $content, \Closure $change): JobState
    {
        if ($request === '' || mb_strlen($request) > 100) {
            throw new BadInput('request', 'request', 'A request carries a name of its own, 1 to 100 signs.');
        }
        $hash = hash('sha256', json_encode($content, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));

        return DB::transaction(function () use ($id, $version, $request, $hash, $change): JobState {
            $job = Job::query()->findOrFail($id);
            $before = Change::query()->where('job_id', $id)->where('request', $request)->first();
            if ($before !== null) {
                if ($before->content !== null && $before->content !== $hash) {
                    throw new BadInput('request-used', 'request', 'Another change of this job went by the same name. Send it under a fresh one.');
                }

                return $this->state($id);
            }
            if ($job->version !== $version) {
                throw new Conflict($this->state($id));
            }
            $this->hash = $hash;

            return $change($job);
        });
    }

    /**
     * Keeps a change for undo, and so that it is carried out once.
     *
     * @param  array<array-key, mixed>|null  $before
     * @param  array<array-key, mixed>|null  $after
     * @param  array<string, mixed>  $more
     */
    private function note(Job $job, string $request, string $list, string $thing, ?array $before, ?array $after, array $more = []): void
    {
        $job->update(['version' => $job->version + 1]);
        Change::query()->create([
            'job_id' => $job->id, 'request' => $request, 'content' => $this->hash, 'client' => Sender::name(), 'version' => $job->version, 'list' => $list, 'thing' => $thing,
            'before' => $before, 'after' => $after, ...$more,
        ]);
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
        Moments::refuseFuture($fact ?? []);

        return $this->once($id, $version, $request, ['change', $list?->value, $thing, $fact], function (Job $job) use ($request, $list, $thing, $fact): JobState {
            if ($list !== null && $fact === null && $list !== FactList::Ticks) {
                return $this->remove($job, $request, $list, $thing);
            }
            [$facts, $before, $after, $answers] = $this->changed(JobRecords::toArray($job), $list, $thing, $fact);
            $this->write($job, $list, $thing, $after);
            $this->note($job, $request, $list->value ?? 'job', $thing, $before, $after);
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
        foreach ($things as $thing) {
            Moments::refuseFuture($thing);
        }
        // Ids are made here, afresh for each sending.
        $content = ['add', $list->value, array_map(static fn (array $thing): array => array_diff_key($thing, ['id' => 0]), $things)];

        return $this->once($id, $version, $request, $content, function (Job $job) use ($id, $request, $list, $things): JobState {
            $array = JobRecords::toArray($job);
            $new = array_map(static fn (array $thing): array => [
                ...$list->blank(), ...($list === FactList::Readings ? ['correction_mm' => InstrumentCheck::correctionFor($thing['instrument'], is_string($thing['taken_at'] ?? null) ? $thing['taken_at'] : null)] : []), ...$thing,
            ], $things);
            JobRecords::vet($array, $list, $new);
            array_push($array[$list->value], ...$new);
            self::refuseTooMany($array, $list);
            $facts = JobRecords::toFacts($array);
            $answers = (new Evaluator)->evaluate($facts);
            $stored = array_column(JobFile::toArray($facts)[$list->value], null, 'id');
            $before = $after = [];
            foreach ($things as $thing) {
                $this->write($job, $list, $thing['id'], $stored[$thing['id']]);
                $before[] = ['list' => $list->value, 'thing' => $thing['id'], 'fact' => null, 'place' => null];
                $after[] = ['list' => $list->value, 'thing' => $thing['id'], 'fact' => $stored[$thing['id']], 'place' => null];
            }
            $this->note($job, $request, self::SEVERAL, $id, $before, $after);
            BenchIndex::write($job, $facts, $answers);

            return JobState::of($job, $facts, $answers);
        });
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
        $this->note($job, $request, self::SEVERAL, $thing, $before, $later);
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
        return $this->once($id, $version, $request, ['mistake', $mistake, $surface, $loop, $place, $right, $cause, $note], function (Job $job) use ($request, $mistake, $surface, $loop, $place, $right, $cause, $note): JobState {
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
            $this->note($job, $request, self::SEVERAL, $mistake, $before, $after);
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

    /** Corrects the readings of an instrument anew, by the checks that count now; a change of each job that holds such. */
    public function recorrect(string $instrument): void
    {
        foreach (Reading::query()->where('instrument', $instrument)->whereNotNull('correction_mm')->get()->groupBy('job_id') as $id => $readings) {
            $job = Job::query()->findOrFail((string) $id);
            $before = $after = [];
            foreach ($readings as $reading) {
                assert($reading instanceof Reading);
                $was = $reading->fact();
                $correction = InstrumentCheck::correctionFor($instrument, is_string($was['taken_at']) ? $was['taken_at'] : null);
                if ($correction !== $was['correction_mm']) {
                    $before[] = ['list' => FactList::Readings->value, 'thing' => $reading->id, 'fact' => $was, 'place' => null];
                    $after[] = ['list' => FactList::Readings->value, 'thing' => $reading->id, 'fact' => [...$was, 'correction_mm' => $correction], 'place' => null];
                    $reading->update(['correction_mm' => $correction]);
                }
            }
            if ($after !== []) {
                $this->hash = null;
                // Not to be undone by the next Z in the job: the check itself is what was wrong.
                $this->note($job, self::freshId(), self::SEVERAL, $instrument, $before, $after, ['undone' => true]);
                $this->settled($job);
            }
        }
    }

    /** Takes back the last change of this device that still stands, where nobody else went on from it. */
    public function undo(string $id, int $version, string $request): JobState
    {
        return $this->once($id, $version, $request, ['undo'], function (Job $job) use ($request): JobState {
            $last = $this->mine($job->id)->where('undone', false)->latest('id')->first();
            if ($last === null) {
                throw new BadInput('nothing-to-undo', 'undo', 'There is nothing left to undo in this job.');
            }
            $this->refuseGoneOn($last);
            $this->stand($job, $last, $last->before);
            $last->update(['undone' => true]);
            $this->note($job, $request, $last->list, $last->thing, $last->after, $last->before, ['undone' => true, 'undoes' => $last->id]);

            return $this->settled($job);
        });
    }

    /** Carries out again what was taken back last, where nothing came after it. */
    public function redo(string $id, int $version, string $request): JobState
    {
        return $this->once($id, $version, $request, ['redo'], function (Job $job) use ($request): JobState {
            $undo = self::redoable($this->mine($job->id));
            $undone = $undo === null ? null : Change::query()->where('id', $undo->undoes)->first();
            if ($undo === null || $undone === null) {
                throw new BadInput('nothing-to-redo', 'redo', 'There is nothing to carry out again in this job.');
            }
            $this->refuseGoneOn($undo);
            $this->stand($job, $undone, $undone->after);
            $undo->update(['redone' => true]);
            $this->note($job, $request, $undone->list, $undone->thing, $undone->before, $undone->after, ['undone' => true]);
            $undone->update(['undone' => false]);

            return $this->settled($job);
        });
    }

    /** @return array{bool, bool} whether this device can undo and redo */
    public static function steps(string $job, ?string $client): array
    {
        return [self::of($job, $client)->where('undone', false)->exists(), self::redoable(self::of($job, $client)) !== null];
    }

    /**
     * The last taking back that was not itself overtaken by a new change.
     *
     * @param  Builder<Change>  $changes
     */
    private static function redoable(Builder $changes): ?Change
    {
        $last = $changes->clone()->whereNotNull('undoes')->where('redone', false)->max('id');
        $undo = $last === null ? null : Change::query()->where('id', $last)->first();
        if ($undo === null) {
            return null;
        }

        // A new change stands, with a later number than what was taken back.
        return $changes->clone()->where('undone', false)->where('id', '>', $undo->id)->exists() ? null : $undo;
    }

    /** @return Builder<Change> */
    private function mine(string $job): Builder
    {
        return self::of($job, Sender::name());
    }

    /** @return Builder<Change> those of a device; of all where it has no name */
    private static function of(string $job, ?string $client): Builder
    {
        $changes = Change::query()->where('job_id', $job);
        if ($client !== null) {
            $changes->where(static function (Builder $own) use ($client): void {
                $own->where('client', $client)->orWhereNull('client');
            });
        }

        return $changes;
    }

    /** @throws BadInput where another device changed the same thing since */
    private function refuseGoneOn(Change $change): void
    {
        if (Sender::name() === null) {
            return;
        }
        $touched = $change->touched();
        $later = Change::query()->where('job_id', $change->job_id)->where('id', '>', $change->id)->where('undone', false)->whereNotNull('client')->where('client', '!=', Sender::name())->get();
        foreach ($later as $other) {
            assert($other instanceof Change);
            if (array_intersect($touched, $other->touched()) !== []) {
                throw new BadInput('gone-on', 'undo', 'Somebody else changed this since, from another device. Look at it, and change it by hand.');
            }
        }
    }

    /** @param  array<array-key, mixed>|null  $facts  of the change's one thing, or the steps of several */
    private function stand(Job $job, Change $change, ?array $facts): void
    {
        if ($change->list !== self::SEVERAL) {
            /** @var array<string, mixed>|null $facts */
            $this->write($job, FactList::tryFrom($change->list), $change->thing, $facts);

            return;
        }
        /** @var list<array{list: string, thing: string, fact: array<string, mixed>|null, place: ?int}> $steps */
        $steps = $facts ?? [];
        foreach ($steps as $step) {
            $this->write($job, FactList::from($step['list']), $step['thing'], $step['fact'], $step['place']);
        }
    }

    private function settled(Job $job): JobState
    {
        $facts = JobRecords::toFacts(JobRecords::toArray($job));
        $answers = (new Evaluator)->evaluate($facts);
        BenchIndex::write($job, $facts, $answers);

        return JobState::of($job, $facts, $answers);
    }

    /**
     * @param  array<string, mixed>  $array
     *
     * @throws BadInput where a job would hold more than its own file may
     */
    private static function refuseTooMany(array $array, FactList $list): void
    {
        $most = JobFile::most($list->value);
        if (count($array[$list->value]) > $most) {
            throw new BadInput('too-many', $list->value, 'A job takes '.number_format($most)." {$list->value}. Start another job for the rest.");
        }
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
            $new['correction_mm'] = is_string($new['instrument'] ?? null) ? InstrumentCheck::correctionFor($new['instrument'], is_string($new['taken_at'] ?? null) ? $new['taken_at'] : null) : null;
        }
        if ($list === FactList::Readings) {
            $new = [...$new, ...self::recorded($before, $fact, $new)];
        }
        $at = $at === false ? count($things) : $at;
        $array[$list->value][$at] = $new;
        self::refuseTooMany($array, $list);

        return [$array, $before, $at];
    }

    /**
     * What a reading was before is added to, never rewritten; and it stays where it was taken.
     *
     * @param  array<string, mixed>|null  $before
     * @param  array<string, mixed>  $fact
     * @param  array<string, mixed>  $new
     * @return array{was: mixed, history: mixed}
     *
     * @throws BadInput for a reading that would move to another surface
     */
    private static function recorded(?array $before, array $fact, array $new): array
    {
        if ($before === null) {
            return ['was' => null, 'history' => []];
        }
        if (($new['surface'] ?? null) !== $before['surface']) {
            throw new BadInput('kept', 'surface', 'A reading stays with its surface, for the record. Set it aside with the reason, and enter it where it belongs.');
        }
        $old = $before['value'];
        $value = $fact['value'] ?? null;
        $changed = is_array($value) && [$value['typed'] ?? null, $value['unit'] ?? null] !== [$old['typed'], $old['unit']];

        return $changed ? ['was' => $old, 'history' => [...($before['history'] ?? []), $old]] : ['was' => $before['was'], 'history' => $before['history'] ?? []];
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
