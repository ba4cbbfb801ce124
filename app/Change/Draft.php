<?php

declare(strict_types=1);

namespace App\Change;

use App\Bench\FactList;
use App\Bench\JobRecords;
use App\Bench\Moments;
use App\Bench\Removal;
use App\Models\InstrumentCheck;
use App\People\Limits;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;

/** A job with changes made to it, one after the other, before any of it is stored. */
final class Draft
{
    /** The head of the job in the record of a change. */
    public const HEAD = 'job';

    /**
     * @var array<string, array{list: ?FactList, thing: string, was: array<string, mixed>|null}> what was touched, by list and thing, in that order
     */
    private array $touched = [];

    /** @var array<string, array<int, true>> places of things that changed, by list: held against the schema together */
    private array $changed = [];

    private bool $headChanged = false;

    /** @param  array<string, mixed>  $job  as its file has it */
    public function __construct(private array $job)
    {
    }

    /**
     * Refuses with BadInput when the thing would make no sense.
     *
     * @param  list<FactChange>  $changes
     */
    public function apply(array $changes): self
    {
        foreach ($changes as $change) {
            Moments::refuseFuture($change->fact ?? []);
            match (true) {
                $change->list === null => $this->head($change->fact ?? []),
                $change->fact === null => $this->remove($change->list, $change->thing),
                default => $this->thing($change->list, $change->thing, $change->fact),
            };
        }

        return $this;
    }

    /** @throws BadInput when the whole would no longer make sense as a job */
    public function facts(): JobFacts
    {
        $this->vet();

        return JobRecords::toFacts($this->job);
    }

    /** @throws BadInput naming the first field of what changed that is wrong */
    private function vet(): void
    {
        if ($this->headChanged) {
            JobRecords::vet($this->job);
        }
        foreach ($this->changed as $name => $places) {
            JobRecords::vet($this->job, FactList::from($name), array_intersect_key($this->job[$name], $places));
        }
        [$this->headChanged, $this->changed] = [false, []];
    }

    /**
     * What each touched thing was and is, as it is stored.
     *
     * @return list<array{list: ?FactList, thing: string, was: array<string, mixed>|null, is: array<string, mixed>|null}>
     */
    public function steps(JobFacts $facts): array
    {
        $fields = $facts->jsonSerialize();
        $things = [];
        $steps = [];
        foreach ($this->touched as ['list' => $list, 'thing' => $thing, 'was' => $was]) {
            if ($list === null) {
                $steps[] = [
                    'list' => null,
                    'thing' => $thing,
                    'was' => $was,
                    'is' => JobFile::plain(array_intersect_key($fields, $was ?? [])),
                ];

                continue;
            }
            $things[$list->value] ??= array_column((array) $fields[$list->value], null, 'id');
            $is = $things[$list->value][$thing] ?? null;
            $steps[] = [
                'list' => $list,
                'thing' => $thing,
                'was' => $was,
                'is' => $is === null ? null : JobFile::plain($is),
            ];
        }

        return $steps;
    }

    /** @param  array<string, mixed>  $fact */
    private function head(array $fact): void
    {
        foreach ($fact as $field => $value) {
            if (
                ! in_array($field, ['machine', 'part', 'unit', 'take_in', 'shop', 'quote', 'waits', 'plan', 'batch', 'assembly', 'hand_over'], true)
            ) {
                throw new BadInput('unknown-key', $field, "“{$field}” of a job can't be changed.");
            }
            if ($field === 'shop' && is_array($value) && isset($value['instruments'])) {
                throw new BadInput(
                    'unknown-key',
                    'shop.instruments',
                    'Instruments are changed in the shop, not in a job.',
                );
            }
        }
        $was = ($this->touched[self::HEAD]['was'] ?? []) + array_intersect_key($this->job, $fact);
        $fact = Limits::signedHead($this->job, $fact);
        $this->touched[self::HEAD] = ['list' => null, 'thing' => '', 'was' => $was];
        foreach ($fact as $field => $value) {
            $this->job[$field] =
                is_array($value) && is_array($this->job[$field]) ? [...$this->job[$field], ...$value] : $value;
        }
        $this->headChanged = true;
    }

