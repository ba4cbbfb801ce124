<?php

declare(strict_types=1);

namespace App\Bench;

use App\Change\Draft;
use App\Models\Change;
use App\Models\Part;
use App\Models\Surface;
use App\People\Here;
use Illuminate\Database\Eloquent\Builder;

/** What was done to a job, as people read it: when, on which device, what, from what, to what. */
final class JobHistory
{
    private const MOST = 100;

    /** Of one change no more than so many things are told one by one. */
    private const TOLD = 12;

    /** Fields whose own names would not do. */
    private const WORDS = [
        'take_in' => 'take in', 'hand_over' => 'hand over', 'set_aside' => 'set aside', 'part_c' => 'part, °C', 'gauge_c' => 'gauge, °C',
        'gates' => 'safety question', 'gates_answered' => 'safety question answered', 'if_it_fails' => 'what happens if it fails',
        'next_time' => 'to do differently next time', 'finished_at' => 'handed over', 'speed_rpm' => 'turns at, rev/min',
        'needs_torque_nm' => 'has to hold, N·m', 'size2' => 'second size', 'correction_mm' => 'correction of the gauge, mm',
    ];

    /** Not told by themselves. */
    private const SILENT = ['id', 'taken_at', 'at', 'history', 'was'];

    /** @var array<string, string> by id */
    private array $names;

    private function __construct(string $job)
    {
        $this->names = [
            ...Surface::query()->where('job_id', $job)->pluck('name', 'id')->all(),
            ...Part::query()->where('job_id', $job)->pluck('name', 'id')->all(),
        ];
    }

    /**
     * The latest first; of one surface, what was done to it and what was read and cut on it.
     *
     * @return list<array{id: int, at: string, by: ?string, here: ?bool, stands: bool, kind: 'change'|'undo'|'redo'|'check', told: list<array{what: string, from: string, to: string}>, more: int}>
     */
    public static function of(string $job, ?int $before = null, ?string $surface = null): array
    {
        $history = new self($job);
        $changes = Change::query()->where('job_id', $job)->orderByDesc('id')->limit(self::MOST);
        if ($before !== null) {
            $changes->where('id', '<', $before);
        }
        if ($surface !== null) {
            // The fact of a reading or a cut names its surface, and a step names the thing it is about.
            $named = '%'.addcslashes((string) json_encode($surface), '%_\\').'%';
            $changes->where(static function (Builder $about) use ($named): void {
                $about->whereRaw("after like ? escape '\\'", [$named])->orWhereRaw("before like ? escape '\\'", [$named]);
            });
        }
        $taken = Change::query()->where('job_id', $job)->whereNotNull('undoes')->pluck('undoes')->all();
        $rows = [];
        foreach ($changes->get() as $change) {
            assert($change instanceof Change);
            $told = $history->told($change);
            $undone = (bool) $change->getAttribute('undone');
            $rows[] = [
                'id' => $change->id,
                'at' => $change->created_at?->toIso8601ZuluString() ?? '',
                'by' => $change->by,
                'here' => Here::signsIn() ? $change->by === Here::name() : ($change->client === null || Sender::name() === null ? null : $change->client === Sender::name()),
                'stands' => ! $undone,
                'kind' => match (true) {
                    $change->undoes !== null => 'undo',
                    // What the check of a gauge puts right in a job was asked for by nobody there.
                    $undone && ! in_array($change->id, $taken, true) => $change->content === null ? 'check' : 'redo',
                    default => 'change',
                },
                'told' => array_slice($told, 0, self::TOLD),
                'more' => max(0, count($told) - self::TOLD),
            ];
        }

        return $rows;
    }

    /** @return list<array{what: string, from: string, to: string}> */
    private function told(Change $change): array
    {
        $told = [];
        [$before, $after] = [array_values($change->before ?? []), array_values($change->after ?? [])];
        foreach ($after as $i => $step) {
            if (! is_array($step) || ! is_string($step['list'] ?? null)) {
                continue;
            }
            [$was, $is] = [$before[$i]['fact'] ?? null, $step['fact'] ?? null];
            array_push($told, ...$this->step($step['list'], is_array($was) ? $was : null, is_array($is) ? $is : null));
        }

        return $told;
    }

