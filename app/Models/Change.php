<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One change of a job, kept for undo and so that a request sent twice is carried out once.
 *
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
        return ['before' => 'array', 'after' => 'array', 'undone' => 'boolean'];
    }
}
