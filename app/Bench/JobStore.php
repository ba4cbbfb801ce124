<?php

declare(strict_types=1);

namespace App\Bench;

use App\Change\Draft;
use App\Change\FactChange;
use App\Models\Change;
use App\Models\InstrumentCheck;
use App\Models\Job;
use App\Models\Reading;
use App\Models\Shop;
use App\People\Here;
use App\People\Limits;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Making\LoggedCut;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
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
                self::insert(
                    Kind::named($kind)->layOut($id, $machine, $part, $unit, Shop::here()->facts(), self::freshId(...)),
                );
            }

            return $this->state($id);
        });
    }

    /** Puts a job on the bench as it is laid out; the caller holds the transaction. */
    public function lay(JobFacts $facts): void
    {
        self::insert($facts);
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
                    throw new BadInput(
                        'request-used',
                        'request',
                        'Another change of this job went by the same name. Send it under a fresh one.',
                    );
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
    private function note(
        Job $job,
        string $request,
        string $list,
        string $thing,
        ?array $before,
        ?array $after,
        array $more = [],
    ): void {
        $job->update(['version' => $job->version + 1]);
        Change::query()->create([
            'job_id' => $job->id,
            'request' => $request,
            'content' => $this->hash,
            'client' => Sender::name(),
            'by' => Here::name(),
            'version' => $job->version,
            'list' => $list,
            'thing' => $thing,
            'before' => $before,
            'after' => $after,
            ...$more,
        ]);
    }

    /** A new job laid out as this one is: parts, surfaces, joints, operations; nothing measured, cut or accepted. */
    public function copy(string $from, string $id): JobState
    {
        return DB::transaction(function () use ($from, $id): JobState {
            if (Job::query()->whereKey($id)->doesntExist()) {
                if ($this->facts($from)->practice !== null) {
                    throw new BadInput(
                        'practice',
                        'job',
                        'This is practice. Start the lesson anew instead: its parts are drawn afresh.',
                    );
                }
                $facts = JobCopy::start(
                    JobCopy::under($this->facts($from), self::freshId(...), $id),
                    Shop::here()->facts(),
                );
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
            $job->update([
                'archived_at' => $shelf === 'archive' ? now() : null,
                'binned_at' => $shelf === 'bin' ? now() : null,
            ]);
            $facts = JobRecords::toFacts(JobRecords::toArray($job));
            BenchIndex::write($job, $facts, JobAnswers::of($facts));
        });
    }

    /** Takes in a job file; where its id is already on the bench it comes in as a copy. */
    public function import(string $text): JobState
    {
        $read = JobFile::read($text);
        JobAnswers::of($read);

        return DB::transaction(function () use ($read): JobState {
            $facts = ForeignInstruments::takenIn($read);
            if (Job::query()->whereKey($facts->id)->exists() || $this->anyIdTaken($facts)) {
                $facts = JobCopy::under($facts, self::freshId(...));
            }

            return $this->state(self::insert($facts)->id);
        });
    }

    /**
     * Carries out a list of changes: all or none, as one change that can be taken back.
     *
     * @param  non-empty-list<FactChange>  $changes
     * @param  mixed  $content  what the request is known by, where that is not the changes themselves
     *
     * Refuses with BadInput when the job would no longer make sense.
     *
     * @throws Conflict when the job is at another version than the sender read
     */
    public function apply(string $id, int $version, string $request, array $changes, mixed $content = null): JobState
    {
        return $this->once(
            $id,
            $version,
            $request,
            $content ?? array_map(static fn (FactChange $c): array => $c->content(), $changes),
            fn (Job $job): JobState => $this->carryOut($job, $request, new Draft(JobRecords::toArray($job)), $changes),
        );
    }

    /** @param  non-empty-list<FactChange>  $changes */
    private function carryOut(Job $job, string $request, Draft $draft, array $changes): JobState
    {
        Limits::check($changes);
        $facts = $draft->apply($changes)->facts();
        $answers = JobAnswers::of($facts);
        foreach ($changes as $change) {
            if ($change->list === FactList::Cuts && $change->fact !== null) {
                LoggedCut::check($facts, $answers->make, $change->thing);
            }
        }
        $steps = $draft->steps($facts);
        $before = $after = [];
        foreach ($steps as ['list' => $list, 'thing' => $thing, 'was' => $was, 'is' => $is]) {
            // Where it stood among the others, so that it comes back there.
            $place = $list === null || $was === null ? null : $list->model()::query()->whereKey($thing)->value('place');
            $before[] = ['list' => $list->value ?? Draft::HEAD, 'thing' => $thing, 'fact' => $was, 'place' => $place];
            $after[] = ['list' => $list->value ?? Draft::HEAD, 'thing' => $thing, 'fact' => $is, 'place' => $place];
            $this->write($job, $list, $thing, $is, $place);
        }
        $this->note($job, $request, self::SEVERAL, $changes[0]->thing, $before, $after);
        BenchIndex::write($job, $facts, $answers);

        return JobState::of($job, $facts, $answers);
    }

    /**
     * The answers as they would be with some changes, without saving them.
     *
     * @param  non-empty-list<FactChange>  $changes
     * @param  bool  $joints  whether the joints are shown
     *
     * @throws BadInput
     */
    public function preview(string $id, array $changes, bool $joints = true): JobAnswers
    {
        return JobAnswers::of(
            (new Draft(JobRecords::toArray(Job::query()->findOrFail($id))))->apply($changes)->facts(),
            $joints,
        );
    }

    /**
     * A number was wrong: a surface's readings, which are set aside with the reason, or a length typed in a loop, which
     * gets its right size in every loop where the same piece stands. One change, kept on record, that can be taken
     * back.
     *
     * @param  ?int  $place  of the length in its loop
     * @param  array<string, mixed>|null  $right  the right size as typed; null where a surface is to be measured anew
     *
     * Refuses with BadInput when there is no such number, or the right one is missing.
     *
     * @throws Conflict when the job is at another version than the sender read
     */
    public function mistake(
        string $id,
        int $version,
        string $request,
        string $mistake,
        ?string $surface,
        ?string $loop,
        ?int $place,
        ?array $right,
        string $cause,
        string $note,
    ): JobState {
        return $this->once(
            $id,
            $version,
            $request,
            ['mistake', $mistake, $surface, $loop, $place, $right, $cause, $note],
            function (Job $job) use ($request, $mistake, $surface, $loop, $place, $right, $cause, $note): JobState {
                $array = JobRecords::toArray($job);
                $fact = [
                    'surface' => $surface,
                    'loop' => $loop,
                    'cause' => $cause,
                    'note' => $note,
                    'at' => now()->toIso8601ZuluString(),
                ];
                $steps =
                    $surface !== null
                        ? $this->readingsWrong($array, $surface, $right, $cause, $fact)
                        : $this->lengthWrong($array, (string) $loop, $place ?? -1, $right, $fact);
                $steps[] = new FactChange(FactList::Mistakes, $mistake, $fact);

                return $this->carryOut($job, $request, new Draft($array), $steps);
            },
        );
    }

    /**
     * @param  array<string, mixed>  $array
     * @param  array<string, mixed>|null  $right
     * @param  array<string, mixed>  $fact  of the mistake; gets the readings that were wrong
     * @return list<FactChange>
     */
    private function readingsWrong(array $array, string $surface, ?array $right, string $cause, array &$fact): array
    {
        $wrong = array_values(
            array_filter(
                $array[FactList::Readings->value],
                static fn (array $r): bool => $r['surface'] === $surface && $r['set_aside'] === null,
            ),
        );
        if ($wrong === []) {
            throw new BadInput('no-readings', 'surface', 'It has no readings yet that could be wrong.');
        }
        $fact['readings'] = array_column($wrong, 'id');
        $steps = array_map(
            static fn (array $r): FactChange => new FactChange(FactList::Readings, (string) $r['id'], [
                'set_aside' => $cause,
            ]),
            $wrong,
        );
        if ($right !== null) {
            $first = $wrong[0];
            $steps[] = new FactChange(FactList::Readings, self::freshId(), [
                'surface' => $surface,
                'station' => $first['station'],
                'angle' => $first['angle'],
                'instrument' => $first['instrument'],
                'value' => $right,
                'taken_at' => $fact['at'],
            ]);
            $fact['new'] = $right;
        }

        return $steps;
    }

    /**
     * @param  array<string, mixed>  $array
     * @param  array<string, mixed>|null  $right
     * @param  array<string, mixed>  $fact  of the mistake; gets the old and the new size
     * @return list<FactChange>
     */
    private function lengthWrong(array $array, string $loop, int $place, ?array $right, array &$fact): array
    {
        $here =
            array_column($array[FactList::Loops->value], null, 'id')[$loop] ??
            throw new BadInput('gone', 'loop', 'This loop is not in the job any more.');
        $name = $here['lengths'][$place]['name'] ?? '';
        $old =
            $here['lengths'][$place]['size'] ??
            throw new BadInput('gone', 'length', 'This length has no typed size that could be wrong.');
        if ($right === null) {
            throw new BadInput('missing', 'right', 'What is the right size?');
        }
        $fact['length'] = $name;
        $fact['old'] = $old;
        $fact['new'] = $right;
        $same = static fn (array $l): bool => $l['surface'] === null
            && $l['name'] === $name
            && $l['size'] !== null
            && abs($l['size']['mm'] - $old['mm']) < 1e-9;
        $steps = [];
        foreach ($array[FactList::Loops->value] as $other) {
            if (array_filter($other['lengths'], $same) !== []) {
                $steps[] = new FactChange(FactList::Loops, (string) $other['id'], [
                    'lengths' => array_map(
                        static fn (array $l): array => $same($l) ? [...$l, 'size' => $right] : $l,
                        $other['lengths'],
                    ),
                ]);
            }
        }

        return $steps;
    }

    /**
     * Corrects the readings of an instrument anew, by the checks that count now; a change of each job that holds such.
     */
    public function recorrect(string $instrument): void
    {
        foreach (
            Reading::query()
                ->where('instrument', $instrument)
                ->whereNotNull('correction_mm')
                ->distinct()
                ->pluck('job_id') as $id
        ) {
            $job = Job::query()->findOrFail((string) $id);
            $before = $after = [];
            foreach (Reading::factsOf($job->id) as $was) {
                if ($was['instrument'] !== $instrument || $was['correction_mm'] === null) {
                    continue;
                }
                $correction = InstrumentCheck::correctionFor(
                    $instrument,
                    is_string($was['taken_at']) ? $was['taken_at'] : null,
                );
                if ($correction !== $was['correction_mm']) {
                    $before[] = [
                        'list' => FactList::Readings->value,
                        'thing' => $was['id'],
                        'fact' => $was,
                        'place' => null,
                    ];
                    $after[] = [
                        'list' => FactList::Readings->value,
                        'thing' => $was['id'],
                        'fact' => [...$was, 'correction_mm' => $correction],
                        'place' => null,
                    ];
                    Reading::query()
                        ->whereKey($was['id'])
                        ->update(['correction_mm' => $correction]);
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
            $this->note($job, $request, $last->list, $last->thing, $last->after, $last->before, [
                'undone' => true,
                'undoes' => $last->id,
            ]);

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
            $this->note($job, $request, $undone->list, $undone->thing, $undone->before, $undone->after, [
                'undone' => true,
            ]);
            $undone->update(['undone' => false]);

            return $this->settled($job);
        });
    }

    /** @throws BadInput where the job has no such change */
    public function asOf(string $id, int $change): JobState
    {
        $job = Job::query()->findOrFail($id);

        return JobState::of($job, JobRecords::toFacts(EarlierState::after($job, $change)->then));
    }

    /**
     * The job as it was after one of its changes stands again, as a change that can be taken back itself. Nothing of the
     * record is lost: what was measured or cut since stays, set aside.
     *
     * @throws Conflict
     */
    public function bringBack(string $id, int $version, string $request, int $change): JobState
    {
        return $this->once($id, $version, $request, ['bring-back', $change], function (Job $job) use ($request, $change): JobState {
            $earlier = EarlierState::after($job, $change);
            $facts = JobRecords::toFacts($earlier->withRecords());
            $answers = JobAnswers::of($facts);
            $steps = $earlier->steps();
            if ($steps === []) {
                throw new BadInput('as-it-is', 'change', 'The job stands as it was then: there is nothing to bring back.');
            }
            $before = $after = [];
            foreach ($steps as ['list' => $list, 'thing' => $thing, 'was' => $was, 'is' => $is, 'place' => $place]) {
                $stood = $list === null || $was === null ? $place : $list->model()::query()->whereKey($thing)->value('place');
                $before[] = ['list' => $list->value ?? Draft::HEAD, 'thing' => $thing, 'fact' => $was, 'place' => $stood];
                $after[] = ['list' => $list->value ?? Draft::HEAD, 'thing' => $thing, 'fact' => $is, 'place' => $stood];
                $this->write($job, $list, $thing, $is, $stood);
            }
            $this->note($job, $request, self::SEVERAL, '', $before, $after);
            BenchIndex::write($job, $facts, $answers);

            return JobState::of($job, $facts, $answers);
        });
    }

    /** @return array{bool, bool} whether this device can undo and redo */
    public static function steps(string $job, ?string $client): array
    {
        return [
            self::of($job, $client)->where('undone', false)->exists(),
            self::redoable(self::of($job, $client)) !== null,
        ];
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
        if (Here::signsIn()) {
            // Nobody takes back what another did, on whatever device.
            return $changes->where('by', Here::name());
        }
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
        $others = Change::query()->where('job_id', $change->job_id)->where('id', '>', $change->id)->where('undone', false);
        if (Here::signsIn()) {
            $others->where('by', '!=', Here::name());
        } elseif (Sender::name() === null) {
            return;
        } else {
            $others->whereNotNull('client')->where('client', '!=', Sender::name());
        }
        $touched = $change->touched();
        $later = $others->get();
        foreach ($later as $other) {
            assert($other instanceof Change);
            if (array_intersect($touched, $other->touched()) !== []) {
                throw new BadInput(
                    'gone-on',
                    'undo',
                    'Somebody else changed this since, from another device or under another name. Look at it, and change it by hand.',
                );
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
            $this->write($job, FactList::tryFrom($step['list']), $step['thing'], $step['fact'], $step['place']);
        }
    }

    private function settled(Job $job): JobState
    {
        $facts = JobRecords::toFacts(JobRecords::toArray($job));
        $answers = JobAnswers::of($facts);
        BenchIndex::write($job, $facts, $answers);

        return JobState::of($job, $facts, $answers);
    }

    /** @param  array<string, mixed>|null  $fact */
    private function write(Job $job, ?FactList $list, string $thing, ?array $fact, ?int $place = null): void
    {
        if ($list === null) {
            $job->update(JobRecords::withoutTheShops($fact ?? []));

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
        BenchIndex::write($job, $facts, JobAnswers::of($facts));

        return $job;
    }

    private static function freshId(): string
    {
        return (string) Str::ulid();
    }
}
