<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One change of a job, kept for undo and so that a request sent twice is carried out once.
 *
 * @property int $id
 * @property string $job_id
 * @property ?string $content
 * @property ?string $client
 * @property ?string $by  the name of who was signed in
 * @property ?int $undoes
 * @property string $list
 * @property string $thing
 * @property array<string, mixed>|null $before
 * @property array<string, mixed>|null $after
 */
final class Change extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'before' => 'array',
            'after' => 'array',
            'undone' => 'boolean',
            'redone' => 'boolean',
            'undoes' => 'integer',
        ];
    }

    /** @return list<array{list: string, thing: string, fact: array<string, mixed>|null, place: ?int}> what each thing it touched was before */
    public function stepsBack(): array
    {
        if ($this->list !== 'several') {
            return [['list' => $this->list, 'thing' => $this->thing, 'fact' => $this->before, 'place' => null]];
        }
        $steps = [];
        foreach ($this->before ?? [] as $step) {
            if (is_array($step) && is_string($step['list'] ?? null) && is_string($step['thing'] ?? null)) {
                /** @var array<string, mixed>|null $fact */
                $fact = is_array($step['fact'] ?? null) ? $step['fact'] : null;
                $steps[] = ['list' => $step['list'], 'thing' => $step['thing'], 'fact' => $fact, 'place' => is_int($step['place'] ?? null) ? $step['place'] : null];
            }
        }

        return $steps;
    }

    /** @return list<string> the things it changed, each with its list */
    public function touched(): array
    {
        if ($this->list !== 'several') {
            return ["{$this->list}:{$this->thing}"];
        }
        $steps = array_filter([...$this->before ?? [], ...$this->after ?? []], is_array(...));

        return array_values(
            array_unique(array_map(static fn (array $step): string => "{$step['list']}:{$step['thing']}", $steps)),
        );
    }
}