    /**
     * @param  array<string, mixed>|null  $was
     * @param  array<string, mixed>|null  $is
     * @return list<array{what: string, from: string, to: string}>
     */
    private function step(string $list, ?array $was, ?array $is): array
    {
        if ($list === Draft::HEAD) {
            return $this->fields('', self::flat($was ?? []), self::flat($is ?? []));
        }
        $name = $this->name($list, $is ?? $was ?? []);
        if ($was === null || $is === null) {
            return [[
                'what' => $name,
                'from' => $was === null ? '' : self::main($was),
                'to' => $is === null ? 'taken away' : (self::main($is) === '' ? 'added' : self::main($is)),
            ]];
        }

        return $this->fields($name, $was, $is);
    }

    /**
     * @param  array<string, mixed>  $was
     * @param  array<string, mixed>  $is
     * @return list<array{what: string, from: string, to: string}>
     */
    private function fields(string $name, array $was, array $is): array
    {
        $rows = [];
        foreach ([...$was, ...$is] as $field => $_) {
            [$from, $to] = [$this->text($was[$field] ?? null), $this->text($is[$field] ?? null)];
            if ($from !== $to && ! in_array($field, self::SILENT, true)) {
                // The value of a reading is the reading.
                $what = $field === 'value' || $field === 'after' ? '' : implode(', ', array_map(
                    static fn (string $part): string => self::WORDS[$part] ?? str_replace('_', ' ', $part),
                    explode('.', (string) $field),
                ));
                $rows[] = ['what' => trim("{$name}: {$what}", ': '), 'from' => $from, 'to' => $to === '' ? 'nothing' : $to];
            }
        }

        return $rows;
    }

    /** @param  array<string, mixed>  $fact */
    private function name(string $list, array $fact): string
    {
        $of = static fn (string $key): string => is_string($fact[$key] ?? null) ? $fact[$key] : '';
        $surface = $this->names[$of('surface')] ?? 'a surface that is gone';

        return match ($list) {
            'readings' => implode(', ', array_filter(["Reading of {$surface}", $of('station'), $of('angle') === '' ? '' : "{$of('angle')}°"])),
            'cuts' => "Cut on {$surface}",
            'concessions' => "Decision on {$surface}",
            'trials' => "Trial at {$surface}",
            'mistakes' => 'A number that was wrong',
            'ticks' => 'Tick',
            default => $of('name') !== '' ? $of('name') : ucfirst(rtrim(str_replace('_', ' ', $list), 's')),
        };
    }

    /**
     * What a thing comes to in a word.
     *
     * @param  array<string, mixed>  $fact
     */
    private static function main(array $fact): string
    {
        foreach (['value', 'after', 'size', 'code', 'caption', 'note', 'text'] as $field) {
            $value = $fact[$field] ?? null;
            if (is_array($value) && is_string($value['typed'] ?? null)) {
                return "{$value['typed']} ".(is_string($value['unit'] ?? null) ? $value['unit'] : '');
            }
            if (is_string($value) && $value !== '') {
                return $value;
            }
        }

        return '';
    }

    private function text(mixed $value): string
    {
        return match (true) {
            $value === null => '',
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) && is_string($value['typed'] ?? null) => trim("{$value['typed']} ".(is_string($value['unit'] ?? null) ? $value['unit'] : '')),
            is_array($value) && array_is_list($value) => implode(', ', array_filter(array_map($this->text(...), $value))),
            is_array($value) => implode('; ', array_filter(array_map(
                fn (string $key, mixed $one): string => ($text = $this->text($one)) === '' ? '' : str_replace('_', ' ', $key)." {$text}",
                array_map(strval(...), array_keys($value)),
                $value,
            ))),
            is_string($value) => $this->names[$value] ?? $value,
            is_int($value), is_float($value) => (string) $value,
            default => '',
        };
    }

    /**
     * @param  array<string, mixed>  $head
     * @return array<string, mixed> a field of a part of the head as that part, a dot, and the field
     */
    private static function flat(array $head): array
    {
        $flat = [];
        foreach ($head as $part => $value) {
            if (is_array($value) && ! array_is_list($value)) {
                foreach ($value as $field => $one) {
                    $flat["{$part}.{$field}"] = $one;
                }
            } else {
                $flat[$part] = $value;
            }
        }

        return $flat;
    }
}