    /** @param  array<string, mixed>  $fact */
    private function thing(FactList $list, string $thing, array $fact): void
    {
        [$at, $before] = $this->find($list, $thing);
        if ($at !== null && isset($this->changed[$list->value][$at])) {
            // Changed twice in one list: what comes first must be whole before the next is laid over it.
            $this->vet();
        }
        $new = [...$before ?? $list->blank(), ...$fact, 'id' => $thing];
        $new = Limits::signed($list, $before, $new);
        if ($list === FactList::Readings) {
            $new = self::reading($before, $fact, $new);
        }
        $this->touch($list, $thing, $before);
        $at ??= count($this->job[$list->value]);
        $this->job[$list->value][$at] = $new;
        $most = JobFile::most($list->value);
        if (count($this->job[$list->value]) > $most) {
            throw new BadInput(
                'too-many',
                $list->value,
                'A job takes '.number_format($most)." {$list->value}. Start another job for the rest.",
            );
        }
        $this->changed[$list->value][$at] = true;
    }

    /** With all that hangs on it; a tick alone just goes. */
    private function remove(FactList $list, string $thing): void
    {
        // What hangs on it is looked for by fields that what came before in the list may lack.
        $this->vet();
        $steps =
            $list === FactList::Ticks
                ? [[$list, $thing, $this->find($list, $thing)[1], null]]
                : Removal::of($this->job, $list, $thing);
        foreach ($steps as [$of, $id, $was, $stays]) {
            $this->touch($of, (string) $id, $was);
            if ($stays === null) {
                $this->job = Removal::without($this->job, $of, (string) $id);
            } else {
                $this->job[$of->value][$this->find($of, (string) $id)[0] ?? 0] = $stays;
            }
        }
    }

    /**
     * @return array{?int, array<string, mixed>|null} its place in the list, and the thing; null where it is not there
     */
    private function find(FactList $list, string $thing): array
    {
        $at = array_search($thing, array_column($this->job[$list->value], 'id'), true);

        return $at === false ? [null, null] : [(int) $at, $this->job[$list->value][$at]];
    }

    /** @param  array<string, mixed>|null  $was */
    private function touch(FactList $list, string $thing, ?array $was): void
    {
        $this->touched["{$list->value}:{$thing}"] ??= ['list' => $list, 'thing' => $thing, 'was' => $was];
    }

    /**
     * What a reading was before is added to, never rewritten; it stays where it was taken; and what the gauge's last
     * check said then stays with it until it is read anew.
     *
     * @param  array<string, mixed>|null  $before
     * @param  array<string, mixed>  $fact
     * @param  array<string, mixed>  $new
     * @return array<string, mixed>
     *
     * @throws BadInput for a reading that would move to another surface
     */
    private static function reading(?array $before, array $fact, array $new): array
    {
        if (
            ! array_key_exists('correction_mm', $fact)
            && ($before === null
                || ($new['instrument'] ?? null) !== $before['instrument']
                || ($new['taken_at'] ?? null) !== $before['taken_at'])
        ) {
            $taken = is_string($new['taken_at'] ?? null) ? $new['taken_at'] : null;
            $new['correction_mm'] = is_string($new['instrument'] ?? null)
                ? InstrumentCheck::correctionFor($new['instrument'], $taken)
                : null;
        }
        if ($before === null) {
            return [...$new, 'was' => null, 'history' => []];
        }
        if (($new['surface'] ?? null) !== $before['surface']) {
            throw new BadInput(
                'kept',
                'surface',
                'A reading stays with its surface, for the record. Set it aside with the reason, and enter it where it belongs.',
            );
        }
        $old = $before['value'];
        $value = $fact['value'] ?? null;
        $changed =
            is_array($value) && [$value['typed'] ?? null, $value['unit'] ?? null] !== [$old['typed'], $old['unit']];

        return [
            ...$new,
            'was' => $changed ? $old : $before['was'],
            'history' => [...$before['history'] ?? [], ...$changed ? [$old] : []],
        ];
    }
}
